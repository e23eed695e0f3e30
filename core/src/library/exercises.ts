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
export type Reads = 'total' | 'per hand' | 'added' | 'on the stack'

export type Exercise = { name: string; pattern: Pattern; tool: Tool; reads: Reads }

const barbell = (name: string, pattern: Pattern): Exercise => ({
  name,
  pattern,
  tool: 'barbell',
  reads: 'total',
})
const dumbbells = (name: string, pattern: Pattern): Exercise => ({
  name,
  pattern,
  tool: 'dumbbells',
  reads: 'per hand',
})
const machine = (name: string, pattern: Pattern): Exercise => ({
  name,
  pattern,
  tool: 'machine',
  reads: 'on the stack',
})
const bodyWeight = (name: string, pattern: Pattern): Exercise => ({
  name,
  pattern,
  tool: 'body weight',
  reads: 'added',
})

/** The exercises that templates may use, by the id they are stored under. Ids are never renamed. */
export const exercises = {
  backSquat: barbell('Back squat', 'squat'),
  frontSquat: barbell('Front squat', 'squat'),
  boxSquat: barbell('Box squat', 'squat'),
  deadlift: barbell('Deadlift', 'hinge'),
  romanianDeadlift: barbell('Romanian deadlift', 'hinge'),
  powerClean: barbell('Power clean', 'hinge'),
  goodMorning: barbell('Good morning', 'hinge'),
  hipThrust: barbell('Hip thrust', 'hinge'),
  benchPress: barbell('Bench press', 'horizontal push'),
  closeGripBenchPress: barbell('Close-grip bench press', 'horizontal push'),
  inclineBenchPress: barbell('Incline bench press', 'horizontal push'),
  dumbbellBenchPress: dumbbells('Dumbbell bench press', 'horizontal push'),
  pushUp: bodyWeight('Push-up', 'horizontal push'),
  dip: bodyWeight('Dip', 'horizontal push'),
  overheadPress: barbell('Overhead press', 'vertical push'),
  pushPress: barbell('Push press', 'vertical push'),
  dumbbellShoulderPress: dumbbells('Dumbbell shoulder press', 'vertical push'),
  barbellRow: barbell('Barbell row', 'horizontal pull'),
  benchPull: barbell('Bench pull', 'horizontal pull'),
  dumbbellRow: dumbbells('Dumbbell row', 'horizontal pull'),
  seatedCableRow: machine('Seated cable row', 'horizontal pull'),
  pullUp: bodyWeight('Pull-up', 'vertical pull'),
  chinUp: bodyWeight('Chin-up', 'vertical pull'),
  pulldown: machine('Pulldown', 'vertical pull'),
  splitSquat: dumbbells('Split squat', 'single leg'),
  lunge: dumbbells('Lunge', 'single leg'),
  stepUp: dumbbells('Step-up', 'single leg'),
  legPress: machine('Leg press', 'squat'),
  legCurl: machine('Leg curl', 'hinge'),
  backExtension: bodyWeight('Back extension', 'hinge'),
  plank: bodyWeight('Plank', 'trunk'),
  hangingKneeRaise: bodyWeight('Hanging knee raise', 'trunk'),
  barbellCurl: barbell('Barbell curl', 'arms'),
  dumbbellCurl: dumbbells('Dumbbell curl', 'arms'),
  tricepsPushdown: machine('Triceps pushdown', 'arms'),
} as const satisfies Record<string, Exercise>

export type ExerciseId = keyof typeof exercises

export const exerciseIds = Object.keys(exercises) as ExerciseId[]

export const isExercise = (id: string): id is ExerciseId => Object.hasOwn(exercises, id)
