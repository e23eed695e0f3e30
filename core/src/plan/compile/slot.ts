import { liftKey, type Lift } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import {
  inherit,
  inheritsByWeek,
  isLighterUse,
  setsOfSlot,
  type Phase,
  type Progression,
  type SetPrescription,
  type Slot,
  type Template,
  type Use,
} from '../../template/index.ts'
import { traitsOf, type Traits } from './traits.ts'

/** A slot of a version with the lift that it is asked with: what plans ask of it for each session, worked out once. */
export type CompiledSlot = {
  id: Id
  slot: Slot
  /** The key of its lift. */
  lift: string
  uses: readonly CompiledUse[]
  /** Prescriptions whose load is last time's, in whatever row. */
  asksLast: readonly Id[]
  phases: Map<Id, SlotInPhase>
  template: Template
  /** As it stands in a stage of its progression. */
  stage: Id | undefined
}

/** A progression that a slot uses. */
export type CompiledUse = {
  use: Use
  id: Id
  progression: Progression
  traits: Traits
  /** What the progression keeps its state of the lift by, and the load in each role. */
  key: string
  /** How the slots of a session that are one exposure know each other, by role. */
  heard: Map<string, string>
  roles: Map<string, string>
}

/** A slot in a phase: its rows, what is kept of them by, and its uses on the lighter side. */
export type SlotInPhase = {
  rows: readonly SetPrescription[][]
  key: string
  heaviest: string
  lighter: readonly CompiledUse[]
  /** The rows with what each session and the phase say for all of their slots. */
  inherited: Map<Id, readonly SetPrescription[][]>
}

export function compileSlot(template: Template, id: Id, slot: Slot, stage?: Id): CompiledSlot {
  return {
    id,
    slot,
    lift: liftKey(slot),
    uses: slot.uses.map((use) => compileUse(template, slot, use)),
    asksLast: asksLast(slot),
    phases: new Map(),
    template,
    stage,
  }
}

function compileUse({ progressions }: Template, slot: Slot, use: Use): CompiledUse {
  const { progression: id } = use
  const progression = progressions[id]
  if (!progression) throw new Error(`unknown progression "${id}"`)
  const key = stateKey(progression, id, slot)
  return { use, id, progression, traits: traitsOf(progression), key, heard: new Map(), roles: new Map() }
}

/** What a progression keeps its state by: loads do not carry from one lift to another, ranges and a muscle's sets do. */
function stateKey({ stages }: Progression, id: Id, lift: Lift): string {
  const of = stages[0] && ruleOf[stages[0].rule].of
  if (of === 'muscle') return id
  return `${id}/${of === 'exercise' ? lift.exercise : liftKey(lift)}`
}

/** A slot as it stands in a phase. */
export function inPhase(own: CompiledSlot, phase: Id): SlotInPhase {
  const known = own.phases.get(phase)
  if (known) return known
  const { id, slot, lift, uses, template, stage } = own
  const made: SlotInPhase = {
    rows: slot.rows[phase] ?? [],
    key: `${phase}/${id}`,
    heaviest: `${phase}/${id}/${lift}`,
    lighter: stage === undefined ? uses.filter(({ use }) => isLighterUse(template, phase, id, use)) : [],
    inherited: new Map(),
  }
  own.phases.set(phase, made)
  return made
}

/** A row of a slot in a session of a phase, with what these say for all of their slots; nothing where there is no such row. */
export function rowIn(
  own: CompiledSlot,
  phase: Phase,
  session: Id,
  row: number,
  week: number,
): SetPrescription[] {
  const { rows, inherited } = inPhase(own, phase.id)
  const of = own.template.sessions[session]
  // A row by week is that of its own week, whenever it is read.
  const isByWeek = own.slot.by === 'week'
  const key = !isByWeek && inheritsByWeek(of, phase) ? `${session}/${week}` : session
  let known = inherited.get(key)
  if (!known)
    inherited.set(key, (known = rows.map((one, i) => inherit(one, of, phase, isByWeek ? i + 1 : week))))
  return known[row] ?? noRow
}
const noRow: SetPrescription[] = []

/** The role of a slot at a place of the week, from 1. */
export function roleAt({ role }: Use, inWeek: number): string {
  if (typeof role === 'string') return role
  return role.byDay[(inWeek - 1) % role.byDay.length] as string
}

/** What the load of a lift in a role of a progression is kept by. */
export function roleKey(own: CompiledSlot, use: CompiledUse, role: string): string {
  const known = use.roles.get(role)
  if (known !== undefined) return known
  const made = `${use.id}/${own.lift}/${role}`
  use.roles.set(role, made)
  return made
}

/** Slots of one progression, role and lift are one exposure; of a muscle's week each slot is one by itself. */
export function exposureKey(own: CompiledSlot, use: CompiledUse, role: string): string {
  const known = use.heard.get(role)
  if (known !== undefined) return known
  const made = `${use.key}/${role}${use.traits.ofMuscle ? `/${own.id}` : ''}`
  use.heard.set(role, made)
  return made
}

function asksLast(slot: Slot): Id[] {
  const made = new Set<Id>()
  for (const { id, load } of setsOfSlot(slot)) if (load.of === 'lastTime') made.add(id)
  return [...made]
}
