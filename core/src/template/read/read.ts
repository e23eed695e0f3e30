import type { Adjustment } from '../../adjustments/index.ts'
import { type Id, at, Checker, fieldIn, isId, type Issue } from '../../parsing/index.ts'
import { sourceKinds, sourceOf, type LoadBasis, type SourceKind } from '../../loads/index.ts'
import { goalKeys, goalShapes, keyOf, type Goal } from '../../goals/index.ts'
import { type Library } from '../../library/index.ts'
import { warmUpNames, warmUpOf, type WarmUp, type WarmUpName } from '../../warmups/index.ts'
import { findLooseEnds, findUnfinished } from './looseEnds.ts'
import { findOverMax, findStrayStages } from './slotEnds.ts'
import { readChangeOf, readDeload } from './readAdjustment.ts'
import { settleExercises } from './readExercises.ts'
import { readKind } from './readKind.ts'
import { findLayout, restsIn } from './readLayout.ts'
import { readTypedRows } from './typedRows.ts'
import { findIdle, readProgression, readTrigger } from './readProgression.ts'
import { rowsOfWeeks } from './weekRows.ts'
import { templateFormat, upgradeTemplate } from './upgrades/index.ts'
import { placeIn1 } from './upgrades/template1.ts'
import {
  headShape,
  limits,
  sectionShape,
  phaseShape,
  sessionShape,
  setPrescriptionShape,
  slotShape,
  trackShape,
  untilShape,
  weeksField,
} from './shape.ts'
import {
  rowWeeks,
  type Use,
  type LaterPhase,
  type Length,
  type Section,
  type Phase,
  type RowClock,
  type Session,
  type SetPrescription,
  type Slot,
  type SlotStage,
  type Template,
  type Track,
} from '../types.ts'

/** `library` is the one that it was read by, with what the file declares. */
export type ReadTemplate =
  | { template: Template; library: Library; issues?: undefined }
  | { template?: undefined; library?: undefined; issues: Issue[] }

/**
 * Reads a template of format 2, or of an earlier one, from parsed JSON, beside the library of its gym: shape first, then references, then completeness. Defaults are written
 * out, and one row for a phase becomes a row for each of its weeks. Either a whole template or located faults, never half.
 */
export function readTemplate(input: unknown, library: Library = {}): ReadTemplate {
  return read(library, input, (checker, template) => {
    findUnfinished(checker, template)
    findIdle(checker, template)
    for (const [id, slot] of Object.entries(template.slots)) {
      findOverMax(checker, template, slot, at('slots', id))
      findStrayStages(checker, template, slot, at('slots', id))
    }
  })
}

/** A draft on its way: like a template, but that sessions may still be empty. */
export function readDraft(input: unknown, library: Library = {}): ReadTemplate {
  return read(library, input, (checker, template) => {
    findIdle(checker, template)
    for (const [id, slot] of Object.entries(template.slots))
      findOverMax(checker, template, slot, at('slots', id))
  })
}

/** A version as it was published: what is asked of templates today beyond that they can be planned is not asked of it. */
export const readPublished = (input: unknown, library: Library = {}): ReadTemplate =>
  read(library, input, () => undefined)

function read(
  library: Library,
  input: unknown,
  more: (checker: Checker, template: Template) => void,
): ReadTemplate {
  const checker = new Checker(library)
  const format = fieldIn(input, 'format')
  const isMember = fieldIn(input, 'phases') === undefined && fieldIn(input, 'facts') !== undefined
  if (isMember) {
    checker.add('', 'a template, with "phases" and "sessions"', 'a member file', 'Give the template here.')
    return { issues: checker.issues }
  }
  if (typeof format === 'number' && format > templateFormat) {
    const expected = `the number ${templateFormat}, or an earlier format`
    const fix = `It was written by a newer version of Young Oak, and is left as it is. Update this one, or save the file in format ${templateFormat}.`
    checker.add('format', expected, format, fix)
    return { issues: checker.issues }
  }
  const result = readToday(checker, upgradeTemplate(input), more)
  return result.issues ? { issues: result.issues.map((issue) => asWritten(issue, format)) } : result
}

