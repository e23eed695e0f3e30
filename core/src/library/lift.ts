import type { Muscle, Pattern } from './exercise.ts'
import { exerciseIds } from './exercises.ts'
import { exerciseOf, type ExerciseId, type Library } from './own.ts'

/** Key of every max, record and "last time": an exercise, and where it matters its variant ("paused", "blocks 8 cm"). */
export type Lift = { exercise: ExerciseId; variant?: string }

/** Only the lift of whatever has one. */
export const liftOf = ({ exercise, variant }: Lift): Lift => ({ exercise, ...(variant && { variant }) })

/** Lists of lifts go in the order of the library, with the gym's own behind, by name. */
export const compareLifts =
  (library: Library) =>
  (a: Lift, b: Lift): number => {
    const [ofA, ofB] = [a, b].map(({ exercise }) => places.get(exercise) ?? Infinity) as [number, number]
    return ofA === ofB ? liftName(library, a).localeCompare(liftName(library, b)) : ofA - ofB
  }
const places: ReadonlyMap<ExerciseId, number> = new Map(exerciseIds.map((id, i) => [id, i]))

/** A lift as a text key, equal for equal lifts. */
export const liftKey = (lift: Lift): string =>
  lift.variant ? `${lift.exercise}/${lift.variant}` : lift.exercise

/** Whether two are one lift: one exercise in one variant. */
export const isSameLift = (a: Lift, b: Lift): boolean =>
  a.exercise === b.exercise && (a.variant ?? '') === (b.variant ?? '')

/** The lift of a text key. */
export function liftOfKey(key: string): Lift {
  const cut = key.indexOf('/')
  if (cut < 0) return { exercise: key as ExerciseId }
  return { exercise: key.slice(0, cut) as ExerciseId, variant: key.slice(cut + 1) }
}

/** "Back squat, paused". */
export const liftName = (library: Library, lift: Lift): string =>
  lift.variant ? `${exerciseOf(library, lift).name}, ${lift.variant}` : exerciseOf(library, lift).name

/** Upper-body lifts and small machines rise by the smaller step: half of what squats and pulls from the floor do (common practice). */
export function takesSmallSteps(library: Library, lift: Lift): boolean {
  const { pattern, direct, indirect } = exerciseOf(library, lift)
  const isFromFloor = pattern === 'squat' || pattern === 'hinge'
  return !(isFromFloor && (direct.includes('glutes') || indirect.includes('glutes')))
}

/** Lifts that a max may be given for: those with a load, on a bar, in the hand, on a stack or on top of the body. */
export const takesMax = (library: Library, lift: Lift): boolean =>
  !withoutMax.has(exerciseOf(library, lift).pattern)
const withoutMax: ReadonlySet<Pattern> = new Set(['trunk', 'carry', 'jump', 'conditioning'])

/** The muscle that an exercise works main; a task works none. */
export const mainMuscle = (library: Library, lift: Lift): Muscle | undefined =>
  exerciseOf(library, lift).direct[0]

/** What a set counts for a muscle: 1 direct, 0.5 indirect, else 0 (common practice, no source); a slot may say otherwise. */
export function setCounts(
  library: Library,
  lift: Lift,
  muscle: Muscle,
  own?: Partial<Record<Muscle, number>>,
): number {
  const { direct, indirect } = exerciseOf(library, lift)
  return own?.[muscle] ?? (direct.includes(muscle) ? 1 : indirect.includes(muscle) ? 0.5 : 0)
}

/** The name of a max: that of a body-weight lift is of the body and what goes on top. "Pull-up, with the body". */
export const maxName = (library: Library, lift: Lift): string =>
  exerciseOf(library, lift).tool === 'body weight'
    ? `${liftName(library, lift)}, with the body`
    : liftName(library, lift)
