import type { Library } from '../library/index.ts'
import type { Adjustment } from '../adjustments/index.ts'
import type { Id } from '../parsing/index.ts'
import { placesOf } from '../calendar/index.ts'
import {
  applyCommand,
  isConflict,
  nominalWeeks,
  rowsOf,
  rowWeeks,
  type Command,
  type Defaults,
  type Length,
  type Phase,
  type PhaseRows,
  type SetPrescription,
  type Template,
} from '../template/index.ts'
import { isFault, step, type Built, type Mint } from './built.ts'
import { layoutFor, layoutStep } from './fitLayout.ts'
import { removeSession } from './removeSession.ts'
import { withSplit, forgetPhase, trimWeeks } from './phaseFollowers.ts'

/** A phase behind another with its sessions, each slot beginning with the sets that the other ended with. */
export function addPhase(
  draft: Template,
  after: Id,
  { name, weeks }: { name: string; weeks: number },
  mint: Mint,
): Built {
  const own = phaseOf(draft, after)
  if (!own) return noPhase
  const id = mint()
  const rows = mapRows(rowsOf(draft, after), (list, slot) => {
    const last = list[list.length - 1] ?? []
    return draft.slots[slot]?.by === 'week' ? Array.from({ length: weeks }, () => last) : list
  })
  const value: Phase = { ...withoutEnd(own), id, name, weeks, deloads: [] }
  return step(`Phase added: ${name}`, [
    ...endMoved(own),
    { do: 'addPhase', phase: id, after, value: withEnd(own, value), rows },
  ])
}

/** A phase longer or shorter: new weeks say what its last one says; deloads and changes of weeks that are gone go with them. */
export function resizePhase(draft: Template, phase: Id, to: Length): Built {
  const own = phaseOf(draft, phase)
  if (!own) return noPhase
  const [was, is] = [rowWeeks(own), rowWeeks({ weeks: to } as Phase)]
  if (!Number.isInteger(is) || is < 1 || nominalWeeks({ weeks: to } as Phase) < 1)
    return { fault: 'A phase has at least one week. To delete the phase, remove it.' }
  const rows = mapRows(byWeek(draft, phase), (list) =>
    is < was ? list.slice(is) : Array.from({ length: is - was }, () => list[list.length - 1] ?? []),
  )
  return step(`${own.name}: ${nominalWeeks(own)} → ${nominalWeeks({ weeks: to } as Phase)} weeks`, [
    ...trimWeeks(draft, own, is),
    { do: 'setWeeks', phase, from: own.weeks, to, rows },
  ])
}

/** Two phases of one, the first with so many of its weeks. */
export function splitPhase(draft: Template, phase: Id, weeks: number, mint: Mint): Built {
  const own = phaseOf(draft, phase)
  if (!own) return noPhase
  const all = own.weeks
  if (typeof all !== 'number')
    return { fault: 'A phase that a trigger ends cannot be split: give it fixed weeks first.' }
  if (weeks < 1 || weeks >= all) return { fault: `${own.name} can be split after week 1 to ${all - 1}.` }
  const counted = Object.values(draft.slots).some(({ by, rows }) => by === 'toTest' && rows[phase])
  if (counted)
    return { fault: 'Some sets of this phase count back from the test day, so the phase cannot be split.' }
  const ramped = own.rotation.find((session) => typeof draft.sessions[session]?.defaults?.rir === 'object')
  if (ramped !== undefined)
    return {
      fault: `The RIR of ${draft.sessions[ramped]?.name} falls over the weeks of a phase: set it for the phase first.`,
    }
  const id = mint()
  const first = (list: number[] = []) => list.filter((week) => week <= weeks)
  const second = (list: number[] = []) => list.filter((week) => week > weeks).map((week) => week - weeks)
  const part = (of: typeof first, renew: boolean) =>
    own.deloads.flatMap((one): Adjustment[] => {
      const kept = one.where.weeks ? of(one.where.weeks) : []
      if (!kept.length && one.where.weeks) return []
      return [
        {
          ...one,
          id: renew ? mint() : one.id,
          where: one.where.weeks ? { ...one.where, weeks: kept } : one.where,
        },
      ]
    })
  const deload = part(first, false)
  const ramp = rampSplit(own, all, weeks)
  const value: Phase = {
    ...withoutEnd(own),
    id,
    name: nextName(own.name, draft.phases),
    weeks: all - weeks,
    ...turned(draft, own, weeks),
    deloads: part(second, true),
    ...(ramp && { defaults: ramp.second }),
  }
  const tail = mapRows(byWeek(draft, phase), (list) => list.slice(weeks))
  return step(`${own.name} split after week ${weeks}`, [
    ...(JSON.stringify(deload) === JSON.stringify(own.deloads)
      ? []
      : [{ do: 'setDeloads', phase, from: own.deloads, to: deload } as Command]),
    { do: 'setWeeks', phase, from: all, to: weeks, rows: tail },
    ...(ramp?.first ?? []),
    ...endMoved(own),
    {
      do: 'addPhase',
      phase: id,
      after: phase,
      value: withEnd(own, value),
      rows: { ...rowsOf(draft, phase), ...tail },
    },
    ...withSplit(draft, phase, { id, after: weeks }, mint),
  ])
}

