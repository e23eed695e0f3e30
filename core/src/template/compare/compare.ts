import type { Adjustment } from '../../adjustments/index.ts'
import type { Id } from '../../parsing/index.ts'
import { liftName, type Library } from '../../library/index.ts'
import { repTableTitle } from '../../maxes/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import { triggerOf } from '../../triggers/index.ts'
import { formatNumber, formatRest, wayWords } from '../../units/index.ts'
import { warmUpOf } from '../../warmups/index.ts'
import { cellFields, cellNames, detailFields, formatCell } from '../cells/cells.ts'
import { formatSets } from '../cells/shorthand.ts'
import { sayAdjustment, slotName, type Difference } from './sayAdjustment.ts'
import {
  slotsOf,
  type Defaults,
  type Phase,
  type Progression,
  type RowClock,
  type Session,
  type Slot,
  type Template,
  type LaterPhase,
} from '../types.ts'
import { sayRamp } from '../rirRamp.ts'
import { sayLayout } from './sayLayout.ts'

/** What changed from one version of a template to the next, as lines that a writer reads before publishing. */
export function compareTemplates(library: Library, before: Template, after: Template): Difference[] {
  return [
    ...compareHead(library, before, after),
    ...comparePhases(library, before, after),
    ...compareSessions(library, before, after),
    ...compareSlots(library, before, after),
    ...compareProgressions(library, before, after),
    ...compareTracks(library, before, after),
  ]
}

function compareHead(library: Library, before: Template, after: Template): Difference[] {
  const said: Record<string, (template: Template) => string> = {
    Name: ({ name }) => name,
    Note: ({ note = 'none' }) => note,
    'Training max': ({ trainingMax }) => (trainingMax === undefined ? 'none' : `${trainingMax}% of the 1RM`),
    'Max in force': ({ maxes }) =>
      maxes.use === 'newest' ? 'the newest' : `the best of ${maxes.weeks} weeks`,
    'Maxes trusted for': ({ maxes }) =>
      maxes.fresh === undefined ? 'the usual weeks' : `${maxes.fresh} weeks`,
    'Lifts tied by a ratio': ({ maxes }) =>
      (maxes.ratios ?? [])
        .map(({ lift, of, percent }) => `${liftName(library, lift)} ${percent}% of ${liftName(library, of)}`)
        .join(', ') || 'none',
    'Percentages for reps': ({ maxes }) => repTableTitle(maxes.table ?? 'handbook'),
    'Missed weeks': ({ missed }) => missed,
    'After an absence': ({ away }) => (away ? `of ${away.weeks} weeks, load ${away.back}%` : 'as written'),
    Rounding: ({ rounding }) => wayWords[rounding],
    'Rounding in deloads': ({ deloadRounding = 'nearestDown' }) => wayWords[deloadRounding],
    'Rounding of tests': ({ testRounding = 'down' }) => wayWords[testRounding],
    Deloads: ({ deloadPolicy: deloadPolicy = 'both' }) => deloadPolicy,
    'X in a tempo': ({ tempoX = 1 }) => `${formatNumber(tempoX)} s`,
    'Warm-up': ({ warmUp }) => sayWarmUp(warmUp),
    'Still to be written': ({ later }) => (later ?? []).map(sayLater).join(', ') || 'nothing',
  }
  return Object.entries(said).flatMap(([where, say]) => changed(where, say(before), say(after)))
}

/** "Peak, 3 weeks"; a phase whose length is not known yet by its name. */
export const sayLater = ({ name, weeks }: LaterPhase): string =>
  weeks === undefined ? name : `${name}, ${weeks} ${weeks === 1 ? 'week' : 'weeks'}`

/** How lifts are ramped up to, in a sentence. */
export const sayWarmUp = (warmUp: Template['warmUp']): string =>
  warmUp ? warmUpOf[warmUp.kind].sentence(warmUp) : 'None.'

