import type { Id } from '@young-oak/core/parsing'
import { kindOf } from '@young-oak/core/goals'
import type { Library } from '@young-oak/core/library'
import { sourceOf } from '@young-oak/core/loads'
import { snap } from '@young-oak/core/units'
import { placesOf } from '@young-oak/core/calendar'
import { canCarry, ruleOf, sampleGroup, sampleRole, type RuleKind } from '@young-oak/core/progressions'
import {
  rulesOf,
  slotsOf,
  type Command,
  type Use,
  type Progression,
  type SetPrescription,
  type Slot,
  type SlotRotation,
  type Template,
} from '@young-oak/core/template'

/**
 * The commands that give a slot a rule of its own: an example's numbers to begin with, but the first load that is written, and sets that can
 * carry it.
 */
export function withNew(draft: Template, slotId: Id, kind: RuleKind, mint: () => Id): Command | null {
  const slot = draft.slots[slotId]
  const params = ruleOf[kind].examples[0]?.params
  if (!slot || !params) return null
  const id = mint()
  const stages = [
    { id: mint(), rule: kind, params: startingAsWritten(draft, slot, params) },
  ] as Progression['stages']
  const follow = { progression: id, role: sampleRole(kind) }
  const to = carrying({ ...slot, uses: [...slot.uses, follow] }, kind)
  return {
    do: 'several',
    commands: [
      { do: 'setProgression', progression: id, from: null, to: { stages } },
      { do: 'setSlot', slot: slotId, from: slot, to },
    ],
  }
}

/** The command that lets a slot follow a progression that there is, in a role. */
export function withKnown(draft: Template, slotId: Id, progression: Id): Command | null {
  const slot = draft.slots[slotId]
  const first = draft.progressions[progression]?.stages[0]
  if (!slot || !first) return null
  const uses = [...slot.uses, { progression, role: sampleRole(first.rule) }]
  return { do: 'setSlot', slot: slotId, from: slot, to: carrying({ ...slot, uses }, first.rule) }
}

/** The commands that let a slot follow a progression no more; one that nobody follows then goes too. */
export function stopUsing(draft: Template, slotId: Id, progression: Id): Command | null {
  const slot = draft.slots[slotId]
  const own = draft.progressions[progression]
  if (!slot || !own) return null
  const uses = slot.uses.filter((one) => one.progression !== progression)
  const givesLoads = (one: Use) =>
    rulesOf(draft.progressions[one.progression]).some(({ rule }) => ruleOf[rule].writes.includes('load'))
  const { inStages = [], ...rest } = slot
  const stays = inStages.filter(({ stage }) => !own.stages.some(({ id }) => id === stage))
  const left: Slot = { ...rest, uses, ...(stays.length && { inStages: stays }) }
  const to = uses.some(givesLoads) ? left : withoutRule(left)
  const set: Command = { do: 'setSlot', slot: slotId, from: slot, to }
  const isUsed = Object.entries(draft.slots).some(
    ([id, other]) => id !== slotId && other.uses.some((one) => one.progression === progression),
  )
  if (isUsed) return set
  return { do: 'several', commands: [set, { do: 'setProgression', progression, from: own, to: null }] }
}

/** The last place of a week that a slot's session has: a role may be said for each of them. */
export const placesAWeek = (draft: Template, slotId: Id): number =>
  placesOf(draft).reduce((last, { inWeek, session: id }) => {
    const session = draft.sessions[id]
    return session && slotsOf(session).includes(slotId) ? Math.max(last, inWeek) : last
  }, 1)

export function setRole(draft: Template, slotId: Id, progression: Id, role: Use['role']): Command | null {
  const slot = draft.slots[slotId]
  if (!slot) return null
  const uses = slot.uses.map((one) => (one.progression === progression ? { ...one, role } : one))
  return { do: 'setSlot', slot: slotId, from: slot, to: { ...slot, uses } }
}

