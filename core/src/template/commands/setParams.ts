import type { Id } from '../../parsing/index.ts'
import { ruleOf, type Stage } from '../../progressions/index.ts'
import { defineCommand, fromNow, swapped } from './command.ts'
import { changeStage, progressionName, stageOf } from './progressions.ts'
import { same } from './values.ts'

export const setParams = defineCommand<{
  do: 'setParams'
  progression: Id
  stage: Id
  from: Stage['params']
  to: Stage['params']
}>({
  do: 'setParams',
  apply: (draft, { from, to, ...place }) =>
    changeStage(draft, place, (stage) =>
      same(stage.params, from) ? { ...stage, params: to } : stage.params,
    ),
  check(checker, draft, { to, ...place }) {
    const stage = stageOf(draft, place)
    if (stage)
      checker.check(ruleOf[stage.rule].params, to ?? null, `progressions.${place.progression}.stages.params`)
  },
  say: (library, draft, { progression }) =>
    `${progressionName(library, draft, progression)}: numbers changed`,
  inverse: swapped,
  renew: fromNow((draft, place) => stageOf(draft, place)?.params),
})
