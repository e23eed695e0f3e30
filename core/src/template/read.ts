import { changeNames, changeOf, type Change, type ChangeName } from '../adjustments/registry.ts'
import { exerciseIds } from '../library/index.ts'
import { sourceKinds, sourceOf, type LoadBasis, type SourceKind } from '../loads/registry.ts'
import { ruleKinds, ruleOf, type RuleKind, type Stage } from '../progressions/registry.ts'
import { at, Checker, isId, type Issue } from '../reading/index.ts'
import { findLooseEnds } from './looseEnds.ts'
import {
  adjustmentShape,
  headShape,
  limits,
  partShape,
  phaseShape,
  progressionShape,
  sessionShape,
  setGroupShape,
  slotShape,
  stageShape,
  whereShape,
} from './shape.ts'
import type {
  Adjustment,
  Id,
  Part,
  Phase,
  Progression,
  Session,
  SetGroup,
  Slot,
  Template,
  Where,
} from './types.ts'

export type ReadTemplate =
  { template: Template; issues?: undefined } | { template?: undefined; issues: Issue[] }

/**
 * Reads a template of format 1 from parsed JSON: shape first, then references, then completeness. Defaults are written
 * out, and one row for a phase becomes a row for each of its weeks. Either a whole template or located faults, never half.
 */
export function readTemplate(input: unknown): ReadTemplate {
  const checker = new Checker()
  const head = checker.check(headShape, input, '')
  if (!head) return { issues: checker.issues }
  const phases = (head.phases as unknown[]).map((phase, i) => readPhase(checker, phase, at('phases', i)))
  const weeksOf = new Map(phases.flatMap((phase) => (phase ? [[phase.id, phase.weeks] as const] : [])))
  const template: Template = {
    format: 1,
    name: head.name,
    ...(head.note && { note: head.note }),
    ...(head.trainingMax && { trainingMax: head.trainingMax }),
    missed: head.missed ?? 'hold',
    rounding: head.rounding ?? 'nearest',
    phases: phases.filter((phase) => phase !== undefined),
    sessions: readMap(checker, head.sessions, 'sessions', readSession),
    slots: readMap(checker, head.slots, 'slots', (c, value, path) => readSlot(c, value, path, weeksOf)),
    progressions: readMap(checker, head.progressions ?? {}, 'progressions', readProgression),
  }
  if (!checker.issues.length) findLooseEnds(checker, template)
  return checker.issues.length ? { issues: checker.issues } : { template }
}

function readMap<T>(
  checker: Checker,
  value: unknown,
  path: string,
  read: (checker: Checker, value: unknown, path: string) => T | undefined,
): Record<Id, T> {
  const entries = checker.entries(value, path, `${path} by id`)
  if (entries.length > limits.entries) checker.add(path, `at most ${limits.entries} ${path}`, entries)
  const result: Record<Id, T> = {}
  for (const [id, piece] of entries.slice(0, limits.entries)) {
    if (!isId(id)) {
      checker.add(path, 'ids of 1 to 80 letters, digits and - _ . :', id)
      continue
    }
    const made = read(checker, piece, at(path, id))
    if (made !== undefined) result[id] = made
  }
  return result
}

function readPhase(checker: Checker, value: unknown, path: string): Phase | undefined {
  const phase = checker.check(phaseShape, value, path)
  if (!phase) return undefined
  const light = ((phase.light ?? []) as unknown[]).map((one, i) =>
    readLight(checker, one, at(at(path, 'light'), i), phase.weeks),
  )
  return {
    id: phase.id,
    name: phase.name,
    weeks: phase.weeks,
    rotation: phase.rotation as Id[],
    perWeek: phase.perWeek,
    light: light.filter((one) => one !== undefined),
  }
}

function readLight(checker: Checker, value: unknown, path: string, weeks: number): Adjustment | undefined {
  const piece = checker.check(adjustmentShape, value, path)
  if (!piece) return undefined
  const change = readKind<Change>(
    checker,
    piece.do,
    at(path, 'do'),
    'kind',
    changeNames,
    (kind) => changeOf[kind as ChangeName],
  )
  const where = checker.check(whereShape, piece.where, at(path, 'where')) as Where | undefined
  if (!change || !where) return undefined
  if (!changeOf[change.kind].lightens(change)) {
    checker.add(
      at(path, 'do'),
      'a change that lowers something and raises nothing',
      change,
      'A light week is never heavier.',
    )
  }
  if (!where.weeks)
    checker.add(at(at(path, 'where'), 'weeks'), 'the weeks of the phase that are light', undefined, 'Add it.')
  where.weeks?.forEach((week, i) => {
    if (week > weeks)
      checker.add(at(at(at(path, 'where'), 'weeks'), i), `a week of this phase, 1 to ${weeks}`, week)
  })
  return { id: piece.id, do: change, where }
}

