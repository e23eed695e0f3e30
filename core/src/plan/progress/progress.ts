import type { Id } from '../../parsing/index.ts'
import type { WhyStep } from '../../words/index.ts'
import type { Goal } from '../../goals/index.ts'
import type { Lift } from '../../library/index.ts'
import { isNeed, type Need, type Priced } from '../../loads/index.ts'
import { ruleOf, type Exposure, type Hand, type RuleAt, type Starting } from '../../progressions/index.ts'
import { freshRun, longestRecent, type Heard, type Run, triggerOf } from '../../triggers/index.ts'
import {
  writtenIn,
  type Fixable,
  type Use,
  type ProgressionStage,
  type Slot,
  type Template,
} from '../../template/index.ts'
import { compareLoads } from '../../units/index.ts'
import { handover, nextStage, currentStage, stateKey, sayStage } from './currentStage.ts'
import type { FoldState } from '../state/state.ts'

/** What rules may start from, and where in the plan they are asked. */
export type RuleInputs = Pick<Starting, 'library' | 'max' | 'body' | 'unit' | 'first'> & {
  phase: Id
  /** Stages that lifts were handed to because somebody took the offer. */
  handovers: readonly string[]
  at(progression: Id): RuleAt
}

/** An exposure on its way to its rule; and what of it the writer had fixed, where rules would have written their own. */
export type Fed = { progression: Id; lift: Lift; exposure: Exposure; fixed: readonly Fixable[] }

/** What a slot's progressions ask of its lift now; what is not `more` stands in place of what is written. */
export type Asked = {
  load?: Priced | Need
  moreSets: number
  moreReps?: number
  sets?: number
  goal?: Goal
  amount?: number
  rir?: number
  total?: number
  /** Some progression of the slot writes sets, goals or the variant. */
  writesScheme?: true
  steps: WhyStep[]
}

export const nothingAsked: Asked = { moreSets: 0, steps: [] }

/** What the slot's progressions ask at a place of the week, or what one needs before it can start. */
export function askProgressions(
  template: Template,
  state: FoldState,
  slot: Slot,
  inWeek: number,
  known: RuleInputs,
): Asked {
  if (!slot.uses.length) return nothingAsked
  const asked: Asked = { moreSets: 0, steps: [] }
  for (const follow of slot.uses) {
    const role = roleAt(follow, inWeek)
    const stands = currentStage(template, state, follow.progression, slot, known.phase, known.handovers)
    const { stage, running } = stands
    const rule = ruleOf[stage.rule]
    if (rule.quiet?.includes(role)) continue
    if (rule.writes.some((what) => what !== 'load' && what !== 'rir')) asked.writesScheme = true
    const own =
      running?.state ?? rule.start({ ...known, lift: slot, last: running?.last ?? null }, stage.params)
    if (isNeed(own)) {
      asked.load = own
      continue
    }
    const at = known.at(follow.progression)
    const { load, moreSets = 0, steps, variant: _, ...rest } = rule.ask(own, role, stage.params, at)
    const isNew = running && !running.state && running.last
    const all = isNew ? [handover(template, follow.progression, stands), ...steps] : steps
    const spoken = running?.waits ? [...all, running.waits] : all
    if (load) {
      const reached = running?.supposed ? 'supposed' : running?.earned ? 'earned' : undefined
      asked.load = { base: load, percent: 100, ...(reached && { reached }), steps: spoken }
    } else asked.steps.push(...spoken)
    asked.moreSets += moreSets
    Object.assign(asked, rest)
  }
  return asked
}

/** The role of a slot at a place of the week, from 1. */
export function roleAt({ role }: Use, inWeek: number): string {
  if (typeof role === 'string') return role
  return role.byDay[(inWeek - 1) % role.byDay.length] as string
}

