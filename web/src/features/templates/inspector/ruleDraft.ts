import type { Id } from '@young-oak/core/parsing'
import type { Library } from '@young-oak/core/library'
import { ruleOf, type RuleKind } from '@young-oak/core/progressions'
import { triggerOf, type TriggerBasis, type TriggerKind } from '@young-oak/core/triggers'
import {
  checkCommand,
  sayIssue,
  type Command,
  type RuleOfStage,
  type Template,
} from '@young-oak/core/template'
import type { Faults, Read } from '../../../app/draftResolver.ts'
import { draftOf, faultsOf, unflatten, type ParamDraft } from '../../params/paramDraft.ts'
import { paramsFor } from './ruleStart.ts'
import { commandFor, standsAt, type Target, type Ways } from './ruleTarget.ts'

/** A rule as it is chosen and typed, with what ends its stage. */
export type RuleDraft = {
  rule: RuleKind
  params: ParamDraft
  /** The phase that it is for; '' where it is for a stage. */
  phase: Id | ''
  needsTechnique: boolean
  trigger: TriggerKind
  until: ParamDraft
  isOffer: boolean
}

/** What stands at the target now. */
export function ruleDraftOf(draft: Template, target: Target): RuleDraft {
  const { rule, ways } = standsAt(draft, target)
  const { trigger, ...until } = ways.until ?? { trigger: 'stalled' as const, misses: 2, of: 3 }
  return {
    rule: rule.rule,
    params: draftOf(ruleOf[rule.rule], rule.params),
    phase: target.phase ?? '',
    needsTechnique: ways.waits === 'technique',
    trigger,
    until: draftOf(triggerOf[trigger], until),
    isOffer: ways.offers === true,
  }
}

/** The parameters of another rule in place of what stands. */
export const paramsOfRule = (draft: Template, target: Target, rule: RuleKind): ParamDraft =>
  draftOf(ruleOf[rule], paramsFor(rule, standsAt(draft, target).rule))

export const paramsOfTrigger = (trigger: TriggerKind): ParamDraft =>
  draftOf(triggerOf[trigger], triggerOf[trigger].examples[0]?.params ?? {})

/** A stage that another follows says when it hands the lift on. */
export const handsOn = (draft: Template, target: Target): boolean =>
  target.phase === undefined && standsAt(draft, target).ways.until !== undefined

/** The rule as a sentence, once its parameters are complete. */
export function sayRule({ rule, params: typed }: Pick<RuleDraft, 'rule' | 'params'>): string | null {
  const { params, sentence } = ruleOf[rule]
  const to = unflatten(typed)
  return params.isValidSync(to, { strict: true }) ? sentence(to) : null
}

/** The command that puts the rule at its target, none where nothing changes; or what is wrong with it, field by field. */
export function readRule(
  library: Library,
  draft: Template,
  target: Target,
  given: RuleDraft,
): Read<{ command: Command | null }> {
  const { rule, params: typed, phase, trigger, until } = given
  const [wrong, late] = [
    faultsOf(ruleOf[rule], typed),
    handsOn(draft, target) ? faultsOf(triggerOf[trigger], until) : {},
  ]
  const faults: Faults = {
    ...(Object.keys(wrong).length && { params: wrong }),
    ...(Object.keys(late).length && { until: late }),
  }
  if (Object.keys(faults).length) return { faults }
  const at: Target = phase ? { progression: target.progression, phase } : target
  const to = { rule, params: unflatten(typed) } as RuleOfStage
  const command = commandFor(draft, at, to, waysOf(draft, target, given))
  const [issue] = command ? checkCommand(library, draft, command) : []
  return issue ? { faults: { root: sayIssue(library, draft, issue) } } : { value: { command } }
}

function waysOf(
  draft: Template,
  target: Target,
  { needsTechnique, trigger, until, isOffer }: RuleDraft,
): Ways {
  if (target.phase !== undefined) return {}
  return {
    ...(handsOn(draft, target) && {
      until: { trigger, ...unflatten(until) } as TriggerBasis,
      ...(isOffer && { offers: true as const }),
    }),
    ...(needsTechnique && { waits: 'technique' as const }),
  }
}
