import type { Id } from '../../parsing/index.ts'
import { turnOf } from '../../calendar/index.ts'
import { choiceKey } from '../../facts/index.ts'
import { liftKey, liftName, type Lift } from '../../library/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import { rulesOf, type Slot } from '../../template/index.ts'
import { declareSteps, type WhyStep } from '../../words/index.ts'
import { slotOf, writesVariant } from '../compile/program.ts'
import type { CompiledSlot } from '../compile/slot.ts'
import type { Situation } from '../state/situation.ts'
import { turnKey } from '../state/state.ts'
import { currentStage } from '../progress/currentStage.ts'

const say = declareSteps({ 'choice.chosen': 'chosen in place of {own}: {lift}' })
export const choiceMessages = say.messages

/** The lift that was chosen for a slot, with the reason; nothing where it is the slot's own, or is not offered any more. */
export function chosenLift(
  { library, evidence, enrolment }: Pick<Situation, 'library' | 'evidence' | 'enrolment'>,
  id: Id,
  slot: Slot,
): { lift: Lift; step: WhyStep } | undefined {
  const key = evidence.choices[choiceKey(enrolment, id)]
  const lift = key === undefined ? undefined : slot.choices?.find((one) => liftKey(one) === key)
  if (!lift) return undefined
  const data = { own: liftName(library, slot), lift: liftName(library, lift) }
  return { lift, step: say('choice.chosen', data) }
}

/** The lift that has a slot at a place, where it is not the slot's own: by its turn, or at the range that a rule has come to. */
export function liftInTurn(situation: Situation, id: Id): { lift: Lift } | undefined {
  const own = slotOf(situation.program, id)
  if (!own) return undefined
  const { slot } = own
  const { template, state, place } = situation
  const exposures = state.exposures[turnKey(id)] ?? 0
  const turned = slot.rotation && turnOf(template, place, slot.rotation, exposures)
  if (turned) return { lift: turned }
  const variant = rangeOf(situation, own)
  return variant === undefined ? undefined : { lift: { exercise: slot.exercise, variant } }
}

/** The range that one of the slot's rules has come to; a rule of ranges starts from nothing. */
function rangeOf(
  { library, state, evidence, place }: Situation,
  { slot, uses }: CompiledSlot,
): string | undefined {
  for (const use of uses) {
    if (!rulesOf(use.progression).some(writesVariant)) continue
    const { stage, running } = currentStage(use, state, place, evidence.handovers)
    const rule = ruleOf[stage.rule]
    const first = { scale: 100, points: 0, steps: [] }
    const known = { library, lift: slot, max: null, unit: evidence.unit, first, last: null }
    const own = running?.state ?? rule.start(known, stage.params)
    return rule.ask(own, 'main', stage.params, { week: place.week, inWeek: place.inWeek }).variant
  }
  return undefined
}
