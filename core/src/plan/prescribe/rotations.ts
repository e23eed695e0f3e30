import type { Id } from '../../parsing/index.ts'
import { turnOf } from '../../calendar/index.ts'
import type { Lift } from '../../library/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import { rulesOf, type Slot, type Template } from '../../template/index.ts'
import type { Situation } from '../state/situation.ts'
import { currentStage } from '../progress/currentStage.ts'

/** The lift that has a slot at a place, where it is not the slot's own: by its turn, or at the range that a rule has come to. */
export function liftInTurn(situation: Situation, id: Id): { lift: Lift } | undefined {
  const slot = situation.template.slots[id]
  if (!slot) return undefined
  const turned = slot.rotation && turnOf(situation.template, situation.place, slot.rotation)
  if (turned) return { lift: turned }
  const variant = rangeOf(situation, slot)
  return variant === undefined ? undefined : { lift: { exercise: slot.exercise, variant } }
}

/** The range that one of the slot's rules has come to; a rule of ranges starts from nothing. */
function rangeOf({ library, template, state, evidence, place }: Situation, slot: Slot): string | undefined {
  for (const { progression } of slot.uses) {
    if (!rulesOf(template.progressions[progression]).some(writesVariant)) continue
    const { stage, running } = currentStage(
      template,
      state,
      progression,
      slot,
      place.phase.id,
      evidence.handovers,
    )
    const rule = ruleOf[stage.rule]
    const first = { scale: 100, points: 0, steps: [] }
    const known = { library, lift: slot, max: null, unit: evidence.unit, first, last: null }
    const own = running?.state ?? rule.start(known, stage.params)
    return rule.ask(own, 'main', stage.params, { week: place.week, inWeek: place.inWeek }).variant
  }
  return undefined
}

const writesVariant = ({ rule }: { rule: keyof typeof ruleOf }): boolean =>
  ruleOf[rule].writes.includes('variant')

/** Whether anything of a template takes turns, or is trained at a range that a rule has come to. */
export function hasTurns({ sessions, slots, progressions }: Template): boolean {
  const known = turning.get(slots)
  if (known !== undefined) return known
  const made =
    Object.values(sessions).some(({ sections: parts }) => parts.some(({ rotation: turns }) => turns)) ||
    Object.values(slots).some(({ rotation: turns }) => turns) ||
    Object.values(progressions).some((progression) => rulesOf(progression).some(writesVariant))
  turning.set(slots, made)
  return made
}

/** A template that has been read is never changed in place, so what turns in it is kept beside it. */
const turning = new WeakMap<Template['slots'], boolean>()
