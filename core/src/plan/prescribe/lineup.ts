import type { Id } from '../../parsing/index.ts'
import { changeOf, type ChangeName, type LineDraft, actsOn, slotSpot } from '../../adjustments/index.ts'
import { inTurn } from '../../calendar/index.ts'
import type { WhyStep } from '../../words/index.ts'
import type { Authored } from '../compile/changes.ts'
import { slotOf, writtenSlots } from '../compile/program.ts'
import type { CompiledSlot } from '../compile/slot.ts'
import type { Situation } from '../state/situation.ts'
import { chosenLift, liftInTurn } from './rotations.ts'

/** A slot in its session as it is trained: with its exercise after swaps, and what changed it. */
export type Line = { own: CompiledSlot; steps: readonly WhyStep[] }

/** What was left out or put in, with the reason. */
export type LineChange = { slot: Id; step: WhyStep }

/**
 * The slots of a session in the order of the day, each with the lift whose turn it is, after what tracks, deloads and the member
 * have left out, swapped and added.
 */
export function lineup(situation: Situation, changes: Authored[]): { lines: Line[]; changes: LineChange[] } {
  const { library, template, program, place, spot } = situation
  const { sessions, slots } = template
  const own = sessions[place.session]
  if (own && !program.hasTurns && !changes.some(reshapes))
    return {
      lines: writtenSlots(program, place.session).map((own) => ({ own, steps: noSteps })),
      changes: [],
    }
  const steps = new Map<Id, WhyStep[]>()
  const draftOf = (id: Id): LineDraft => {
    const slot = slots[id]
    const chosen = slot?.choices && chosenLift(situation, id, slot)
    if (!chosen) return { id, ...liftInTurn(situation, id) }
    steps.set(id, [chosen.step])
    return { id, lift: chosen.lift }
  }
  let drafts = own ? inTurn(own, place).map(draftOf) : []
  const made: LineChange[] = []
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
      if (!slot || !actsOn(where, slotSpot(library, spot, draft.id, draft.lift ?? slot))) return [draft]
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
    const own = slotOf(program, id, lift)
    return own ? [{ own, steps: steps.get(id) ?? noSteps }] : []
  })
  return { lines, changes: made }
}

const noSteps: readonly WhyStep[] = []

const reshapes = ({ adjustment }: Authored): boolean => reshaping.has(adjustment.do.kind)
const reshaping = new Set(
  (Object.keys(changeOf) as ChangeName[]).filter((kind) => changeOf[kind].onSession ?? changeOf[kind].onSlot),
)