function comparePhases(library: Library, before: Template, after: Template): Difference[] {
  const rotation = (template: Template, phase: Phase) =>
    phase.rotation.map((id) => template.sessions[id]?.name ?? id).join(', ')
  const length = ({ weeks }: Phase) =>
    typeof weeks === 'number'
      ? String(weeks)
      : `${weeks.least} to ${weeks.most}, until ${triggerOf[weeks.until.trigger].sentence(weeks.until)}`
  const pairs = pairUp(
    Object.fromEntries(before.phases.map((phase) => [phase.id, phase])),
    Object.fromEntries(after.phases.map((phase) => [phase.id, phase])),
  )
  return pairs.flatMap(({ was, is }) => {
    const where = (is ?? was)?.name ?? ''
    if (!was || !is) return [{ where, what: was ? 'phase removed' : 'phase added' }]
    return [
      ...changed(`${where}, name`, was.name, is.name),
      ...changed(`${where}, weeks`, length(was), length(is)),
      ...changed(`${where}, sessions a week`, String(was.perWeek), String(is.perWeek)),
      ...changed(`${where}, inherited`, sayDefaults(was), sayDefaults(is)),
      ...changed(`${where}, ends`, was.ends ?? 'with its weeks', is.ends ?? 'with its weeks'),
      ...changed(`${where}, days`, sayLayout(was) ?? 'any', sayLayout(is) ?? 'any'),
      ...changed(`${where}, session rotation`, rotation(before, was), rotation(after, is)),
      ...compareLists(
        `${where}, deloads`,
        was.deloads.map(sayIn(library, before)),
        is.deloads.map(sayIn(library, after)),
      ),
    ]
  })
}

/** "2 RIR, rest 3:00, tempo 31X0"; "nothing" where slots inherit nothing. */
export function sayDefaults({ defaults = {} }: { defaults?: Defaults }): string {
  const { rir, rest, tempo } = defaults
  const said = [
    ...(rir === undefined ? [] : [`${typeof rir === 'object' ? sayRamp(rir) : rir} RIR`]),
    ...(rest === undefined ? [] : [`rest ${formatRest(rest)}`]),
    ...(tempo === undefined ? [] : [`tempo ${tempo}`]),
  ]
  return said.join(', ') || 'nothing'
}

const sayParts = ({ sections: parts }: Session): string =>
  parts.map(({ name, minutes }) => (minutes ? `${name} ${minutes} min` : name)).join(', ')

const sayIn = (library: Library, template: Template) => (adjustment: Adjustment) => {
  const { where, what } = sayAdjustment(library, template, adjustment)
  return `${where}: ${what}`
}

function compareSessions(library: Library, before: Template, after: Template): Difference[] {
  return pairUp(before.sessions, after.sessions).flatMap(({ was, is }) => {
    const where = (is ?? was)?.name ?? ''
    if (!was || !is) return [{ where, what: was ? 'session removed' : 'session added' }]
    const kept = slotsOf(was).filter((id) => slotsOf(is).includes(id))
    const now = slotsOf(is).filter((id) => kept.includes(id))
    const names = (ids: Id[]) => ids.map((id) => liftName(library, after.slots[id] as Slot)).join(', ')
    return [
      ...changed(`${where}, name`, was.name, is.name),
      ...changed(`${where}, inherited`, sayDefaults(was), sayDefaults(is)),
      ...changed(`${where}, parts`, sayParts(was), sayParts(is)),
      ...(kept.join() === now.join() ? [] : changed(`${where}, order`, names(kept), names(now))),
    ]
  })
}

