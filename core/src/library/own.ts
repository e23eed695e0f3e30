import type { Exercise } from './exercise.ts'
import { exerciseIds, exercises, type BuiltInId } from './exercises.ts'

/** The id of a gym's own exercise: minted once by chance, so that it is the same exercise wherever it turns up. */
export type OwnId = `own:${string}`

/** The exercises that templates may use, by the id they are stored under. */
export type ExerciseId = BuiltInId | OwnId

/** An exercise of a gym. Once it is merged into another, what names it is read as that other. */
export type OwnExercise = Exercise & { mergedInto?: ExerciseId }
export type OwnExercises = Record<OwnId, OwnExercise>

/**
 * What loads, counts and plans read of an exercise. It is settled once and for all: a plan made today must come out the same in a
 * year. What is mistaken is added anew, and the old one merged into it.
 */
export const settled = [
  'pattern',
  'tool',
  'reads',
  'direct',
  'indirect',
  'isHeld',
  'perSide',
  'bar',
] as const satisfies (keyof Exercise)[]

/** Which of the settled fields two say differently. Of muscles only the foremost has a place; the others come in any order. */
export const differsIn = (a: Exercise, b: Exercise): (typeof settled)[number] | undefined =>
  settled.find((field) => JSON.stringify(kindOf(a)[field]) !== JSON.stringify(kindOf(b)[field]))

const kindOf = ({ direct: [foremost, ...direct], indirect, ...rest }: Exercise) => ({
  ...rest,
  direct: [foremost, ...direct.sort()],
  indirect: [...indirect].sort(),
})

/** What merging needs to be equal, since the numbers logged under one become those of the other. */
const numberOf = {
  tool: 'its tool',
  reads: 'what its number means',
  isHeld: 'reps or a hold',
  perSide: 'one side at a time',
  bar: 'its bar',
} as const

/** Why an exercise cannot be merged into another, or null where it can. */
export function mergeFault(from: OwnExercise, into: OwnExercise): string | null {
  if (from === into) return 'An exercise is not merged into itself.'
  if (into.mergedInto) return `${into.name} is merged into another itself.`
  const apart = (Object.keys(numberOf) as (keyof typeof numberOf)[]).filter(
    (field) => from[field] !== into[field],
  )
  if (!apart.length) return null
  return `${from.name} and ${into.name} differ in ${apart.map((field) => numberOf[field]).join(' and ')}: what was logged under one would not be comparable.`
}

/**
 * Exercises by id: the library's, and those of gyms. It is a dictionary, not a state that a plan could depend on: what is settled of an
 * id never changes, and whatever names one was read beside what declares it.
 */
const known: Map<string, OwnExercise> = new Map(Object.entries<OwnExercise>(exercises))

/** Makes exercises of a gym known, or their names and notes known anew. Says which are known as something else: those stay. */
export function knowExercises(own: OwnExercises): OwnId[] {
  return (Object.entries(own) as [OwnId, OwnExercise][]).flatMap(([id, one]) => {
    const before = known.get(id)
    if (before && differsIn(before, one)) return [id]
    known.set(id, one)
    return []
  })
}

/** A gym's exercises by these ids, as they are known. */
export const ownExercises = (ids: Iterable<OwnId>): OwnExercises =>
  Object.fromEntries([...ids].flatMap((id) => (known.has(id) ? [[id, known.get(id) as OwnExercise]] : [])))

export const isOwnId = (id: unknown): id is OwnId => typeof id === 'string' && ownIdPattern.test(id)
export const ownIdPattern = /^own:[a-z0-9-]{4,40}$/

/** The exercise of an id as it was declared, merged or not. */
export const declaredAs = (id: string): OwnExercise | undefined => known.get(id)

export const isExercise = (id: unknown): id is ExerciseId => typeof id === 'string' && known.has(id)

/** What is known of the exercise of a lift; of one that is merged, of the one that it is merged into. */
export function exerciseOf({ exercise: id }: { exercise: ExerciseId }): Exercise {
  const one = known.get(id)
  if (!one) throw new TypeError(`unknown exercise "${id}": what names it was read without what declares it`)
  return one.mergedInto ? exerciseOf({ exercise: one.mergedInto }) : one
}

let shelf: readonly OwnId[] = []

/** Puts the exercises of one gym among those that are looked for by name: for a page or a command, which serve one gym at a time. */
export function openShelf(ids: readonly OwnId[]): void {
  shelf = ids.filter((id) => known.has(id) && !known.get(id)?.mergedInto)
}

/** The exercises to choose from: those of the library, and those on the shelf. */
export const exercisesAtHand = (): readonly ExerciseId[] =>
  shelf.length ? [...exerciseIds, ...shelf] : exerciseIds