/** A fault at the place where it stands in the file, whose format may be an earlier one. */
export const asWritten = (issue: Issue, format: unknown): Issue =>
  format === 1 ? { ...issue, path: placeIn1(issue.path) } : issue

function readToday(
  checker: Checker,
  input: unknown,
  more: (checker: Checker, template: Template) => void,
): ReadTemplate {
  const written = checker.check(headShape, input, '')
  const head = written && settleExercises(checker, written)
  if (!head || checker.issues.length) return { issues: checker.issues }
  const phases = (head.phases as unknown[])
    .map((phase, i) => readPhase(checker, phase, at('phases', i), head.sessions))
    .filter((phase) => phase !== undefined)
  const named = (head.phases as unknown[]).map((phase) => fieldIn(phase, 'id'))
  const warmUp = head.warmUp === undefined ? undefined : readWarmUp(checker, head.warmUp, 'warmUp')
  const template: Template = {
    format: 2,
    name: head.name,
    ...(head.note && { note: head.note }),
    ...(head.trainingMax && { trainingMax: head.trainingMax }),
    maxes: (head.maxes as Template['maxes'] | undefined) ?? { use: 'newest' },
    missed: head.missed ?? 'hold',
    ...(head.away && { away: head.away }),
    rounding: head.rounding ?? 'nearest',
    ...(head.deloadRounding && { deloadRounding: head.deloadRounding }),
    ...(head.testRounding && { testRounding: head.testRounding }),
    ...(head.deloadPolicy && { deloadPolicy: head.deloadPolicy }),
    ...(head.tempoX && { tempoX: head.tempoX }),
    ...(warmUp && { warmUp }),
    phases,
    ...(head.later && { later: head.later as LaterPhase[] }),
    sessions: readMap(checker, head.sessions, 'sessions', readSession),
    slots: readMap(checker, readTypedRows(checker, head), 'slots', (c, value, path) =>
      readSlot(c, value, path, phases, named),
    ),
    progressions: readMap(checker, head.progressions ?? {}, 'progressions', readProgression),
    tracks: readMap(checker, head.tracks ?? {}, 'tracks', readTrack, limits.tracks),
  }
  if (!checker.issues.length) findLooseEnds(checker, template)
  if (!checker.issues.length) more(checker, template)
  return checker.issues.length
    ? { issues: checker.issues }
    : { template: asOneShape(template), library: checker.library }
}

/** A template whose like objects were made alike: read piece by piece nearly each has a hidden class of its own, and plans take a third longer. */
const asOneShape = (template: Template): Template => JSON.parse(JSON.stringify(template)) as Template

function readMap<T>(
  checker: Checker,
  value: unknown,
  path: string,
  read: (checker: Checker, value: unknown, path: string) => T | undefined,
  most = limits.entries,
): Record<Id, T> {
  const entries = checker.entries(value, path, `${path} by id`)
  if (entries.length > most) checker.add(path, `at most ${most} ${path}`, entries)
  const result: Record<Id, T> = {}
  for (const [id, piece] of entries.slice(0, most)) {
    if (!isId(id)) {
      checker.add(path, 'ids of 1 to 80 letters, digits and - _ . :', id)
      continue
    }
    const made = read(checker, piece, at(path, id))
    if (made !== undefined) result[id] = made
  }
  return result
}

function readPhase(checker: Checker, value: unknown, path: string, sessions: unknown): Phase | undefined {
  const phase = checker.check(phaseShape, value, path)
  const weeks = phase && readLength(checker, phase.weeks, at(path, 'weeks'))
  if (!phase || !weeks) return undefined
  const deloads = ((phase.deloads ?? []) as unknown[]).map((one, i) =>
    readDeload(checker, one, at(at(path, 'deloads'), i), rowWeeks({ weeks } as Phase)),
  )
  const { rotation, layout } = restsIn(checker, phase as Pick<Phase, 'rotation' | 'layout'>, sessions, path)
  if (layout) findLayout(checker, { rotation, perWeek: phase.perWeek, layout }, path)
  return {
    id: phase.id,
    name: phase.name,
    weeks,
    rotation,
    perWeek: phase.perWeek,
    deloads: deloads.filter((one) => one !== undefined),
    ...(phase.ends && { ends: phase.ends }),
    ...(phase.defaults && { defaults: phase.defaults as Phase['defaults'] }),
    ...(layout && { layout }),
  }
}