/** Hands an exposure to its rule and keeps what the rule makes of it; where the stage's sign shows, the next one takes over. */
export function progress(
  template: Template,
  state: FoldState,
  { progression: id, lift, exposure: given, fixed }: Fed,
  known: RuleInputs,
  hand: Hand,
): void {
  const progression = template.progressions[id]
  if (!progression) throw new Error(`unknown progression "${id}"`)
  const { stage, running, isOfPhase } = currentStage(template, state, id, lift, known.phase, known.handovers)
  const rule = ruleOf[stage.rule]
  // A rule of loads hears nothing of a session in which it gave none.
  if (rule.quiet?.includes(given.role) || (rule.writes.includes('load') && !given.target)) return
  const own = running?.state ?? rule.start({ ...known, lift, last: running?.last ?? null }, stage.params)
  if (isNeed(own)) return
  const counted = countsFor(own, given, stage, known.at(id))
  if (!counted) return
  const { state: from, exposure } = counted
  const isFixed = fixed.some((cell) => rule.writes.includes(writtenIn[cell]))
  const waits = isFixed ? fixedOn(exposure.date) : waitsFor(stage, exposure)
  const heardAs = isFixed || waits ? { ...exposure, verdict: 'hold' as const } : exposure
  const next = rule.next(from, heardAs, stage.params, hand)
  const run = runAfter(running?.run ?? freshRun, isFixed ? heardAs : exposure)
  const isEarned = exposure.date !== null && heardAs.verdict === 'hit'
  const load = exposure.target ?? running?.last?.load
  const last = load ? { date: exposure.date, load } : null
  const after = isOfPhase ? undefined : nextStage(progression.stages, stage)
  const isOver = after && stage.until && triggerOf[stage.until.trigger].fires(run, stage.until)
  state.progressions[stateKey(progression, id, lift)] =
    after && isOver && !stage.offers
      ? { stage: after.id, rule: after.rule, run: freshRun, last, state: null }
      : {
          stage: stage.id,
          rule: stage.rule,
          run,
          last,
          state: next,
          ...(isOfPhase && { ofPhase: true as const }),
          ...(waits && { waits }),
          ...(isOver && { offered: true }),
          ...((running?.earned || isEarned) && { earned: true as const }),
          ...((running?.supposed || exposure.date === null) && { supposed: true as const }),
        }
}

/**
 * What an exposure counts for, and from which state, where a late or corrected log has moved what the rule would show away from what was
 * shown: a hit counts for the load, sets and goal it was made at (below the replayed ones it holds, above them it steps from there); a miss
 * above the replayed ones changes nothing. Null where the rule hears nothing.
 */
function countsFor(
  own: object,
  exposure: Exposure,
  { rule: kind, params }: ProgressionStage,
  at: RuleAt,
): { state: object; exposure: Exposure } | null {
  const rule = ruleOf[kind]
  const { shown, because, role } = exposure
  const isLighter = because === 'lighter' && rule.hearsLighter
  const verdict = isLighter ? 'miss' : exposure.verdict
  const credit = shown && rule.credits ? rule.credits(own, shown, params) : { state: own, order: 0 }
  const standing = credit?.order === 0 ? credit.state : own
  const replayed = exposure.target && (rule.ask(standing, role, params, at).load ?? exposure.target)
  const hold = { state: own, exposure: { ...exposure, verdict: 'hold' as const, target: replayed } }
  if (verdict === 'hold' || !credit) return hold
  const moved = exposure.target && replayed ? compareLoads(exposure.target, replayed) : 0
  const isAbove = moved > 0 || (moved === 0 && credit.order > 0)
  const isBelow = moved < 0 || (moved === 0 && credit.order < 0)
  if (verdict === 'miss') {
    if (isAbove || credit.order > 0) return null
    return { state: standing, exposure: { ...exposure, verdict, target: replayed } }
  }
  if (isBelow) return hold
  const target = moved > 0 ? exposure.target : replayed
  return { state: isAbove ? credit.state : standing, exposure: { ...exposure, verdict, target } }
}

/** Why a session of which the writer had fixed what the rule writes leaves everything as it is. */
const fixedOn = (date: Exposure['date']): WhyStep | undefined =>
  date ? sayStage('stage.fixed', { date }) : undefined

/** Why a hit leaves everything as it is: the stage waits for a good technique rating, and it has none. */
function waitsFor({ waits }: ProgressionStage, { date, verdict, technique }: Exposure): WhyStep | undefined {
  if (!waits || !date || verdict !== 'hit' || technique === 'good') return undefined
  return sayStage(technique === 'poor' ? 'stage.poor' : 'stage.unmarked', { date })
}

function runAfter(run: Run, { verdict, target, technique, ended }: Exposure): Run {
  if (verdict === 'hold') return run
  const heard: Heard = { verdict, ...(technique && { technique }), ...(ended && { ended }) }
  const isBest =
    verdict === 'hit' && target !== null && (!run.heaviest || compareLoads(target, run.heaviest) > 0)
  return {
    exposures: run.exposures + 1,
    recent: [heard, ...run.recent].slice(0, longestRecent),
    heaviest: isBest ? target : run.heaviest,
    sinceBest: isBest ? 0 : run.sinceBest + 1,
  }
}
