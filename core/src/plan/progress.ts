import type { Lift } from '../library/index.ts'
import { isNeed, type MaxInForce, type Need, type Priced } from '../loads/source.ts'
import { ruleOf, type Stage } from '../progressions/registry.ts'
import type { Exposure, Hand } from '../progressions/rule.ts'
import type { Id, Slot, Template } from '../template/types.ts'
import type { Unit } from '../units/index.ts'
import { progressionKey, type FoldState } from './state.ts'

/** What a rule may start from. */
type Known = { max: MaxInForce | null; unit: Unit }

/** An exposure on its way to its rule. */
export type Fed = { progression: Id; lift: Lift; exposure: Exposure }

/** What the slot's progression asks of its lift now, or what it needs before it can start; nothing where it follows none. */
export function askProgression(
  template: Template,
  state: FoldState,
  slot: Slot,
  known: Known,
): Priced | Need | undefined {
  if (!slot.follows) return undefined
  const { progression, role } = slot.follows
  const { rule, params } = stageOf(template, progression)
  const own =
    state.progressions[progressionKey(progression, slot)]?.state ??
    ruleOf[rule].start({ ...known, lift: slot }, params)
  if (isNeed(own)) return own
  const { load, rungs } = ruleOf[rule].ask(own, role, params)
  return { base: load, percent: 100, rungs }
}

/** Hands an exposure to its rule and keeps what the rule makes of it. */
export function progress(
  template: Template,
  state: FoldState,
  { progression, lift, exposure }: Fed,
  known: Known,
  hand: Hand,
): FoldState {
  const key = progressionKey(progression, lift)
  const { id, rule, params } = stageOf(template, progression)
  const before = state.progressions[key]
  const from = before?.state ?? ruleOf[rule].start({ ...known, lift }, params)
  if (isNeed(from)) return state
  const next = ruleOf[rule].next(from, exposure, params, hand)
  const kept = { stage: id, exposures: (before?.exposures ?? 0) + 1, last: exposure.date, state: next }
  return { ...state, progressions: { ...state.progressions, [key]: kept } }
}

function stageOf(template: Template, progression: Id): Stage {
  const stage = template.progressions[progression]?.stages[0]
  if (!stage) throw new Error(`unknown progression "${progression}"`)
  return stage
}
