import type { Rung } from '../explain/rung.ts'
import type { Goal } from '../goals/registry.ts'
import type { Lift } from '../library/index.ts'
import { isNeed, type Need, type Priced } from '../loads/source.ts'
import { ruleOf, type Stage } from '../progressions/registry.ts'
import type { Exposure, Hand, Starting } from '../progressions/rule.ts'
import { longestRecent, type Run } from '../signs/sign.ts'
import { signOf } from '../signs/registry.ts'
import type { Follow, Id, Progression, Slot, Template } from '../template/types.ts'
import { compareLoads, type Load } from '../units/index.ts'
import { progressionKey, type FoldState, type Running } from './state.ts'

/** What a rule may start from. */
type Known = Pick<Starting, 'max' | 'body' | 'unit' | 'first'>

/** An exposure on its way to its rule. */
export type Fed = { progression: Id; lift: Lift; exposure: Exposure }

/** What a slot's progressions ask of its lift now; `sets` and `goal` stand in place of what is written. */
export type Asked = { load?: Priced | Need; moreSets: number; sets?: number; goal?: Goal; rungs: Rung[] }

export const nothingAsked: Asked = { moreSets: 0, rungs: [] }

/** What the slot's progressions ask at a place of the week, or what one needs before it can start. */
export function askProgressions(
  template: Template,
  state: FoldState,
  slot: Slot,
  inWeek: number,
  known: Known,
): Asked {
  if (!slot.follows.length) return nothingAsked
  const asked: Asked = { moreSets: 0, rungs: [] }
  for (const follow of slot.follows) {
    const role = roleAt(follow, inWeek)
    const { stage, running, rule } = standing(template, state, follow.progression, slot)
    if (rule.quiet?.includes(role)) continue
    const own =
      running?.state ?? rule.start({ ...known, lift: slot, last: running?.last ?? null }, stage.params)
    if (isNeed(own)) {
      asked.load = own
      continue
    }
    const { load, moreSets = 0, sets, goal, rungs } = rule.ask(own, role, stage.params)
    const all =
      running && !running.state && running.last
        ? [...handover(template, follow.progression, stage), ...rungs]
        : rungs
    if (load) asked.load = { base: load, percent: 100, rungs: all }
    else asked.rungs.push(...all)
    asked.moreSets += moreSets
    if (sets) asked.sets = sets
    if (goal) asked.goal = goal
  }
  return asked
}

/** The role of a slot at a place of the week, from 1. */
export function roleAt({ role }: Follow, inWeek: number): string {
  if (typeof role === 'string') return role
  return role.byPlace[(inWeek - 1) % role.byPlace.length] as string
}

/** Hands an exposure to its rule and keeps what the rule makes of it; where the stage's sign shows, the next one takes over. */
export function progress(
  template: Template,
  state: FoldState,
  { progression, lift, exposure }: Fed,
  known: Known,
  hand: Hand,
): void {
  const { stage, running, rule } = standing(template, state, progression, lift)
  // A rule of loads hears nothing of a session in which it gave none.
  if (rule.quiet?.includes(exposure.role) || (rule.writes.includes('load') && !exposure.target)) return
  const from = running?.state ?? rule.start({ ...known, lift, last: running?.last ?? null }, stage.params)
  if (isNeed(from)) return
  const next = rule.next(from, exposure, stage.params, hand)
  const run = counted(running?.run ?? freshRun, exposure)
  const load = exposure.target ?? running?.last?.load
  const last = load ? { date: exposure.date, load } : null
  const key = progressionKey(progression, lift)
  const after = nextStage(template.progressions[progression], stage)
  const isOver = after && stage.until && signOf[stage.until.sign].shows(run, stage.until)
  state.progressions[key] =
    after && isOver
      ? { stage: after.id, rule: after.rule, run: freshRun, last, state: null }
      : { stage: stage.id, rule: stage.rule, run, last, state: next }
}

const freshRun: Run = { exposures: 0, recent: [], heaviest: null }

function counted({ exposures, recent, heaviest }: Run, { verdict, target }: Exposure): Run {
  if (verdict === 'hold') return { exposures, recent, heaviest }
  return {
    exposures: exposures + 1,
    recent: [verdict, ...recent].slice(0, longestRecent),
    heaviest: verdict === 'hit' && target ? heavier(heaviest, target) : heaviest,
  }
}

export const heavier = (a: Load | null | undefined, b: Load): Load => (a && compareLoads(a, b) > 0 ? a : b)

/**
 * The stage that a lift is in, with what is kept of it. Under a version that has the stage no more, the first stage of the
 * same rule goes on with the same state; under another rule the counters end and it starts from the max and the last exposure.
 */
function standing(template: Template, state: FoldState, progression: Id, lift: Lift) {
  const stages = template.progressions[progression]?.stages
  const first = stages?.[0]
  if (!stages || !first) throw new Error(`unknown progression "${progression}"`)
  const kept = state.progressions[progressionKey(progression, lift)]
  const stage = kept
    ? (stages.find(({ id }) => id === kept.stage) ?? stages.find(({ rule }) => rule === kept.rule) ?? first)
    : first
  const running: Running | undefined =
    kept && kept.rule !== stage.rule
      ? { stage: stage.id, rule: stage.rule, run: freshRun, last: kept.last, state: null }
      : kept
  return { stage, running, rule: ruleOf[stage.rule] }
}

function nextStage(progression: Progression | undefined, stage: Stage): Stage | undefined {
  const stages = progression?.stages ?? []
  return stages[stages.findIndex(({ id }) => id === stage.id) + 1]
}

/** Why another stage has the lift now: the sign of the one before it, or a new version. */
function handover({ progressions }: Template, id: Id, stage: Stage): Rung[] {
  const stages = progressions[id]?.stages ?? []
  const before = stages[stages.findIndex((one) => one.id === stage.id) - 1]
  if (!before?.until) return [{ id: 'stage.version', data: { rule: ruleOf[stage.rule].title } }]
  const sign = signOf[before.until.sign].sentence(before.until)
  const data = { before: ruleOf[before.rule].title, sign, rule: ruleOf[stage.rule].title }
  return [{ id: 'stage.next', data }]
}

export const stageMessages = {
  'stage.next': '{before} handed the lift on, as it does {sign}: {rule} from here',
  'stage.version': 'a new version has another rule for the lift: {rule} from here',
}
