import type { SpecialBar } from '../units/index.ts'

/** What an exercise is loaded with: it decides what can be made and what its number means. */
export type Tool = 'barbell' | 'dumbbells' | 'machine' | 'body weight'

export type Pattern =
  | 'squat'
  | 'hinge'
  | 'horizontal push'
  | 'vertical push'
  | 'horizontal pull'
  | 'vertical pull'
  | 'single leg'
  | 'trunk'
  | 'arms'

/** What the number beside an exercise means. */
export type Reads = 'total' | 'per hand' | 'per side' | 'added' | 'on the stack'

export const muscles = [
  'quads',
  'hamstrings',
  'glutes',
  'back',
  'chest',
  'shoulders',
  'biceps',
  'triceps',
  'trunk',
] as const
export type Muscle = (typeof muscles)[number]

/** `works` names the muscles that the exercise works most, the first one foremost (common practice, no source). */
export type Exercise = {
  name: string
  pattern: Pattern
  tool: Tool
  reads: Reads
  works: readonly Muscle[]
  /** The bar that it needs, where it is not the usual one. */
  bar?: SpecialBar
}

const loadedWith =
  (tool: Tool, reads: Reads) =>
  (name: string, pattern: Pattern, works: readonly Muscle[]): Exercise => ({
    name,
    pattern,
    tool,
    reads,
    works,
  })
const barbell = loadedWith('barbell', 'total')
const dumbbells = loadedWith('dumbbells', 'per hand')
const machine = loadedWith('machine', 'on the stack')
const oneSide = loadedWith('machine', 'per side')
const bodyWeight = loadedWith('body weight', 'added')
const withBar = (bar: SpecialBar, exercise: Exercise): Exercise => ({ ...exercise, bar })

/** The exercises that templates may use, by the id they are stored under. Ids are never renamed. */
export const exercises = {
  backSquat: barbell('Back squat', 'squat', ['quads', 'glutes']),
  frontSquat: barbell('Front squat', 'squat', ['quads', 'glutes']),
  safetyBarSquat: withBar('safety bar', barbell('Safety-bar squat', 'squat', ['quads', 'glutes'])),
  boxSquat: barbell('Box squat', 'squat', ['quads', 'glutes', 'hamstrings']),
  deadlift: barbell('Deadlift', 'hinge', ['hamstrings', 'glutes', 'back']),
  trapBarDeadlift: withBar('trap bar', barbell('Trap-bar deadlift', 'hinge', ['quads', 'glutes', 'back'])),
  romanianDeadlift: barbell('Romanian deadlift', 'hinge', ['hamstrings', 'glutes']),
  powerClean: barbell('Power clean', 'hinge', ['hamstrings', 'glutes', 'back']),
  goodMorning: barbell('Good morning', 'hinge', ['hamstrings', 'glutes']),
  hipThrust: barbell('Hip thrust', 'hinge', ['glutes']),
  benchPress: barbell('Bench press', 'horizontal push', ['chest', 'triceps', 'shoulders']),
  closeGripBenchPress: barbell('Close-grip bench press', 'horizontal push', ['triceps', 'chest']),
  inclineBenchPress: barbell('Incline bench press', 'horizontal push', ['chest', 'shoulders', 'triceps']),
  dumbbellBenchPress: dumbbells('Dumbbell bench press', 'horizontal push', ['chest', 'triceps', 'shoulders']),
  pushUp: bodyWeight('Push-up', 'horizontal push', ['chest', 'triceps', 'shoulders']),
  dip: bodyWeight('Dip', 'horizontal push', ['chest', 'triceps']),
  overheadPress: barbell('Overhead press', 'vertical push', ['shoulders', 'triceps']),
  pushPress: barbell('Push press', 'vertical push', ['shoulders', 'triceps']),
  dumbbellShoulderPress: dumbbells('Dumbbell shoulder press', 'vertical push', ['shoulders', 'triceps']),
  barbellRow: barbell('Barbell row', 'horizontal pull', ['back', 'biceps']),
  benchPull: barbell('Bench pull', 'horizontal pull', ['back', 'biceps']),
  dumbbellRow: dumbbells('Dumbbell row', 'horizontal pull', ['back', 'biceps']),
  seatedCableRow: machine('Seated cable row', 'horizontal pull', ['back', 'biceps']),
  pullUp: bodyWeight('Pull-up', 'vertical pull', ['back', 'biceps']),
  chinUp: bodyWeight('Chin-up', 'vertical pull', ['back', 'biceps']),
  singleArmPulldown: oneSide('Single-arm pulldown', 'vertical pull', ['back', 'biceps']),
  pulldown: machine('Pulldown', 'vertical pull', ['back', 'biceps']),
  splitSquat: dumbbells('Split squat', 'single leg', ['quads', 'glutes']),
  lunge: dumbbells('Lunge', 'single leg', ['quads', 'glutes']),
  stepUp: dumbbells('Step-up', 'single leg', ['quads', 'glutes']),
  legPress: machine('Leg press', 'squat', ['quads', 'glutes']),
  legCurl: machine('Leg curl', 'hinge', ['hamstrings']),
  backExtension: bodyWeight('Back extension', 'hinge', ['hamstrings', 'glutes', 'back']),
  plank: bodyWeight('Plank', 'trunk', ['trunk']),
  hangingKneeRaise: bodyWeight('Hanging knee raise', 'trunk', ['trunk']),
  barbellCurl: barbell('Barbell curl', 'arms', ['biceps']),
  curlBarCurl: withBar('curl bar', barbell('Curl-bar curl', 'arms', ['biceps'])),
  dumbbellCurl: dumbbells('Dumbbell curl', 'arms', ['biceps']),
  tricepsPushdown: machine('Triceps pushdown', 'arms', ['triceps']),
} satisfies Record<string, Exercise>

export type ExerciseId = keyof typeof exercises

export const exerciseIds = Object.keys(exercises) as ExerciseId[]

export const isExercise = (id: string): id is ExerciseId => Object.hasOwn(exercises, id)
