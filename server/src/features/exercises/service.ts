import { randomUUID } from 'node:crypto'
import type { GivenExercise, GivenMerge, LibraryView } from '@young-oak/api/exercises'
import {
  declaredAs,
  differsIn,
  exerciseIds,
  exercises as builtIn,
  mergeFault,
  type ExerciseId,
  type OwnExercise,
  type OwnExercises,
  type OwnId,
  type Library,
} from '@young-oak/core/library'
import { formatIssue } from '@young-oak/core/parsing'
import { limits, readOwnExercise } from '@young-oak/core/template'
import type { Scope } from '../../database/scope.ts'
import { forgetTraits } from '../groups/traits.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { libraryMark } from '../../http/libraryMark.ts'
import { holdLibrary, libraryRevision, listExercises, saveExercises } from './store.ts'

export async function viewLibrary(scope: Scope): Promise<LibraryView> {
  return { mark: libraryMark(scope.gym, await libraryRevision(scope)), exercises: await listExercises(scope) }
}

/** Adds an exercise of the gym's own under a new id. */
export async function addExercise(scope: Scope, given: GivenExercise): Promise<LibraryView> {
  await holdLibrary(scope)
  const own = await listExercises(scope)
  if (Object.keys(own).length >= limits.exercises)
    throw new Problem('tooMany', `A gym has at most ${limits.exercises} exercises of its own.`)
  const exercise = read(given)
  refuseUnfit(own, null, exercise)
  return save(scope, own, { [mintId()]: exercise })
}

/** Says an exercise anew: its name and notes. What loads and counts are made of stays as it is. */
export async function changeExercise(scope: Scope, id: string, given: GivenExercise): Promise<LibraryView> {
  await holdLibrary(scope)
  const own = await listExercises(scope)
  const before = own[id as OwnId]
  if (!before) throw notFound('exercise')
  const after = read(given)
  const field = differsIn(before, after)
  if (field)
    refuse(
      field,
      'Plans use this value, so it cannot change. Add a new exercise, and merge this one into the new one.',
    )
  refuseUnfit(own, id as OwnId, after)
  return save(scope, own, { [id]: { ...after, ...(before.mergedInto && { mergedInto: before.mergedInto }) } })
}

/**
 * Merges an exercise into another: everything that names it is read as the other from now on, templates and what was logged alike.
 * Nothing stored is changed, so that it can be taken back.
 */
export async function mergeExercise(scope: Scope, id: string, { into }: GivenMerge): Promise<LibraryView> {
  await holdLibrary(scope)
  const own = await listExercises(scope)
  if (!own[id as OwnId]) throw notFound('exercise')
  const { mergedInto: _, ...from } = own[id as OwnId] as OwnExercise
  if (into === null) {
    refuseUnfit(own, id as OwnId, from)
    await forgetTraits(scope)
    return save(scope, own, { [id]: from })
  }
  const target = declaredAs(own, into)
  if (!target || into === id) throw refuse('into', 'Choose the exercise to merge into.')
  const fault = mergeFault(from, target)
  if (fault) refuse('into', fault)
  const users = (Object.entries(own) as [OwnId, OwnExercise][]).filter(([, one]) => one.mergedInto === id)
  const moved = Object.fromEntries(
    [[id, from] as const, ...users].map(([one, exercise]) => [
      one,
      { ...exercise, mergedInto: into as ExerciseId },
    ]),
  )
  await forgetTraits(scope)
  return save(scope, own, moved)
}

/** Stores exercises of the gym. */
async function save(scope: Scope, own: OwnExercises, changed: OwnExercises): Promise<LibraryView> {
  const revision = await saveExercises(scope, changed)
  return { mark: libraryMark(scope.gym, revision), exercises: { ...own, ...changed } }
}

const mintId = (): OwnId => `own:${randomUUID()}`

/** What was given, whole and not merged into anything. */
function read({ exercise: given }: GivenExercise): OwnExercise {
  const { exercise, issues } = readOwnExercise(given)
  if (issues) {
    const errors = issues.map((issue) => ({ path: issue.path, message: formatIssue(issue) }))
    throw new Problem('doesNotFit', errors.map(({ message }) => message).join(' '), errors)
  }
  const { mergedInto: _, ...own } = exercise
  return own
}

