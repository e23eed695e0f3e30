import {
  declaredAs,
  isOwnId,
  withExercises,
  mergedOf,
  mergeFault,
  ownIdPattern,
  renameExercises,
  type OwnExercise,
  type OwnExercises,
  type OwnId,
} from '../../library/index.ts'
import { at, Checker, type Issue } from '../../parsing/index.ts'
import { ownExerciseShape } from './exerciseShape.ts'
import { limits } from './shape.ts'

/**
 * Reads the exercises of a gym that a file declares and puts them into the library that it is read by, before anything in it names
 * them. Returns the file with what is merged called by what it is merged into.
 */
export function settleExercises<T extends { exercises?: unknown }>(checker: Checker, file: T): T {
  if (file.exercises === undefined) return file
  const declared = readExercises(checker, file.exercises, 'exercises')
  if (checker.issues.length) return file
  const { library, clashes } = withExercises(checker.library, declared)
  for (const id of clashes) {
    const fix = 'Give this one an id of its own.'
    checker.add(at('exercises', id), 'the exercise that is known by this id', declared[id]?.name, fix)
  }
  checker.library = library
  return renameExercises(file, mergedOf(declared))
}

/** One exercise as somebody adds it; faults are located in it. */
export function readOwnExercise(
  value: unknown,
): { exercise: OwnExercise; issues?: undefined } | { exercise?: undefined; issues: Issue[] } {
  const checker = new Checker({})
  const exercise = checker.check(ownExerciseShape, value, '')
  return exercise ? { exercise: exercise as OwnExercise } : { issues: checker.issues }
}

/** Exercises by id as a file declares them. */
export function readOwnExercises(value: unknown): { declared: OwnExercises; issues: Issue[] } {
  const checker = new Checker({})
  return { declared: readExercises(checker, value, 'exercises'), issues: checker.issues }
}

function readExercises(checker: Checker, value: unknown, path: string): OwnExercises {
  const entries = checker.entries(value, path, 'exercises of the gym by id')
  if (entries.length > limits.exercises) checker.add(path, `at most ${limits.exercises} exercises`, entries)
  const read: OwnExercises = {}
  for (const [id, one] of entries.slice(0, limits.exercises)) {
    if (!isOwnId(id)) checker.add(path, `ids like own:sled-push, ${ownIdPattern.source}`, id)
    else {
      const exercise = checker.check(ownExerciseShape, one, at(path, id))
      if (exercise) read[id] = exercise as OwnExercise
    }
  }
  for (const [id, into] of mergedOf(read)) {
    const place = at(at(path, id), 'mergedInto')
    const [from, target] = [read[id] as OwnExercise, read[into as OwnId] ?? declaredAs(checker.library, into)]
    if (!target) checker.add(place, 'an exercise of the library or of this file', into)
    else if (mergeFault(from, target)) checker.add(place, 'an exercise whose numbers mean the same', into)
  }
  return read
}