function compareSlots(library: Library, before: Template, after: Template): Difference[] {
  return pairUp(before.slots, after.slots).flatMap(({ id, was, is }) => {
    if (!was) return [{ where: slotName(library, after, id), what: 'added' }]
    if (!is) return [{ where: slotName(library, before, id), what: 'removed; logged sessions stay' }]
    const where = slotName(library, after, id)
    const ruled = (slot: Slot) => slot.uses.map(({ progression }) => progression).join(', ') || 'none'
    return [
      ...changed(where, liftName(library, was), liftName(library, is)),
      ...changed(`${where}, note`, was.note ?? 'none', is.note ?? 'none'),
      ...changed(`${where}, superset`, was.superset ?? 'none', is.superset ?? 'none'),
      ...changed(`${where}, counts for`, sayCounts(was), sayCounts(is)),
      ...changed(`${where}, progressions`, ruled(was), ruled(is)),
      ...changed(`${where}, turns`, sayTurns(library, was), sayTurns(library, is)),
      ...changed(`${where}, choices`, sayChoices(library, was), sayChoices(library, is)),
      ...changed(`${where}, sets by stage`, sayStages(library, before, was), sayStages(library, after, is)),
      ...changed(`${where}, warm-up`, slotWarmUp(was), slotWarmUp(is)),
      ...changed(`${where}, circuit`, was.circuit?.name ?? 'none', is.circuit?.name ?? 'none'),
      ...compareRows(library, after, where, was, is),
    ]
  })
}

const sayCounts = ({ counts }: Slot): string =>
  counts
    ? Object.entries(counts)
        .map(([muscle, count]) => `${muscle} ${count}`)
        .join(', ') || 'as the exercise'
    : 'as the exercise'

const slotWarmUp = ({ warmUp }: Slot): string =>
  warmUp === undefined ? 'as in the template' : sayWarmUp(warmUp === 'none' ? undefined : warmUp)

/** Cells that changed alike in several weeks are one line. */
function compareRows(
  library: Library,
  { phases }: Template,
  where: string,
  was: Slot,
  is: Slot,
): Difference[] {
  const weeks = new Map<string, { phase: string; what: string; rows: number[] }>()
  for (const { id, name } of phases) {
    const [old, now] = [was.rows[id] ?? [], is.rows[id] ?? []]
    for (let row = 0; row < Math.max(old.length, now.length); row++) {
      const prescriptions = pairUp(byId(old[row]), byId(now[row]))
      for (const { was: before, is: after } of prescriptions) {
        const whats =
          before && after
            ? [...cellFields, ...detailFields].flatMap((field) => {
                if (field === 'least' && !before.stop && !after.stop) return []
                const [from, to] = [formatCell(library, field, before), formatCell(library, field, after)]
                return from === to ? [] : [`${cellNames[field]} ${from || 'none'} → ${to || 'none'}`]
              })
            : [
                after
                  ? `${sayPrescribed(library, after)} added`
                  : `${before ? sayPrescribed(library, before) : ''} removed`,
              ]
        for (const what of whats) {
          const key = `${id}/${what}`
          const known = weeks.get(key) ?? { phase: name, what, rows: [] }
          weeks.set(key, { ...known, rows: [...known.rows, row + 1] })
        }
      }
    }
  }
  return [...weeks.values()].map(({ phase, what, rows }) => ({
    where: `${where}, ${phase}, ${rowWords[is.by]}${rows.length > 1 ? 's' : ''} ${runs(rows)}`,
    what,
  }))
}

const rowWords: Record<RowClock, string> = {
  week: 'week',
  exposure: 'exposure',
  day: 'day',
  toTest: 'row',
}
const byId = (row: Slot['rows'][string][number] = []) =>
  Object.fromEntries(row.map((prescribed) => [prescribed.id, prescribed]))
const sayPrescribed = (library: Library, prescribed: Slot['rows'][string][number][number]) =>
  `${formatCell(library, 'sets', prescribed)} × ${formatCell(library, 'goal', prescribed)} @ ${formatCell(library, 'load', prescribed)}`

/** "1 to 4, 6" for rows 1, 2, 3, 4, 6. */
function runs(rows: number[]): string {
  const made: [number, number][] = []
  for (const row of rows) {
    const last = made.at(-1)
    if (last && last[1] === row - 1) last[1] = row
    else made.push([row, row])
  }
  return made.map(([from, to]) => (from === to ? String(from) : `${from} to ${to}`)).join(', ')
}

