import type { WhyStep } from '../../words/index.ts'
import type { Goal } from '../../goals/index.ts'
import type { Lift } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import { isNeed, type Need, type Priced } from '../../loads/index.ts'
import {
  isBarely,
  ruleOf,
  type Asks,
  type Exposure,
  type Hand,
  type RuleAt,
} from '../../progressions/index.ts'
import { freshRun, longestRecent, type Heard, type Run, triggerOf } from '../../triggers/index.ts'
import { writtenIn, type Fixable, type ProgressionStage } from '../../template/index.ts'
import { compareLoads, type Load } from '../../units/index.ts'
import { roleAt, type CompiledUse } from '../compile/slot.ts'
import type { Situation } from '../state/situation.ts'
import type { FoldState, Running } from '../state/state.ts'
import { lastOf } from '../carry.ts'
import { handover, nextStage, currentStage, sayStage, type CurrentStage } from './currentStage.ts'
import { ruleAt, starting, type RuleInputs } from './ruleInputs.ts'

/** An exposure on its way to its rule; and what of it the writer had fixed, where rules would have written their own. */
export type Fed = { use: CompiledUse; exposure: Exposure; fixed: readonly Fixable[] }

/** What a slot's progressions ask of its lift now; what is not `more` stands in place of what is written. */
export type Asked = {
  load?: Priced | Need
  moreSets: number
  moreReps?: number
  sets?: number
  least?: number
  goal?: Goal
  amount?: number
  rir?: number
  total?: number
  /** What is said of single lines. */
  lines?: Record<Id, WhyStep[]>
  /** Some progression of the slot writes sets, goals or the variant. */
  writesScheme?: true
  steps: readonly WhyStep[]
}

/** What a lift's rules need of the member for numbers. */
type HandOf = (
  library: Situation['library'],
  evidence: Situation['evidence'],
  lift: Lift,
  template: Situation['template'],
) => Hand

export const nothingAsked: Asked = { moreSets: 0, steps: [] }

/** What the slot's progressions ask at a place of the week, or what one needs before it can start. */
export function askProgressions(known: RuleInputs, handOf: HandOf): Asked {
  const { library, template, state, place, evidence } = known.situation
  if (!known.own.uses.length) return nothingAsked
  const asked: Asked = { moreSets: 0, steps: nothingAsked.steps }
  for (const use of known.own.uses) {
    const role = roleAt(use.use, place.inWeek)
    const stands = currentStage(use, state, place, evidence.handovers)
    const { stage, running } = stands
    const rule = ruleOf[stage.rule]
    if (rule.quiet?.includes(role)) continue
    if (rule.writes.some((what) => what !== 'load' && what !== 'rir')) asked.writesScheme = true
    const own = running?.state ?? rule.start(starting(known, lastOf(state, use, running)), stage.params)
    if (isNeed(own)) {
      asked.load = own
      continue
    }
    const at = ruleAt(known, use)
    const { slot } = known.own
    const stood = rule.inTime?.(own, stage.params, at, handOf(library, evidence, slot, template)) ?? own
    const asks = rule.ask(stood, role, stage.params, at)
    const steps = spoken(use, stands, asks.steps)
    if (asks.load) asked.load = loadOf(asks.load, steps, running)
    else asked.steps = asked.steps.length ? [...asked.steps, ...steps] : steps
    take(asked, asks)
  }
  return asked
}

/** The steps of a rule, after the hand-over where it is new, and before why it waits. */
function spoken(use: CompiledUse, stands: CurrentStage, steps: WhyStep[]): WhyStep[] {
  const { running } = stands
  if (!running) return steps
  const isNew = !running.state && running.last
  const all = isNew ? [handover(use, stands), ...steps] : steps
  return running.waits ? [...all, running.waits] : all
}

function loadOf(base: Load, steps: WhyStep[], running: Running | undefined): Priced {
  const made: Priced = { base, percent: 100, steps }
  if (running?.supposed) made.reached = 'supposed'
  else if (running?.earned) made.reached = 'earned'
  return made
}

/** Takes over what a rule asks beside its load. */
function take(
  asked: Asked,
  { moreSets, moreReps, sets, least, goal, amount, rir, total, lines }: Asks,
): void {
  if (moreSets) asked.moreSets += moreSets
  if (moreReps !== undefined) asked.moreReps = moreReps
  if (sets !== undefined) asked.sets = sets
  if (least !== undefined) asked.least = least
  if (goal !== undefined) asked.goal = goal
  if (amount !== undefined) asked.amount = amount
  if (rir !== undefined) asked.rir = rir
  if (total !== undefined) asked.total = total
  if (lines) asked.lines = lines
}