/** A phase whose RIR falls, in two: it goes on falling in the second part as it would have in the whole. Null where none falls. */
function rampSplit(
  { id, defaults }: Phase,
  all: number,
  weeks: number,
): { first: Command[]; second: Defaults } | null {
  const rir = defaults?.rir
  if (typeof rir !== 'object') return null
  const whole = { ...rir, weeks: rir.weeks ?? all }
  const first: Command = {
    do: 'setPhase',
    phase: id,
    field: 'defaults',
    from: defaults ?? null,
    to: { ...defaults, rir: whole },
  }
  return {
    first: rir.weeks === undefined ? [first] : [],
    second: { ...defaults, rir: { ...whole, after: (rir.after ?? 0) + weeks } },
  }
}

/** "Base" is followed by "Base 2", "Phase 2" by "Phase 3": the first that no phase has. */
function nextName(name: string, phases: Phase[]): string {
  const [, stem = name, number = '1'] = /^(.*\S)\s+(\d{1,3})$/.exec(name) ?? []
  for (let n = Number(number) + 1; ; n++) {
    const next = `${stem.slice(0, 70)} ${n}`
    if (!phases.some((phase) => phase.name === next)) return next
  }
}

/** A phase's sessions, beginning with the one whose turn it is after so many of its weeks. */
function turned(
  draft: Template,
  { id, rotation, layout }: Phase,
  weeks: number,
): Pick<Phase, 'rotation' | 'layout'> {
  const before = placesOf(draft).filter(
    ({ phase, phaseWeek }) => phase.id === id && phaseWeek <= weeks,
  ).length
  const at = before % rotation.length
  const rest = layout?.rest?.map((after) => ((after - 1 - at + rotation.length) % rotation.length) + 1)
  return {
    rotation: [...rotation.slice(at), ...rotation.slice(0, at)],
    ...(rest && { layout: { ...layout, rest: rest.sort((a, b) => a - b) } }),
  }
}

/** The same phase once more behind it. */
export function repeatPhase(draft: Template, phase: Id, mint: Mint): Built {
  const own = phaseOf(draft, phase)
  if (!own) return noPhase
  const id = mint()
  const deload = own.deloads.map((one) => ({ ...one, id: mint() }))
  const value: Phase = { ...withoutEnd(own), id, name: `${own.name}, again`, deloads: deload }
  return step(`${own.name} repeated`, [
    ...endMoved(own),
    { do: 'addPhase', phase: id, after: phase, value: withEnd(own, value), rows: rowsOf(draft, phase) },
    ...withSplit(draft, phase, { id, after: 0 }, mint),
  ])
}

export function removePhase(library: Library, draft: Template, phase: Id): Built {
  const own = phaseOf(draft, phase)
  if (!own) return noPhase
  if (draft.phases.length < 2) return { fault: 'A template has at least one phase. Add another one first.' }
  const index = draft.phases.indexOf(own)
  const after = draft.phases[index - 1]?.id ?? null
  const commands: Command[] = [
    ...forgetPhase(draft, phase),
    { do: 'removePhase', phase, after, value: own, rows: rowsOf(draft, phase) },
  ]
  const others = draft.phases.filter((one) => one !== own)
  for (const session of new Set(own.rotation)) {
    if (others.some(({ rotation }) => rotation.includes(session))) continue
    const now = applyCommand(draft, { do: 'several', commands })
    const gone = isConflict(now) ? { fault: now.conflict(library) } : removeSession(library, now, session)
    if (isFault(gone)) return gone
    commands.push(...(gone.do === 'several' ? gone.commands : [gone]))
  }
  return step(`Phase removed: ${own.name}`, commands)
}

