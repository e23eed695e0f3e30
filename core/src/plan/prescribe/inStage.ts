import { slotOf } from '../compile/program.ts'
import type { CompiledSlot } from '../compile/slot.ts'
import { currentStage } from '../progress/currentStage.ts'
import type { Situation } from '../state/situation.ts'

/** A slot as it stands in the stage that its lift has come to; as it is written while a phase has a rule of its own. */
export function inStage({ program, state, evidence, place }: Situation, own: CompiledSlot): CompiledSlot {
  const { inStages } = own.slot
  if (!inStages) return own
  for (const use of own.uses) {
    const { stage, isOfPhase } = currentStage(use, state, place, evidence.handovers)
    if (!isOfPhase && inStages.some((one) => one.stage === stage.id))
      return slotOf(program, own.id, own.slot, stage.id) ?? own
  }
  return own
}
