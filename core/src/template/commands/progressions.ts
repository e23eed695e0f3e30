import { object } from 'yup'
import { liftName } from '../../library/index.ts'
import { ruleKinds, ruleOf } from '../../progressions/registry.ts'
import { at, idField, type Checker } from '../../reading/index.ts'
import { findRules } from '../looseEnds.ts'
import { readProgression } from '../read.ts'
import { findSlotEnds, findUnheard } from '../slotEnds.ts'
import type { Id, ProgressionStage, Template } from '../types.ts'
import { changed, defineCommand, gone, isConflict, same, type Conflict } from './command.ts'

export const setParams = defineCommand<'setParams'>({
  apply: (draft, { from, to, ...place }) =>
    changeStage(draft, place, (stage) =>
      same(stage.params, from) ? { ...stage, params: to } : stage.params,
    ),
  check(checker, draft, { progression: id, stage: stageId, to }) {
    const stage = draft.progressions[id]?.stages.find((one) => one.id === stageId)
    if (stage) checker.check(ruleOf[stage.rule].params, to ?? null, `progressions.${id}.stages.params`)
  },
  say: (draft, { progression }) => `${progressionName(draft, progression)}: numbers changed`,
})

export const setRule = defineCommand<'setRule'>({
  apply: (draft, { from, to, ...place }) =>
    changeStage(draft, place, (stage) => {
      const { rule, params } = stage
      return same({ rule, params }, from) ? { ...stage, ...to } : rule
    }),
  /** A rule must be one that there is, with its own numbers, and every slot that feeds it must be able to carry it. */
  check(checker, draft, command) {
    const { progression: id, to } = command
    const path = `progressions.${id}.stages`
    if (!ruleKinds.includes(to?.rule))
      return checker.add(`${path}.rule`, `one of ${ruleKinds.join(', ')}`, to?.rule)
    if (!checker.check(ruleOf[to.rule].params, to.params ?? null, `${path}.params`)) return
    checkFollowers(checker, setRule.apply(draft, command), id)
  },
  say: (draft, { progression, to }) => `${progressionName(draft, progression)}: ${ruleOf[to.rule].title}`,
})

export const setProgression = defineCommand<'setProgression'>({
  apply(draft, { progression: id, from, to }) {
    const { [id]: own = null, ...others } = draft.progressions
    if (!own && from) return gone(progressionName(draft, id))
    if (!same(own, from)) return changed(progressionName(draft, id), 'something else')
    return { ...draft, progressions: to ? { ...draft.progressions, [id]: to } : others }
  },
  check(checker, draft, command) {
    const { progression: id, to } = command
    const path = at('progressions', id)
    if (to === null) {
      const follower = Object.values(draft.slots).find(({ follows }) =>
        follows.some(({ progression }) => progression === id),
      )
      const fix = 'Let the slot follow another first.'
      return follower && checker.add(path, 'no slot that follows it', liftName(follower), fix)
    }
    checker.check(object({ id: idField('a progression’s id').required() }), { id }, path)
    const read = readProgression(checker, to ?? null, path)
    if (!read || checker.issues.length) return
    if (!same(read, to)) return checker.add(path, 'a progression written out in full', to)
    findRules(checker, draft, read, path)
    checkFollowers(checker, setProgression.apply(draft, command), id)
  },
  say(draft, { progression, from, to }) {
    const done = from ? (to ? 'changed' : 'removed') : 'added'
    const rule = (to ?? from)?.stages[0]?.rule
    return `${progressionName(draft, progression)} ${done}${rule ? `: ${ruleOf[rule].title}` : ''}`
  },
})

/** The stage as changed; anything that is no stage is what stands there in place of what was meant. */
function changeStage(
  draft: Template,
  { progression: id, stage: stageId }: { progression: Id; stage: Id },
  change: (stage: ProgressionStage) => object | string,
): Template | Conflict {
  const progression = draft.progressions[id]
  const stage = progression?.stages.find((one) => one.id === stageId)
  if (!progression || !stage) return gone(progressionName(draft, id))
  const next = change(stage)
  if (typeof next === 'string' || !('rule' in next)) return changed(progressionName(draft, id), next)
  const stages = progression.stages.map((one) => (one === stage ? (next as typeof one) : one))
  return { ...draft, progressions: { ...draft.progressions, [id]: { ...progression, stages } } }
}

/** Every slot that feeds a progression must be able to carry it as it is after the command. */
function checkFollowers(checker: Checker, after: Template | Conflict, id: Id): void {
  if (isConflict(after)) return
  for (const [slotId, slot] of Object.entries(after.slots)) {
    if (!slot.follows.some(({ progression }) => progression === id)) continue
    findSlotEnds(checker, after, slot, at('slots', slotId))
    findUnheard(checker, after, slot, at('slots', slotId))
  }
}

/** "Progression of back squat". */
export function progressionName({ slots }: Pick<Template, 'slots'>, id: Id): string {
  const slot = Object.values(slots).find(({ follows }) =>
    follows.some(({ progression }) => progression === id),
  )
  return slot ? `Progression of ${liftName(slot).toLowerCase()}` : 'The progression'
}