function readSession(checker: Checker, value: unknown, path: string): Session | undefined {
  const session = checker.check(sessionShape, value, path)
  if (!session) return undefined
  const parts = (session.parts as unknown[]).map((part, i) =>
    checker.check(partShape, part, at(at(path, 'parts'), i)),
  )
  return { name: session.name, parts: parts.filter((part) => part !== undefined) as Part[] }
}

export function readSlot(
  checker: Checker,
  value: unknown,
  path: string,
  weeksOf: Map<Id, number>,
): Slot | undefined {
  const slot = checker.check(slotShape, value, path)
  if (!slot) return noteNearName(checker, value, path)
  const rows: Slot['rows'] = {}
  for (const [phase, list] of checker.entries(slot.rows, at(path, 'rows'), 'rows by phase id')) {
    const place = at(at(path, 'rows'), phase)
    const weeks = weeksOf.get(phase)
    if (weeks === undefined)
      checker.add(place, `a phase of this template (${[...weeksOf.keys()].join(', ')})`, phase)
    else rows[phase] = readRows(checker, list, place, weeks)
  }
  const { follows, ...rest } = slot
  const role = follows && { progression: follows.progression, role: follows.role ?? 'main' }
  return { ...rest, ...(role && { follows: role }), by: 'week', rows } as Slot
}

function readRows(checker: Checker, value: unknown, path: string, weeks: number): SetGroup[][] {
  if (!Array.isArray(value) || (value.length !== 1 && value.length !== weeks)) {
    checker.add(path, `${weeks} rows, one for each week of the phase, or one row for all of them`, value)
    return []
  }
  const rows = value.map((row, i) => readRow(checker, row, at(path, i)))
  return rows.length === weeks ? rows : Array.from({ length: weeks }, () => rows[0] ?? [])
}

function readRow(checker: Checker, value: unknown, path: string): SetGroup[] {
  if (!Array.isArray(value) || value.length < 1 || value.length > limits.groups) {
    checker.add(path, `a list of 1 to ${limits.groups} groups of sets`, value)
    return []
  }
  const ids = new Set<Id>()
  return value.flatMap((piece, i) => {
    const place = at(path, i)
    const group = checker.check(setGroupShape, piece, place)
    if (!group) return []
    const load = readLoad(checker, group.load, at(place, 'load'))
    const id = group.id ?? String(i + 1)
    if (ids.has(id)) checker.add(at(place, 'id'), 'an id of its own in the row', id)
    ids.add(id)
    return load ? [{ ...group, id, load } as SetGroup] : []
  })
}

export const readLoad = (checker: Checker, value: unknown, path: string): LoadBasis | undefined =>
  readKind(checker, value, path, 'of', sourceKinds, (of) => sourceOf[of as SourceKind])

function readProgression(checker: Checker, value: unknown, path: string): Progression | undefined {
  const progression = checker.check(progressionShape, value, path)
  if (!progression) return undefined
  const stages = (progression.stages as unknown[]).flatMap((piece, i) => {
    const place = at(at(path, 'stages'), i)
    const stage = checker.check(stageShape, piece, place)
    if (!stage) return []
    const rule = stage.rule as unknown as RuleKind
    if (!ruleKinds.includes(rule)) {
      checker.add(at(place, 'rule'), `one of ${ruleKinds.join(', ')}`, stage.rule)
      return []
    }
    const params = checker.check(ruleOf[rule].params, stage.params, at(place, 'params'))
    return params ? [{ id: stage.id, rule, params } as Stage] : []
  })
  return { stages }
}

/** Reads `{"<key>": kind, …params}` against the parameters of that kind. */
function readKind<T>(
  checker: Checker,
  value: unknown,
  path: string,
  key: 'of' | 'kind',
  kinds: readonly string[],
  unit: (kind: string) => { params: { validateSync(value: unknown, options?: object): unknown } },
): T | undefined {
  const { [key]: kind, ...params } = (value ?? {}) as Record<string, unknown>
  if (typeof kind !== 'string' || !kinds.includes(kind)) {
    checker.add(at(path, key), `one of ${kinds.join(', ')}`, kind)
    return undefined
  }
  const read = checker.check(unit(kind).params as Parameters<Checker['check']>[0], params, path)
  return read ? ({ [key]: kind, ...(read as object) } as T) : undefined
}

/** An unknown exercise is most often a spelling: name the closest one. */
function noteNearName(checker: Checker, value: unknown, path: string): undefined {
  const issue = checker.issues.findLast(({ path: p }) => p === at(path, 'exercise'))
  const given = String((value as { exercise?: unknown } | null)?.exercise ?? '').toLowerCase()
  const near = exerciseIds.find((id) => id.toLowerCase() === given.replace(/[\s_-]/g, ''))
  if (issue) issue.fix = near ? `Write "${near}".` : 'docs/reference.md lists the exercises.'
}
