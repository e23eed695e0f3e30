import type { Id } from '@young-oak/core/parsing'
import { ruleOf, type RuleKind } from '@young-oak/core/progressions'
import {
  same,
  type Command,
  type PhaseRule,
  type Progression,
  type ProgressionStage,
  type RuleOfStage,
  type Template,
} from '@young-oak/core/template'
import { mint } from '../mint.ts'
import { slotsFor, withoutStage } from './slotStages.ts'

/** What a rule's form is about: a stage of a progression, or the rule that it has in one phase. */
export type Target = { progression: Id } & (
  { stage: Id; phase?: undefined } | { phase: Id; stage?: undefined }
)

/** How a stage goes on: its sign, whether that is an offer, and whether it waits for good technique. */
export type Ways = Pick<ProgressionStage, 'until' | 'offers' | 'waits'>

/** What stands at a target now; a phase without a rule of its own begins with that of the first stage. */
export function standsAt(draft: Template, target: Target): { rule: RuleOfStage; ways: Ways; isNew: boolean } {
  const progression = draft.progressions[target.progression]
  const first = progression?.stages[0] as ProgressionStage
  const own = target.phase
    ? progression?.inPhases?.find(({ phase }) => phase === target.phase)
    : progression?.stages.find(({ id }) => id === target.stage)
  const { rule, params } = own ?? first
  const { until, offers, waits } = (target.phase ? {} : (own ?? first)) as Ways
  return {
    rule: { rule, params },
    ways: { ...(until && { until }), ...(offers && { offers }), ...(waits && { waits }) },
    isNew: own === undefined,
  }
}

/** The command that puts a rule and its ways at a target; null where nothing changes. */
export function commandFor(draft: Template, target: Target, to: RuleOfStage, ways: Ways): Command | null {
  const { progression: id } = target
  const now = standsAt(draft, target)
  const from = draft.progressions[id] as Progression
  if (target.phase !== undefined) {
    const { inPhases = [] } = from
    const rule = { phase: target.phase, ...to } as PhaseRule
    const next = now.isNew
      ? [...inPhases, rule]
      : inPhases.map((one) => (one.phase === target.phase ? rule : one))
    return differ(from, { ...from, inPhases: next }, id)
  }
  const isRule = !same(to, now.rule)
  const isWays = !same(ways, now.ways)
  if (!isWays && !isRule) return null
  const at = { progression: id, stage: target.stage }
  if (!isWays && to.rule === now.rule.rule)
    return { do: 'setParams', ...at, from: now.rule.params, to: to.params }
  const stages = from.stages.map((one) =>
    one.id === target.stage ? ({ id: one.id, ...to, ...ways } as ProgressionStage) : one,
  )
  const isLater = from.stages[0]?.id !== target.stage
  const slots = isRule && isLater ? slotsFor(draft, id, target.stage, to.rule) : []
  const own: Command | null = isWays
    ? differ(from, { ...from, stages }, id)
    : { do: 'setRule', ...at, from: now.rule, to }
  return own && several([...slots, own])
}

/** A progression with one more rule at its end; the one before it hands the lift on when it has stalled. */
export function addStage(draft: Template, id: Id): Command | null {
  const from = draft.progressions[id]
  const last = from?.stages.at(-1)
  if (!from || !last) return null
  const until = { trigger: 'stalled' as const, misses: 2, of: 3 }
  const takes = ruleOf[last.rule].params.fields as object
  const params = 'startLast' in takes ? { ...last.params, startLast: 90 } : last.params
  const next = { id: mint(), rule: last.rule, params } as ProgressionStage
  return differ(from, { ...from, stages: [...from.stages.slice(0, -1), { ...last, until }, next] }, id)
}

/** A progression without one of its stages; what stands last then goes on. */
export function removeStage(draft: Template, id: Id, stage: Id): Command | null {
  const from = draft.progressions[id]
  if (!from || from.stages.length < 2) return null
  const kept = from.stages.filter((one) => one.id !== stage)
  const { until: _, offers: __, ...last } = kept.at(-1) as ProgressionStage
  const own = differ(from, { ...from, stages: [...kept.slice(0, -1), last as ProgressionStage] }, id)
  return own && several([own, ...withoutStage(draft, stage)])
}

const several = (commands: Command[]): Command =>
  commands.length === 1 ? (commands[0] as Command) : { do: 'several', commands }

export function removePhaseRule(draft: Template, id: Id, phase: Id): Command | null {
  const from = draft.progressions[id]
  if (!from?.inPhases) return null
  const { inPhases, ...rest } = from
  const kept = inPhases.filter((one) => one.phase !== phase)
  return differ(from, kept.length ? { ...rest, inPhases: kept } : rest, id)
}

/** Phases in which a progression has no rule of its own; none where there is but one phase. */
export function phasesWithout({ phases, progressions }: Template, id: Id): Id[] {
  const own = progressions[id]?.inPhases ?? []
  return phases.length < 2
    ? []
    : phases.map((phase) => phase.id).filter((one) => !own.some(({ phase }) => phase === one))
}

/** Slots that feed a progression. */
export const slotsFeeding = ({ slots }: Template, id: Id): Id[] =>
  Object.entries(slots).flatMap(([slot, { uses }]) =>
    uses.some(({ progression }) => progression === id) ? [slot] : [],
  )

/** Rules that keep their state of the same thing as the first stage's: a muscle's week is no lift's. */
export function rulesFor({ progressions }: Template, id: Id): RuleKind[] {
  const first = progressions[id]?.stages[0]?.rule
  const scope = first && (ruleOf[first].of ?? 'lift')
  return (Object.keys(ruleOf) as RuleKind[]).filter((kind) => (ruleOf[kind].of ?? 'lift') === scope)
}

const differ = (from: Progression, to: Progression, id: Id): Command | null =>
  same(from, to) ? null : { do: 'setProgression', progression: id, from, to }