/** Whether a slot at a lower percentage than another of its progression is to be a full exposure all the same. */
export function setFull(draft: Template, slotId: Id, progression: Id, isFull: boolean): Command | null {
  const slot = draft.slots[slotId]
  if (!slot) return null
  const uses = slot.uses.map((one): Use => {
    if (one.progression !== progression) return one
    const { full: _, ...rest } = one
    return isFull ? { ...rest, full: true } : rest
  })
  return { do: 'setSlot', slot: slotId, from: slot, to: { ...slot, uses } }
}

/** A rule's parameters with the first load that the slot is written at, where that is a percentage of a max. */
function startingAsWritten({ trainingMax = 100 }: Template, slot: Slot, params: object): object {
  const isFirst = 'startLoad' in params || 'startPercent' in params
  const load = Object.values(slot.rows)
    .flat(2)
    .map((prescribed) => prescribed.load)
    .find(({ of }) => of === 'max' || of === 'trainingMax' || of === 'repMax')
  if (!isFirst || !load || !('percent' in load) || load.percent === undefined) return params
  const percent = load.of === 'trainingMax' ? snap((load.percent * trainingMax) / 100) : load.percent
  const { startLoad: _, startReps: __, ...rest } = params as { startLoad?: unknown; startReps?: unknown }
  return { ...rest, startPercent: percent, ...(load.of === 'repMax' && { startReps: load.reps }) }
}

/** What of a slot's sets a new progression would write over, as the sheet says it: each once. */
export function writtenOver(library: Library, slot: Slot, kind: RuleKind): string[] {
  const to = carrying(slot, kind)
  const lost = Object.entries(slot.rows).flatMap(([phase, rows]) =>
    rows.flatMap((row, i) =>
      row.flatMap((was, j) => {
        const is = to.rows[phase]?.[i]?.[j]
        if (!is || is === was) return []
        const isLoad = is.load.of !== was.load.of && was.load.of !== 'free' && was.load.of !== 'none'
        return [
          ...(isLoad ? [sourceOf[was.load.of].cell(was.load, library)] : []),
          ...(is.goal === was.goal ? [] : [`${was.sets} × ${kindOf(was.goal).cell(was.goal)}`]),
        ]
      }),
    ),
  )
  return [...new Set(lost)]
}

/** Other lifts in turn with a slot's own; none takes the turns away. */
export function setTurns(draft: Template, slotId: Id, turns: SlotRotation | null): Command | null {
  const slot = draft.slots[slotId]
  if (!slot) return null
  const { rotation: _, ...rest } = slot
  return {
    do: 'setSlot',
    slot: slotId,
    from: slot,
    to: turns?.with.length ? { ...rest, rotation: turns } : rest,
  }
}

/** The rows with sets that a rule can work with: the first of each takes its load and a goal of its kind, unless one does already. */
const carrying = (slot: Slot, kind: RuleKind): Slot => mapRows(slot, (row) => carryRow(row, kind))

export function carryRow(row: SetPrescription[], kind: RuleKind): SetPrescription[] {
  const { writes, carriedBy } = ruleOf[kind]
  const sample = sampleGroup(kind)
  const fits = (prescribed: SetPrescription) =>
    (!writes.includes('load') || prescribed.load.of === 'progression') &&
    (!carriedBy || canCarry(carriedBy, prescribed))
  if (row.some(fits)) return row
  return row.map((prescribed, i): SetPrescription => {
    if (i > 0) return prescribed
    const goal = !carriedBy || carriedBy.fits(prescribed.goal) ? {} : { goal: sample.goal, sets: sample.sets }
    const own = { ...prescribed, ...goal }
    const least = carriedBy?.isFree && own.least === undefined ? { least: Math.min(3, own.sets) } : {}
    return { ...own, ...least, ...(writes.includes('load') && { load: sample.load }) }
  })
}

const withoutRule = (slot: Slot): Slot =>
  mapRows(slot, (row) =>
    row.map((prescribed): SetPrescription =>
      prescribed.load.of === 'progression' ? { ...prescribed, load: { of: 'free' } } : prescribed,
    ),
  )

const mapRows = (slot: Slot, change: (row: SetPrescription[]) => SetPrescription[]): Slot => ({
  ...slot,
  rows: Object.fromEntries(Object.entries(slot.rows).map(([phase, rows]) => [phase, rows.map(change)])),
})
