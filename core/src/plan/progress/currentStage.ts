import { handoverKey } from '../../facts/index.ts'
import type { Place } from '../../calendar/index.ts'
import type { Id } from '../../parsing/index.ts'
import { type WhyStep, declareSteps } from '../../words/index.ts'
import { ruleOf, type Stage } from '../../progressions/index.ts'
import { freshRun, triggerOf } from '../../triggers/index.ts'
import type { ProgressionStage } from '../../template/index.ts'
import type { CompiledUse } from '../compile/slot.ts'
import type { FoldState, Running } from '../state/state.ts'

/** The steps that say why a stage has a lift, and why it stays as it is. */
export const sayStage = declareSteps({
  'stage.next': '{before} ended: its trigger fired {sign}. {rule} from here',
  'stage.taken':
    '{before} ended: its trigger fired {sign}, and the offer of the next progression was accepted. {rule} from here',
  'stage.version': 'a new version has another progression for the lift: {rule} from here',
  'stage.afterPhase': 'the phase with its own progression is over: {rule} from here',
  'stage.phase': 'this phase has its own progression for the lift: {rule}',
  'stage.unmarked': 'the hit of {date} has no good technique rating: the load stays until a hit has one',
  'stage.fixed': 'the sets of {date} were fixed by the writer: neither a step nor a miss',
  'stage.poor': 'the technique of {date} was rated poor: the load stays until it is good',
})

/** Where a lift stands in a progression: the stage that has it in a phase, and what is kept of it. */
export type CurrentStage = {
  stage: ProgressionStage
  running: Running | undefined
  /** The rule is the phase's, not the stage's own; and whether what is kept came from such a one. */
  isOfPhase: boolean
  wasOfPhase: boolean
}

/**
 * The stage that a lift is in. Under a version that has the stage no more, the first stage of the same rule goes on with the
 * same state; under another rule, a phase's own or one that the lift was handed to, the counters end and it starts from the
 * max and the last exposure.
 */
export function currentStage(
  { id, progression, key }: CompiledUse,
  state: FoldState,
  { phase: { id: phase }, week }: Pick<Place, 'phase' | 'week'>,
  handovers: readonly string[],
): CurrentStage {
  const { stages, inPhases } = progression
  const first = stages[0]
  if (!first) throw new Error(`missing stage in progression "${id}"`)
  const kept = state.progressions[key]
  const stage = stageOf(stages, kept, id, { week, handovers }) ?? first
  const own = inPhases?.find((one) => one.phase === phase)
  const inForce = own ? ({ ...own, id: stage.id } as ProgressionStage) : stage
  const isOfPhase = own !== undefined
  const wasOfPhase = kept?.ofPhase === true
  if (!kept) return { stage: inForce, running: undefined, isOfPhase, wasOfPhase }
  const goesOn = kept.rule === inForce.rule && kept.stage === stage.id
  const isRenamed = kept.rule === inForce.rule && !stages.some((one) => one.id === kept.stage)
  const running: Running =
    goesOn || isRenamed
      ? kept
      : { stage: stage.id, rule: inForce.rule, run: freshRun, last: kept.last, state: null }
  return { stage: inForce, running, isOfPhase, wasOfPhase }
}

/** The stage that is kept, or the one after it where its time is over, or where that is on offer and somebody has taken it: what was taken stands. */
function stageOf(
  stages: ProgressionStage[],
  kept: Running | undefined,
  id: Id,
  { week, handovers }: { week: number; handovers: readonly string[] },
): ProgressionStage | undefined {
  if (!kept) return undefined
  const stage = stages.find((one) => one.id === kept.stage) ?? stages.find(({ rule }) => rule === kept.rule)
  const after = stage && nextStage(stages, stage)
  if (!stage || !after) return stage
  if (stage.offers) return handovers.includes(handoverKey(id, after.id)) ? after : stage
  const { until } = stage
  return until && triggerOf[until.trigger].isDue?.(kept.run, until, week) ? after : stage
}

export const nextStage = (
  stages: ProgressionStage[],
  stage: Pick<Stage, 'id'>,
): ProgressionStage | undefined => stages[stages.findIndex(({ id }) => id === stage.id) + 1]

/** Why another rule has the lift now: the sign of the stage before it, its phase, or a new version. */
export function handover(
  { progression: { stages } }: CompiledUse,
  { stage, isOfPhase, wasOfPhase }: CurrentStage,
): WhyStep {
  const { title } = ruleOf[stage.rule]
  if (isOfPhase) return sayStage('stage.phase', { rule: title })
  if (wasOfPhase) return sayStage('stage.afterPhase', { rule: title })
  const before = stages[stages.findIndex((one) => one.id === stage.id) - 1]
  if (!before?.until) return sayStage('stage.version', { rule: title })
  const sign = triggerOf[before.until.trigger].sentence(before.until)
  const data = { before: ruleOf[before.rule].title, sign, rule: title }
  return sayStage(before.offers ? 'stage.taken' : 'stage.next', data)
}
