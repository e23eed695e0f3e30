import type { Id } from '../../parsing/index.ts'
import {
  changeOf,
  type ChangeName,
  type LineDraft,
  actsOn,
  type Spot,
  slotWith,
} from '../../adjustments/index.ts'
import type { WhyStep } from '../../words/index.ts'
import { slotsOf, type Session, type Slot, type Template } from '../../template/index.ts'
import type { Authored } from '../compile/changes.ts'
import type { Situation } from '../state/situation.ts'
import { inTurn } from '../../calendar/index.ts'
import { hasTurns, liftInTurn } from './rotations.ts'

/** A slot in its session as it is trained: with its exercise after swaps, and what changed it. */
export type Line = { id: Id; slot: Slot; steps: WhyStep[] }

/** What was left out or put in, with the reason. */
export type LineChange = { slot: Id; step: WhyStep }

/**
 * The slots of a session in the order of the day, each with the lift whose turn it is, after what tracks, deloads and the member
 * have left out, swapped and added.
 */
export function lineup(
  situation: Situation,
  changes: Authored[],
  spot: Spot,
): { lines: Line[]; changes: LineChange[] } {
  const { library, template, place } = situation
  const { sessions, slots } = template
  const own = sessions[place.session]
  const turns = hasTurns(template)
  if (own && !turns && !changes.some(({ adjustment }) => reshapes(adjustment.do.kind)))
    return asWritten(own, slots)
  let drafts: LineDraft[] = own ? inTurn(own, place).map((id) => ({ id, ...liftInTurn(situation, id) })) : []
  const made: LineChange[] = []
  const steps = new Map<Id, WhyStep[]>()
  for (const { adjustment, label } of changes) {
    const { do: change, where } = adjustment
    const { onSession, onSlot } = changeOf[change.kind]
    if (onSession && actsOn(where, spot)) {
      const changed = onSession(drafts, change, label)
      if (!changed) continue
      const fresh = changed.now.find(({ id }) => !drafts.some((one) => one.id === id))
      if (!fresh || !slots[fresh.id]) continue
      drafts = changed.now
      if (changed.step) made.push({ slot: fresh.id, step: changed.step })
    }
    if (!onSlot) continue
    drafts = drafts.flatMap((draft) => {
      const slot = slots[draft.id]
      if (!slot || !actsOn(where, { ...spot, slot: slotWith(library, draft.id, draft.lift ?? slot) }))
        return [draft]
      const changed = onSlot(draft, change, label, library)
      if (!changed) return [draft]
      const { now, step } = changed
      if (!now) {
        if (step) made.push({ slot: draft.id, step })
        return []
      }
      if (step) steps.set(draft.id, [...(steps.get(draft.id) ?? []), step])
      return [now]
    })
  }
  const lines = drafts.flatMap(({ id, lift }): Line[] => {
    const slot = slots[id]
    return slot ? [{ id, slot: lift ? asLift(slot, lift) : slot, steps: steps.get(id) ?? [] }] : []
  })
  return { lines, changes: made }
}

const reshapes = (kind: ChangeName): boolean =>
  changeOf[kind].onSession !== undefined || changeOf[kind].onSlot !== undefined

type Lineup = ReturnType<typeof lineup>

function asWritten(session: Session, slots: Template['slots']): Lineup {
  const known = written.get(session)
  if (known?.slots === slots) return known.made
  const lines = slotsOf(session).map((id): Line => ({ id, slot: slots[id] as Slot, steps: [] }))
  const made = { lines, changes: [] }
  written.set(session, { slots, made })
  return made
}

/** A template that has been read is never changed in place, so its sessions' lines are kept beside them. */
const written = new WeakMap<Session, { slots: Template['slots']; made: Lineup }>()

/** A slot with another exercise in it. */
export function asLift(slot: Slot, { exercise, variant }: Pick<Slot, 'exercise' | 'variant'>): Slot {
  if (slot.exercise === exercise && slot.variant === variant) return slot
  const { exercise: _, variant: __, ...rest } = slot
  return { ...rest, exercise, ...(variant && { variant }) }
}
