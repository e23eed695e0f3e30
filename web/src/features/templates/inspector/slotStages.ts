import type { Id } from '@young-oak/core/parsing'
import type { Library } from '@young-oak/core/library'
import { ruleOf, sampleRole, type RuleKind } from '@young-oak/core/progressions'
import {
  readSets,
  slotInStage,
  type SetPrescription,
  type Command,
  type Slot,
  type SlotStage,
  type Template,
  type Use,
} from '@young-oak/core/template'
import { carryRow } from './slotRules.ts'

/** What a slot has of its own once a stage has its lift; null where it goes on with what is written. */
export const ownIn = ({ inStages }: Slot, stage: Id): SlotStage | null =>
  inStages?.find((one) => one.stage === stage) ?? null

/** What a slot begins with in a stage: sets that its rule can work with, in a role that it has. */
export function firstIn(slot: Slot, use: Use, stage: Id, rule: RuleKind): SlotStage {
  const row = Object.values(slot.rows)[0]?.[0] ?? []
  const made: SlotStage = { stage, rows: [carryRow(row, rule)] }
  return fitsRole(use.role, rule) ? made : { ...made, role: sampleRole(rule) }
}

/** The command that gives a slot other sets in a stage; with null it goes on with what is written. */
export function putStage(slotId: Id, slot: Slot, stage: Id, to: SlotStage | null): Command {
  const { inStages: from = null } = slot
  const others = (from ?? []).filter((one) => one.stage !== stage)
  const next = to ? [...others, to] : others
  return { do: 'setSlotField', slot: slotId, field: 'inStages', from, to: next.length ? next : null }
}

/** A role in a stage, with as many rows as it has days, or one row. A day that moves nothing begins as a share of the one that does. */
export function withRole(own: SlotStage, role: Use['role'], rule: RuleKind): SlotStage {
  const { roles, quiet = [] } = ruleOf[rule]
  const days = typeof role === 'string' ? [role] : role.byDay
  const moves = roles.find((one) => !quiet.includes(one))
  const shared = (row: SetPrescription[], day: string) =>
    moves !== undefined && quiet.includes(day)
      ? row.map((one) =>
          one.load.of === 'progression'
            ? { ...one, load: { of: 'role' as const, role: moves, percent: 80 } }
            : one,
        )
      : row
  const rows = days.map((day, i) => shared(own.rows[i] ?? own.rows[0] ?? [], day))
  return { ...own, role, rows }
}

/** A row of a stage as it is typed, or what is wrong with it. */
export function typedRow(
  library: Library,
  draft: Template,
  slot: Slot,
  own: SlotStage,
  { i, typed }: { i: number; typed: string },
): SlotStage | string {
  const asked = slotInStage(draft.progressions, { ...slot, inStages: [own] }, own.stage)
  const read = readSets(library, typed, own.rows[i] ?? [], asked, draft)
  if (read.fault !== undefined) return read.fault
  return { ...own, rows: own.rows.map((row, j) => (i === j ? read.prescriptions : row)) }
}

/** The commands that give a stage another rule where a slot’s role is none of that rule’s: the slot has a role and sets of its own there. */
export function slotsFor(draft: Template, progression: Id, stage: Id, rule: RuleKind): Command[] {
  return Object.entries(draft.slots).flatMap(([id, slot]) => {
    const use = slot.uses.find((one) => one.progression === progression)
    const own = ownIn(slot, stage)
    if (!use || fitsRole(own?.role ?? use.role, rule)) return []
    return [putStage(id, slot, stage, firstIn(slot, use, stage, rule))]
  })
}

/** The commands that take a stage’s sets out of every slot. */
export const withoutStage = (draft: Template, stage: Id): Command[] =>
  Object.entries(draft.slots).flatMap(([id, slot]) =>
    ownIn(slot, stage) ? [putStage(id, slot, stage, null)] : [],
  )

const fitsRole = (role: Use['role'], rule: RuleKind): boolean =>
  (typeof role === 'string' ? [role] : role.byDay).every((one) => ruleOf[rule].roles.includes(one))