/** A name is one exercise's alone, and what an exercise names is there. */
function refuseUnfit(own: OwnExercises, id: OwnId | null, given: OwnExercise): void {
  const name = plain(given.name)
  const others = (Object.entries(own) as [OwnId, OwnExercise][]).filter(([one]) => one !== id)
  const isTaken =
    exerciseIds.some((one) => plain(builtIn[one].name) === name) ||
    others.some(([, one]) => !one.mergedInto && plain(one.name) === name)
  if (isTaken) refuse('name', `There is an exercise called ${given.name} already.`)
  const isThere = (one: string) => one !== id && (Object.hasOwn(own, one) || Object.hasOwn(builtIn, one))
  const lost = given.substitutes?.find((one) => !isThere(one))
  if (lost !== undefined) refuse('substitutes', 'One of these exercises does not exist here.')
  if (!given.parent) return
  if (!isThere(given.parent.exercise)) refuse('parent', 'Choose the parent lift.')
  for (let at: string | undefined = given.parent.exercise; at; at = parentOf(own, at))
    if (at === id) refuse('parent', 'That lift is a variation of this one.')
}

const parentOf = (own: OwnExercises, id: string): string | undefined => declaredAs(own, id)?.parent?.exercise

const plain = (name: string): string => name.trim().toLowerCase()

function refuse(path: string, message: string): never {
  throw new Problem('doesNotFit', message, [{ path, message }])
}

/**
 * Takes up what a file declares: an exercise that the gym has already, by its id or by its name, is that one; any other is added under
 * an id of the gym's own. Answers which id of the file is which here, and the gym's library as it is then.
 */
export async function adoptExercises(
  scope: Scope,
  declared: OwnExercises,
): Promise<{ ids: ReadonlyMap<OwnId, ExerciseId>; library: Library }> {
  const ids = new Map<OwnId, ExerciseId>()
  const entries = Object.entries(declared) as [OwnId, OwnExercise][]
  if (!entries.length) return { ids, library: scope.library }
  await holdLibrary(scope)
  const own = await listExercises(scope)
  const added: OwnExercises = {}
  for (const [id, one] of entries.filter(([, { mergedInto }]) => !mergedInto)) {
    const same = sameHere({ ...own, ...added }, id, one)
    ids.set(id, same ?? mintId())
    if (!same) added[ids.get(id) as OwnId] = { ...one, name: freeName({ ...own, ...added }, one.name) }
  }
  for (const [id, { mergedInto }] of entries)
    if (mergedInto) ids.set(id, ids.get(mergedInto as OwnId) ?? mergedInto)
  if (Object.keys(own).length + Object.keys(added).length > limits.exercises)
    throw new Problem('tooMany', `A gym has at most ${limits.exercises} exercises of its own.`)
  const named = Object.fromEntries(
    (Object.entries(added) as [OwnId, OwnExercise][]).map(([id, one]) => [id, withHereNames(one, ids)]),
  )
  if (Object.keys(named).length) await save(scope, own, named)
  return { ids, library: { ...own, ...named } }
}

function sameHere(own: OwnExercises, id: OwnId, one: OwnExercise): ExerciseId | undefined {
  const byId = own[id]
  if (byId && !differsIn(byId, one)) return byId.mergedInto ?? id
  const named = (Object.entries(own) as [OwnId, OwnExercise][]).find(
    ([, other]) => !other.mergedInto && plain(other.name) === plain(one.name) && !differsIn(other, one),
  )
  return named?.[0]
}

function freeName(own: OwnExercises, name: string): string {
  const taken = new Set([
    ...exerciseIds.map((id) => plain(builtIn[id].name)),
    ...Object.values(own as Record<string, OwnExercise>).map((one) => plain(one.name)),
  ])
  for (let n = 1; ; n++) {
    const tried = n === 1 ? name : `${name.slice(0, 74)} (${n})`
    if (!taken.has(plain(tried))) return tried
  }
}

/** What an exercise of a file names, by the ids of here; what is not here is left out. */
function withHereNames(
  { parent, substitutes, ...one }: OwnExercise,
  ids: ReadonlyMap<string, ExerciseId>,
): OwnExercise {
  const here = (id: string): string | undefined => ids.get(id) ?? (id in builtIn ? id : undefined)
  const derives = parent && here(parent.exercise)
  const others = (substitutes ?? []).flatMap((id) => here(id) ?? [])
  return {
    ...one,
    ...(parent && derives && { parent: { ...parent, exercise: derives } }),
    ...(others.length && { substitutes: others }),
  }
}