/** A phase one place earlier or later. */
export function movePhase(draft: Template, phase: Id, by: -1 | 1): Built {
  const own = phaseOf(draft, phase)
  if (!own) return noPhase
  const index = draft.phases.indexOf(own)
  const other = draft.phases[index + by]
  if (!other) return { fault: `${own.name} is the ${by < 0 ? 'first' : 'last'} phase already.` }
  if (own.ends || other.ends) return { fault: 'The phase that ends with the test day is the last one.' }
  const from = draft.phases[index - 1]?.id ?? null
  const to = by < 0 ? (draft.phases[index - 2]?.id ?? null) : other.id
  return step(`${own.name} moved`, [{ do: 'movePhase', phase, from, to }])
}

/** The last phase ends with a test day, or no more. */
export function setTestDay(draft: Template, isOn: boolean): Built {
  const last = draft.phases[draft.phases.length - 1]
  if (!last) return noPhase
  if (Boolean(last.ends) === isOn) return { fault: 'Nothing changes: it is already set that way.' }
  const open = draft.phases.find(({ weeks }) => typeof weeks !== 'number')
  if (isOn && open)
    return { fault: `${open.name} ends with a trigger: before a test day every phase has fixed weeks.` }
  if (isOn && (draft.missed === 'shift' || draft.missed === 'repeat'))
    return { fault: 'A test day does not move: set missed weeks to hold or drop first.' }
  const [from, to] = isOn ? [null, 'test day' as const] : ['test day' as const, null]
  return { do: 'setPhase', phase: last.id, field: 'ends', from, to }
}

/** The sessions of a rotation, with its days of rest where those change, and how many a week; slots that have no sets in the phase yet begin with those they have elsewhere. */
export function setRotation(
  draft: Template,
  phase: Id,
  rotation: Id[],
  perWeek: number,
  rest?: number[],
): Built {
  const own = phaseOf(draft, phase)
  if (!own) return noPhase
  if (!rotation.length) return { fault: `${own.name} needs at least one session.` }
  const commands: Command[] = rotation.flatMap((session) => rowsFor(draft, session, own))
  if (JSON.stringify(rotation) !== JSON.stringify(own.rotation))
    commands.push({ do: 'setPhase', phase, field: 'rotation', from: own.rotation, to: rotation })
  if (perWeek !== own.perWeek)
    commands.push({ do: 'setPhase', phase, field: 'perWeek', from: own.perWeek, to: perWeek })
  commands.push(...layoutStep(own, layoutFor(own, rotation, perWeek, rest)))
  return step(`${own.name}: session rotation`, commands)
}

/** Sets in a phase for the slots of a session that have none there. */
export function rowsFor({ sessions, slots }: Template, session: Id, phase: Phase): Command[] {
  return (sessions[session]?.sections ?? []).flatMap((part) =>
    part.slots.flatMap((id): Command[] => {
      const slot = slots[id]
      if (!slot || slot.rows[phase.id]) return []
      const known = Object.values(slot.rows).at(-1) ?? []
      const last = known[known.length - 1] ?? [plainSets()]
      const list = slot.by === 'week' ? Array.from({ length: rowWeeks(phase) }, () => last) : known
      return [
        { do: 'setSlot', slot: id, from: slot, to: { ...slot, rows: { ...slot.rows, [phase.id]: list } } },
      ]
    }),
  )
}

/** Three sets of eight, of any load. */
export const plainSets = (): SetPrescription => ({
  id: 'work',
  sets: 3,
  goal: { reps: 8 },
  load: { of: 'free' },
})

const phaseOf = ({ phases }: Template, id: Id): Phase | undefined => phases.find((phase) => phase.id === id)
const noPhase = { fault: 'This phase is no longer there.' }

const mapRows = (
  rows: PhaseRows,
  change: (list: SetPrescription[][], slot: Id) => SetPrescription[][],
): PhaseRows => Object.fromEntries(Object.entries(rows).map(([slot, list]) => [slot, change(list, slot)]))

/** The rows of slots that have one for each week. */
const byWeek = (draft: Template, phase: Id): PhaseRows =>
  Object.fromEntries(
    Object.entries(rowsOf(draft, phase)).filter(([slot]) => draft.slots[slot]?.by === 'week'),
  )

/** A test day goes with the end: to the phase that is put behind the one that had it. */
const endMoved = ({ id, ends }: Phase): Command[] =>
  ends ? [{ do: 'setPhase', phase: id, field: 'ends', from: ends, to: null }] : []
const withEnd = ({ ends }: Phase, phase: Phase): Phase => (ends ? { ...phase, ends } : phase)
const withoutEnd = ({ ends: _, ...phase }: Phase): Phase => phase
