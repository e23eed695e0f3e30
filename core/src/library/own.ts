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

/** Which of the settled fields two say differently. Of muscles only the main has a place; the others come in any order. */
export const differsIn = (a: Exercise, b: Exercise): (typeof settled)[number] | undefined =>
  settled.find((field) => JSON.stringify(kindOf(a)[field]) !== JSON.stringify(kindOf(b)[field]))

const kindOf = ({ direct: [main, ...direct], indirect, ...rest }: Exercise) => ({
  ...rest,
  direct: [main, ...direct.sort()],
  indirect: [...indirect].sort(),
})

/** What merging needs to be equal, since the numbers logged under one become those of the other. */
const numberOf = {
  tool: 'the tool',
  reads: 'what the load means',
  isHeld: 'reps or a hold',
  perSide: 'one side at a time',
  bar: 'its bar',
} as const

/** Why an exercise cannot be merged into another, or null where it can. */
export function mergeFault(from: OwnExercise, into: OwnExercise): string | null {
  if (from === into) return 'An exercise cannot be merged into itself.'
  if (into.mergedInto) return `${into.name} is already merged into another exercise.`
  const apart = (Object.keys(numberOf) as (keyof typeof numberOf)[]).filter(
    (field) => from[field] !== into[field],
  )
  if (!apart.length) return null
  return `${from.name} and ${into.name} differ in ${apart.map((field) => numberOf[field]).join(' and ')}: sets logged under one would not be comparable with the other.`
}

/**
 * A gym's own exercises, beside those that everybody has: what whoever names an exercise of a gym is handed. Plain JSON, so that it goes
 * to a worker, a phone or a job with the rest of what they plan from. `{}` holds those that everybody has, and no others.
 */
export type Library = Readonly<OwnExercises>

/** The exercise of an id as it was declared, merged or not. */
export const declaredAs = (library: Library, id: string): OwnExercise | undefined =>
  Object.hasOwn(exercises, id) ? exercises[id as BuiltInId] : library[id as OwnId]

export const isExercise = (library: Library, id: unknown): id is ExerciseId =>
  typeof id === 'string' && declaredAs(library, id) !== undefined

/** Whether a text may be the id of an exercise: of one that everybody has, or of some gym's own. */
export const isExerciseId = (id: unknown): id is ExerciseId =>
  typeof id === 'string' && (Object.hasOwn(exercises, id) || isOwnId(id))

export const isOwnId = (id: unknown): id is OwnId => typeof id === 'string' && ownIdPattern.test(id)
export const ownIdPattern = /^own:[a-z0-9-]{4,40}$/

/** What is known of the exercise of a lift; of one that is merged, of the one that it is merged into. */
export function exerciseOf(library: Library, { exercise: id }: { exercise: ExerciseId }): Exercise {
  const builtIn = builtIns.get(id)
  if (builtIn) return builtIn
  const one: OwnExercise | undefined = library[id as OwnId]
  if (!one) throw new TypeError(`unknown exercise "${id}": it is not in the library that was handed over`)
  return one.mergedInto ? exerciseOf(library, { exercise: one.mergedInto }) : one
}

const builtIns: ReadonlyMap<ExerciseId, Exercise> = new Map(exerciseIds.map((id) => [id, exercises[id]]))

/**
 * A library with more exercises in it, or with names and notes said anew. What loads and plans read of an id never changes: where it
 * would, the exercise stays as it is known, and the id is among the `clashes`.
 */
export function withExercises(library: Library, more: OwnExercises): { library: Library; clashes: OwnId[] } {
  const entries = Object.entries(more) as [OwnId, OwnExercise][]
  const isClash = ([id, one]: [OwnId, OwnExercise]) => {
    const before = library[id]
    return before !== undefined && differsIn(before, one) !== undefined
  }
  const fitting = entries.filter((entry) => !isClash(entry))
  return {
    library: fitting.length ? { ...library, ...Object.fromEntries(fitting) } : library,
    clashes: entries.filter(isClash).map(([id]) => id),
  }
}

/** The exercises to choose from: those that everybody has, and the gym's own that are merged into no other. */
export function exercisesAtHand(library: Library): readonly ExerciseId[] {
  const known = atHand.get(library)
  if (known) return known
  const own = (Object.keys(library) as OwnId[]).filter((id) => !library[id]?.mergedInto)
  const made = own.length ? [...exerciseIds, ...own] : exerciseIds
  atHand.set(library, made)
  return made
}

/** A library is never changed in place, so its list is kept beside it. */
const atHand = new WeakMap<Library, readonly ExerciseId[]>()