/** Hands an exposure to its rule and keeps what the rule makes of it; where the stage's sign shows, the next one takes over. */
export function progress(
  state: FoldState,
  { use, exposure: given, fixed }: Fed,
  known: RuleInputs,
  hand: Hand,
): void {
  const { place, evidence } = known.situation
  const { stage, running, isOfPhase } = currentStage(use, state, place, evidence.handovers)
  const rule = ruleOf[stage.rule]
  // A rule of loads hears nothing of a session in which it gave none.
  if (rule.quiet?.includes(given.role) || (rule.writes.includes('load') && !given.target)) return
  const own = running?.state ?? rule.start(starting(known, lastOf(state, use, running)), stage.params)
  if (isNeed(own)) return
  const at = ruleAt(known, use)
  const stood = rule.inTime?.(own, stage.params, at, hand) ?? own
  const counted = countsFor(stood, given, stage, at)
  if (!counted) return
  const { state: from, exposure } = counted
  const isFixed = fixed.length > 0 && fixed.some((cell) => rule.writes.includes(writtenIn[cell]))
  const waits = isFixed ? fixedOn(exposure.date) : waitsFor(stage, exposure)
  const heardAs = isFixed || waits ? heardWith(exposure, 'hold', exposure.target) : exposure
  const next = rule.next(from, heardAs, stage.params, hand)
  const run = runAfter(running?.run ?? freshRun, isFixed ? heardAs : exposure)
  const load = exposure.target ?? running?.last?.load
  const last = load ? { date: exposure.date, load } : null
  const after = isOfPhase ? undefined : nextStage(use.progression.stages, stage)
  const isOver = after && stage.until && triggerOf[stage.until.trigger].fires(run, stage.until)
  if (after && isOver && !stage.offers) {
    state.progressions[use.key] = { stage: after.id, rule: after.rule, run: freshRun, last, state: null }
    return
  }
  const now: Running = { stage: stage.id, rule: stage.rule, run, last, state: next }
  if (isOfPhase) now.ofPhase = true
  if (waits) now.waits = waits
  if (isOver) now.offered = true
  if (running?.earned || (exposure.date !== null && heardAs.verdict === 'hit')) now.earned = true
  if (running?.supposed || exposure.date === null) now.supposed = true
  state.progressions[use.key] = now
}

/** An exposure with another verdict, or at another load. */
function heardWith(exposure: Exposure, verdict: Exposure['verdict'], target: Load | null): Exposure {
  return exposure.verdict === verdict && exposure.target === target
    ? exposure
    : { ...exposure, verdict, target }
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
  const credit = shown && rule.credits ? rule.credits(own, shown, params) : undefined
  const order = credit?.order ?? 0
  const standing = order === 0 && credit ? credit.state : own
  const asked = exposure.target && rule.ask(standing, role, params, at).load
  const replayed = asked && exposure.target ? sameOr(asked, exposure.target) : exposure.target
  if (verdict === 'hold' || credit === null)
    return { state: own, exposure: heardWith(exposure, 'hold', replayed) }
  const moved = exposure.target && replayed ? compareLoads(exposure.target, replayed) : 0
  const isAbove = moved > 0 || (moved === 0 && order > 0)
  const isBelow = moved < 0 || (moved === 0 && order < 0)
  if (verdict === 'miss') {
    if (isAbove || order > 0) return null
    return { state: standing, exposure: heardWith(exposure, verdict, replayed) }
  }
  if (isBelow) return { state: own, exposure: heardWith(exposure, 'hold', replayed) }
  const target = moved > 0 ? exposure.target : replayed
  return {
    state: isAbove ? (credit?.state ?? own) : standing,
    exposure: heardWith(exposure, verdict, target),
  }
}

/** A load, as the very object that it is compared with where the two are equal. */
const sameOr = (load: Load, same: Load): Load =>
  load.value === same.value && load.unit === same.unit ? same : load

/** Why a session of which the writer had fixed what the rule writes leaves everything as it is. */
const fixedOn = (date: Exposure['date']): WhyStep | undefined =>
  date ? sayStage('stage.fixed', { date }) : undefined

/** Why a hit leaves everything as it is: the stage waits for a good technique rating, and it has none. */
function waitsFor({ waits }: ProgressionStage, { date, verdict, technique }: Exposure): WhyStep | undefined {
  if (!waits || !date || verdict !== 'hit' || technique === 'good') return undefined
  return sayStage(technique === 'poor' ? 'stage.poor' : 'stage.unmarked', { date })
}

function runAfter(run: Run, exposure: Exposure): Run {
  const { verdict, target, technique, ended } = exposure
  if (verdict === 'hold') return run
  const heard: Heard = { verdict }
  if (technique) heard.technique = technique
  if (ended) heard.ended = ended
  if (isBarely(exposure)) heard.barely = true
  const isBest =
    verdict === 'hit' && target !== null && (!run.heaviest || compareLoads(target, run.heaviest) > 0)
  const recent = [heard, ...run.recent]
  if (recent.length > longestRecent) recent.pop()
  return {
    exposures: run.exposures + 1,
    recent,
    heaviest: isBest ? target : run.heaviest,
    sinceBest: isBest ? 0 : run.sinceBest + 1,
    first: run.first ?? exposure.at.week,
    last: exposure.at.week,
  }
}
