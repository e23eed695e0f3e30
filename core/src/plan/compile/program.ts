import { liftKey, isSameLift, type Lift } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import { rulesOf, setsOfSlot, slotInStage, slotsOf, type Slot, type Template } from '../../template/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import { compileSlot, type CompiledSlot, type CompiledUse } from './slot.ts'

/**
 * A version as plans run over it: what they read off it for every session, worked out once. Nothing of a member is in it; a version that has
 * been read is never changed in place, so it is kept beside it for as long as that lives.
 */
export type Program = {
  template: Template
  /** Some load is a part of what a lift has moved in the week. */
  readsMoved: boolean
  /** Something takes turns, is chosen, or is trained at a range that a rule has come to. */
  hasTurns: boolean
  /** Sessions whose slots stand as they are written, in their order. */
  written: Map<Id, readonly CompiledSlot[]>
  /** Of sessions as they are written, the slots that use a progression. */
  using: Map<Id, Map<Id, readonly Using[]>>
  /** Slots with the lifts that they have been asked with. */
  slots: Map<Id, Map<string, CompiledSlot>>
}

/** A slot with its use of a progression. */
export type Using = { own: CompiledSlot; use: CompiledUse }

const programs = new WeakMap<Template, Program>()

export function programOf(template: Template): Program {
  const known = programs.get(template)
  if (known) return known
  const made: Program = {
    template,
    readsMoved: readsMoved(template),
    hasTurns: hasTurns(template),
    written: new Map(),
    using: new Map(),
    slots: new Map(),
  }
  programs.set(template, made)
  return made
}

/** The slots of a session as they are written, in the order of the day; none of a session that the version does not have. */
export function writtenSlots(program: Program, session: Id): readonly CompiledSlot[] {
  const known = program.written.get(session)
  if (known) return known
  const own = program.template.sessions[session]
  const made = (own ? slotsOf(own) : []).flatMap((id) => slotOf(program, id) ?? [])
  program.written.set(session, made)
  return made
}

/** The slots of a session as they are written that use a progression, each with its first use of it. */
export function slotsUsing(program: Program, session: Id, progression: Id): readonly Using[] {
  let bySession = program.using.get(session)
  if (!bySession) program.using.set(session, (bySession = new Map()))
  const known = bySession.get(progression)
  if (known) return known
  const made = writtenSlots(program, session).flatMap((own): Using[] => {
    const use = own.uses.find(({ id }) => id === progression)
    return use ? [{ own, use }] : []
  })
  bySession.set(progression, made)
  return made
}

/**
 * A slot with a lift, its own where none is given, as it is written or as it stands in a stage of its progression; undefined where the version
 * has no such slot.
 */
export function slotOf(program: Program, id: Id, lift?: Lift, stage?: Id): CompiledSlot | undefined {
  const slot = program.template.slots[id]
  if (!slot) return undefined
  let byLift = program.slots.get(id)
  if (!byLift) program.slots.set(id, (byLift = new Map()))
  const isOwn = !lift || isSameLift(slot, lift)
  const own = isOwn ? '' : liftKey(lift)
  const key = stage === undefined ? own : `${stage}/${own}`
  const known = byLift.get(key)
  if (known) return known
  const asked = isOwn ? slot : asLift(slot, lift)
  const { progressions } = program.template
  const made = compileSlot(program.template, id, slotInStage(progressions, asked, stage), stage)
  byLift.set(key, made)
  return made
}

/** A slot with another exercise in it. */
function asLift(slot: Slot, { exercise, variant }: Lift): Slot {
  const { exercise: _, variant: __, ...rest } = slot
  return variant ? { ...rest, exercise, variant } : { ...rest, exercise }
}

const readsMoved = ({ slots }: Template): boolean =>
  Object.values(slots).some((slot) =>
    setsOfSlot(slot).some(({ load }) => load.of === 'tonnage' && load.per === 'week'),
  )

const hasTurns = ({ sessions, slots, progressions }: Template): boolean =>
  Object.values(sessions).some(({ sections }) => sections.some(({ rotation }) => rotation)) ||
  Object.values(slots).some(({ rotation, choices }) => rotation ?? choices) ||
  Object.values(progressions).some((progression) => rulesOf(progression).some(writesVariant))

/** Whether a rule says at which range its lift is trained. */
export const writesVariant = ({ rule }: { rule: keyof typeof ruleOf }): boolean =>
  ruleOf[rule].writes.includes('variant')