export function readLength(checker: Checker, value: unknown, path: string): Length | undefined {
  if (typeof value !== 'object') return checker.check(weeksField(), value as number, path)
  const length = checker.check(untilShape, value, path)
  if (!length) return undefined
  const { progression, ...sign } = length.until as { progression?: unknown }
  const until = readTrigger(checker, sign, at(path, 'until'))
  if (!isId(progression)) checker.add(at(at(path, 'until'), 'progression'), 'a progression’s id', progression)
  if (until?.trigger === 'weeks')
    checker.add(
      at(at(path, 'until'), 'trigger'),
      'a trigger that is trained for',
      until.trigger,
      'The weeks of a phase are its "least" and "most".',
    )
  if (!until || !isId(progression)) return undefined
  return { least: length.least, most: length.most, until: { ...until, progression } }
}

export function readTrack(checker: Checker, value: unknown, path: string): Track | undefined {
  const track = checker.check(trackShape, value, path)
  if (!track) return undefined
  const changes = (track.changes as unknown[]).map((one, i) =>
    readChangeOf(checker, one, at(at(path, 'changes'), i)),
  )
  return { name: track.name, changes: changes.filter((one): one is Adjustment => one !== undefined) }
}

function readSession(checker: Checker, value: unknown, path: string): Session | undefined {
  const session = checker.check(sessionShape, value, path)
  if (!session) return undefined
  const sections = (session.sections as unknown[]).map((section, i) =>
    checker.check(sectionShape, section, at(at(path, 'sections'), i)),
  )
  return {
    name: session.name,
    sections: sections.filter((section) => section !== undefined) as Section[],
    ...(session.defaults && { defaults: session.defaults as Session['defaults'] }),
  }
}

/** `named`: every phase that the file has, those with faults as well. */
export function readSlot(
  checker: Checker,
  value: unknown,
  path: string,
  phases: Phase[],
  named: readonly unknown[] = [],
): Slot | undefined {
  const slot = checker.check(slotShape, value, path)
  if (!slot) return undefined
  const by: RowClock = slot.by ?? 'week'
  const rows: Slot['rows'] = {}
  for (const [id, list] of checker.entries(slot.rows, at(path, 'rows'), 'rows by phase id')) {
    const place = at(at(path, 'rows'), id)
    const phase = phases.find((one) => one.id === id)
    // A phase with faults of its own has them said already.
    if (!phase && named.includes(id)) continue
    if (!phase) checker.add(place, `a phase of this template (${phases.map((one) => one.id).join(', ')})`, id)
    else rows[id] = readRows(checker, list, place, by, phase)
  }
  const uses = ((slot.uses ?? []) as { progression: Id; role?: Use['role']; full?: true }[]).map(
    ({ progression, role = 'main', full }): Use => ({ progression, role, ...(full && { full }) }),
  )
  const { warmUp: given, inStages, ...rest } = slot as { warmUp?: unknown; inStages?: StageWritten[] }
  const warmUp =
    given === undefined || given === 'none' ? given : readWarmUp(checker, given, at(path, 'warmUp'))
  const stages = inStages && readSlotStages(checker, inStages, path)
  return {
    ...rest,
    ...(warmUp !== undefined && { warmUp }),
    uses,
    by,
    rows,
    ...(stages && { inStages: stages }),
  } as Slot
}

export const readSlotStages = (checker: Checker, stages: unknown[], path: string): SlotStage[] =>
  stages.map((one, i) => readSlotStage(checker, one as StageWritten, at(at(path, 'inStages'), i)))