function compareProgressions(library: Library, before: Template, after: Template): Difference[] {
  return pairUp(before.progressions, after.progressions).flatMap(({ id, was, is }) => {
    const template = is ? after : before
    const slot = Object.values(template.slots).find(({ uses }) => uses.some((one) => one.progression === id))
    const where = `Progression of ${slot ? liftName(library, slot).toLowerCase() : id}`
    if (!was || !is) return [{ where, what: was ? 'removed' : `added: ${sayProgression(is as Progression)}` }]
    return changed(where, sayProgression(was), sayProgression(is))
  })
}

export const sayProgression = ({ stages, inPhases = [] }: Progression): string =>
  [
    ...stages.map(({ rule, params, until, offers, waits }) => {
      const wait = waits ? ' A hit needs a good technique rating to count.' : ''
      const sentence = ruleOf[rule].sentence(params) + wait
      const goes = offers ? 'the next is offered:' : 'then the next progression:'
      return until ? `${sentence} ${capital(triggerOf[until.trigger].sentence(until))}, ${goes}` : sentence
    }),
    ...inPhases.map(({ phase, rule, params }) => `In phase ${phase}: ${ruleOf[rule].sentence(params)}`),
  ].join(' ')

/** "in turn with Front squat, every 3 weeks"; "none" where a slot keeps its lift. */
export const sayTurns = (library: Library, { rotation: turns }: Pick<Slot, 'rotation'>): string => {
  if (!turns) return 'none'
  const what = { week: 'week', day: 'day of the week', phase: 'phase', exposure: 'exposure' }[turns.by]
  const every =
    turns.every === 1
      ? `every ${what}`
      : `every ${turns.every} ${what.replace(/^(week|day|phase|exposure)/, '$1s')}`
  return `alternates with ${turns.with.map((lift) => liftName(library, lift)).join(', ')}, ${every}`
}

/** "once Volume, light and heavy day has it (volume, light, heavy): 5 × 5 @ progression / 2 × 5 @ 80% volume". */
export const sayStages = (
  library: Library,
  { progressions }: Pick<Template, 'progressions'>,
  { uses, inStages = [] }: Pick<Slot, 'uses' | 'inStages'>,
): string => {
  const stages = uses.flatMap(({ progression }) => progressions[progression]?.stages ?? [])
  const said = inStages.map(({ stage, role, rows }) => {
    const own = stages.find(({ id }) => id === stage)
    const as = role && ` (${typeof role === 'string' ? role : role.byDay.join(', ')})`
    const sets = rows.map((row) => formatSets(library, row)).join(' / ')
    return `once ${own ? ruleOf[own.rule].title : 'a progression that is gone'} has it${as ?? ''}: ${sets}`
  })
  return said.join('; ') || 'none'
}

/** "or Front squat or Leg press, as the member chooses"; "none" where a slot offers no other. */
export const sayChoices = (library: Library, { choices }: Pick<Slot, 'choices'>): string =>
  choices
    ? `or ${choices.map((lift) => liftName(library, lift)).join(' or ')}, as the member chooses`
    : 'none'

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

function compareTracks(library: Library, before: Template, after: Template): Difference[] {
  return pairUp(before.tracks, after.tracks).flatMap(({ was, is }) => {
    const where = `Track ${(is ?? was)?.name}`
    if (!was || !is) return [{ where, what: was ? 'removed' : 'added' }]
    return compareLists(where, was.changes.map(sayIn(library, before)), is.changes.map(sayIn(library, after)))
  })
}

const compareLists = (where: string, was: string[], is: string[]): Difference[] => [
  ...was.filter((one) => !is.includes(one)).map((what) => ({ where, what: `removed: ${what}` })),
  ...is.filter((one) => !was.includes(one)).map((what) => ({ where, what: `new: ${what}` })),
]

const changed = (where: string, from: string, to: string): Difference[] =>
  from === to ? [] : [{ where, what: `${from} → ${to}` }]

function pairUp<T>(before: Record<Id, T>, after: Record<Id, T>): { id: Id; was?: T; is?: T }[] {
  const ids = [...new Set([...Object.keys(before), ...Object.keys(after)])]
  return ids.map((id) => ({ id, was: before[id], is: after[id] }))
}
