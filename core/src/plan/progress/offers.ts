import { handoverKey } from '../../facts/index.ts'
import type { Id } from '../../parsing/index.ts'
import { liftName, liftOfKey, type Lift } from '../../library/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import { triggerOf } from '../../triggers/index.ts'
import type { Template } from '../../template/index.ts'
import type { Fold } from '../state/fold.ts'
import type { Evidence } from '../../evidence/index.ts'
import { nextStage } from './currentStage.ts'

/** A lift that has outgrown its rule, and the stage that it may go on to. */
export type Offer = {
  enrolment: Id
  progression: Id
  /** The stage that is on offer. */
  stage: Id
  lift: Lift
  /** "Back squat has outgrown “Linear”, as it is when…", and what comes next in the rule's own words. */
  say: string
  next: string
}

/** The offers of an enrolment that nobody has taken yet. */
export function offersOf(
  { library, enrolment, state }: Fold,
  template: Template,
  evidence: Evidence,
): Offer[] {
  return Object.entries(state.progressions).flatMap(([key, running]): Offer[] => {
    const id = Object.keys(template.progressions).find((one) => key.startsWith(`${one}/`))
    const stages = (id !== undefined && template.progressions[id]?.stages) || []
    const stage = stages.find((one) => one.id === running.stage)
    const next = stage && nextStage(stages, stage)
    if (id === undefined || !running.offered || !stage?.until || !next) return []
    if (evidence.handovers.includes(handoverKey(id, next.id))) return []
    const lift = liftOfKey(key.slice(id.length + 1))
    const sign = triggerOf[stage.until.trigger].sentence(stage.until)
    return [
      {
        enrolment: enrolment.id,
        progression: id,
        stage: next.id,
        lift,
        say: `${liftName(library, lift)} has outgrown “${ruleOf[stage.rule].title}”, as a lift does ${sign}.`,
        next: `“${ruleOf[next.rule].title}”: ${ruleOf[next.rule].sentence(next.params)}`,
      },
    ]
  })
}

/** Lifts whose rule has come to ask for a deload. */
export function asksDeloadOf({ state }: Fold, { progressions }: Template): Lift[] {
  return Object.entries(state.progressions).flatMap(([key, { rule, state: own }]): Lift[] => {
    const id = Object.keys(progressions).find((one) => key.startsWith(`${one}/`))
    if (id === undefined || !own || !ruleOf[rule].wantsDeload?.(own)) return []
    return [liftOfKey(key.slice(id.length + 1))]
  })
}