type StageWritten = Omit<SlotStage, 'rows'> & { rows: unknown }

function readSlotStage(checker: Checker, { rows, ...rest }: StageWritten, path: string): SlotStage {
  const place = at(path, 'rows')
  const fits = Array.isArray(rows) && rows.length > 0 && rows.length <= limits.days
  if (!fits) checker.add(place, `1 to ${limits.days} rows: one, or one for each day of the week`, rows)
  return { ...rest, rows: fits ? rows.map((row, i) => readRow(checker, row, at(place, i))) : [] }
}

export const readWarmUp = (checker: Checker, value: unknown, path: string): WarmUp | undefined =>
  readKind(checker, value, path, 'kind', warmUpNames, (kind) => warmUpOf[kind as WarmUpName])

/** Rows by week are written out, one for each week; other rows are as many as there are. */
export function readRows(
  checker: Checker,
  value: unknown,
  path: string,
  by: RowClock,
  phase: Phase,
): SetPrescription[][] {
  const weeks = rowWeeks(phase)
  const fits: Record<RowClock, (count: number) => boolean> = {
    week: (count) => count === 1 || count === weeks,
    exposure: (count) => count <= limits.weeks,
    day: (count) => count <= phase.perWeek,
    toTest: (count) => count <= limits.weeks,
  }
  const expected: Record<RowClock, string> = {
    week: `${weeks} rows, one for each week of the phase, or one row for all of them`,
    exposure: `1 to ${limits.weeks} rows, one for each exposure`,
    day: `1 to ${phase.perWeek} rows, one for each day of the week`,
    toTest: `1 to ${limits.weeks} rows, the last one for the week of the test`,
  }
  if (!Array.isArray(value) || !value.length || !fits[by](value.length)) {
    checker.add(path, expected[by], value)
    return []
  }
  const isAllWeeks = by === 'week' && value.length === 1
  const rows = value.map((row, i) => readRow(checker, row, at(path, i), isAllWeeks))
  return isAllWeeks ? rowsOfWeeks(rows[0] ?? [], phase, weeks) : rows
}

/** `isAllWeeks`: the row stands for every week of its phase, so that RIR may fall by a ramp in it. */
export function readRow(
  checker: Checker,
  value: unknown,
  path: string,
  isAllWeeks = false,
): SetPrescription[] {
  if (!Array.isArray(value) || value.length < 1 || value.length > limits.prescriptions) {
    checker.add(path, `a list of 1 to ${limits.prescriptions} set prescriptions`, value)
    return []
  }
  const ids = new Set<Id>()
  return value.flatMap((piece, i) => {
    const place = at(path, i)
    const prescribed = checker.check(setPrescriptionShape, piece, place)
    if (!prescribed) return []
    const load = readLoad(checker, prescribed.load, at(place, 'load'))
    const goal = readGoal(checker, prescribed.goal, at(place, 'goal'))
    const id = prescribed.id ?? String(i + 1)
    if (typeof prescribed.rir === 'object' && !isAllWeeks)
      checker.add(
        at(place, 'rir'),
        'RIR, a whole number from 0 to 10',
        prescribed.rir,
        'A ramp stands in one row for all weeks, or among the defaults of a phase or session.',
      )
    if (ids.has(id)) checker.add(at(place, 'id'), 'an id of its own in the row', id)
    ids.add(id)
    return load && goal ? [{ ...prescribed, id, goal, load } as SetPrescription] : []
  })
}

export const readLoad = (checker: Checker, value: unknown, path: string): LoadBasis | undefined =>
  readKind(checker, value, path, 'of', sourceKinds, (of) => sourceOf[of as SourceKind])

/** A goal is named by the key that it has. */
export function readGoal(checker: Checker, value: unknown, path: string): Goal | undefined {
  const isObject = typeof value === 'object' && value !== null
  const key = isObject ? keyOf(value) : undefined
  if (key) return checker.check(goalShapes[key], value, path) as Goal | undefined
  checker.add(path, `a goal with one of the keys ${goalKeys.join(', ')}`, value)
  return undefined
}
