import type { Id } from '../../parsing/index.ts'
import { ruleKinds, ruleOf, type Stage } from '../../progressions/index.ts'
import { defineCommand, fromNow, swapped } from './command.ts'
import { changeStage, checkUsers, progressionName, stageOf } from './progressions.ts'
import { same } from './values.ts'

/** A stage's rule with its numbers. */
export type RuleOfStage = Pick<Stage, 'rule' | 'params'>

type SetRule = { do: 'setRule'; progression: Id; stage: Id; from: RuleOfStage; to: RuleOfStage }

export const setRule = defineCommand<SetRule>({
  do: 'setRule',
  apply,
  /** A rule must be one that there is, with its own numbers, and every slot that feeds it must be able to carry it. */
  check(checker, draft, command) {
    const { progression: id, to } = command
    const path = `progressions.${id}.stages`
    if (!ruleKinds.includes(to?.rule))
      return checker.add(`${path}.rule`, `one of ${ruleKinds.join(', ')}`, to?.rule)
    if (!checker.check(ruleOf[to.rule].params, to.params ?? null, `${path}.params`)) return
    checkUsers(checker, apply(draft, command), id)
  },
  say: (library, draft, { progression, to }) =>
    `${progressionName(library, draft, progression)}: ${ruleOf[to.rule].title}`,
  inverse: swapped,
  renew: fromNow((draft, place) => {
    const own = stageOf(draft, place)
    return own && { rule: own.rule, params: own.params }
  }),
})

function apply(draft: Parameters<typeof changeStage>[0], { from, to, ...place }: SetRule) {
  return changeStage(draft, place, (stage) => {
    const { rule, params } = stage
    return same({ rule, params }, from) ? { ...stage, ...to } : rule
  })
}
