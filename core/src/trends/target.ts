import { type BlockOf, type LiftGoal, type TotalGoal, isSameBlock } from '../facts/index.ts'
import { liftKey, liftName, type Lift, type Library } from '../library/index.ts'
import type { Ratio } from '../template/index.ts'
import { addDays, daysBetween, formatLoad, inUnit, scale, snap, type Day, type Load } from '../units/index.ts'
import type { Block } from './block.ts'
import { evidenceOf, type Seen } from './estimates.ts'
import { trendOf, type Trend } from './trend.ts'

/** Where a lift’s goal stands: what it asks a week, what the lift has gained a week so far, and what that makes of the day. */
export type Target = TargetOf<LiftGoal>
export type TotalTarget = TargetOf<TotalGoal>

/** What any goal has: of a lift, or of several together. */
type AnyGoal = { from: Load | null; set: Day; to: Load; by?: Day; block?: BlockOf }

type TargetOf<G> = {
  goal: G
  /** The block that the goal is for, as far as it is known; its end is the day. */
  block?: Block
  /** The latest estimate, in the goal's unit. */
  now: number | null
  /** The whole gain in percent of where it began; null where that is not known. */
  gainPercent: number | null
  /** What is still needed a week until the day; null without a day. */
  needsPerWeek: number | null
  /** The lift's own gain a week, its error, and over how many weeks; null where there is too little to go by. */
  ownPerWeek: { value: number; error: number; weeks: number } | null
  /** What the line says of the day, with the band of eight in ten. */
  projected: { value: number; low: number; high: number } | null
  verdict:
    'already there' | 'reached' | 'missed' | 'on course' | 'within reach' | 'out of reach' | 'cannot tell'
}

/** A max that was accepted. */
export type MaxKnown = { load: Load; date: Day }

/**
 * How far back a lift's own rate is read, and no farther ahead than as long again is anything said. Gains slow down, so that a line
 * through all of them says too much: the last weeks alone are read where they brought less.
 */
const weeksBack = 12
const lastWeeks = 6

/** `maxes` are the accepted ones of the lift: where no set says anything of it they are what is known. */
export function targetOf<G extends AnyGoal>(
  given: G,
  seen: Seen[],
  today: Day,
  blocks: Block[] = [],
  maxes: readonly MaxKnown[] = [],
): TargetOf<G> {
  const block = given.block && blocks.find((one) => isSameBlock(one, given.block))
  const goal = block ? { ...given, by: block.ends } : given
  const to = goal.to.value
  const recent = seen.filter(({ date }) => date > addDays(today, -7 * weeksBack) && date <= today)
  const { trend, weeks: read } = slowerOf(recent, today)
  const known = maxes.map(({ date, load }): Seen => ({ date, value: inUnit(load, goal.to.unit).value }))
  const now = (evidenceOf(recent).at(-1) ?? recent.at(-1) ?? known.at(-1))?.value ?? null
  const from = goal.from && inUnit(goal.from, goal.to.unit).value
  const weeks = goal.by === undefined ? null : Math.max(0, daysBetween(today, goal.by) / 7)
  const isFar = weeks !== null && weeks > weeksBack
  const isAhead = goal.by !== undefined && goal.by >= today && !isFar
  const projected = trend && goal.by !== undefined && isAhead ? trend.on(goal.by) : null
  return {
    goal,
    ...(block && { block }),
    now,
    gainPercent: from ? Math.round((1000 * (to - from)) / from) / 10 : null,
    needsPerWeek: weeks && now !== null ? snap(Math.max(0, to - now) / weeks) : null,
    ownPerWeek: trend && { value: trend.perWeek, error: trend.error, weeks: read },
    projected,
    verdict: from && from >= to ? 'already there' : verdictOf(goal, [...seen, ...known], projected, today),
  }
}

/** The line through the last twelve weeks, or through the last six where they brought less. */
function slowerOf(seen: Seen[], today: Day): { trend: Trend | null; weeks: number } {
  const whole = trendOf(seen)
  const late = trendOf(seen.filter(({ date }) => date > addDays(today, -7 * lastWeeks)))
  return late && whole && late.perWeek < whole.perWeek
    ? { trend: late, weeks: lastWeeks }
    : { trend: whole, weeks: weeksBack }
}

function verdictOf(
  { to: { value: to }, set, by }: AnyGoal,
  seen: Seen[],
  projected: Target['projected'],
  today: Day,
): Target['verdict'] {
  if (seen.some(({ date, value }) => date >= set && date <= (by ?? today) && value >= to)) return 'reached'
  if (by !== undefined && by < today) return 'missed'
  if (!projected) return 'cannot tell'
  if (projected.value >= to) return 'on course'
  return projected.high >= to ? 'within reach' : 'out of reach'
}

/**
 * Goals that do not fit each other by the template's ratios: a lift that is to be more of another than its ratio says, by a tenth.
 * Goals of one block are held against each other, and those of none.
 */
export function misfits(
  library: Library,
  goals: LiftGoal[],
  ratios: Ratio[],
): { lifts: [Lift, Lift]; say: string }[] {
  return ratios.flatMap(({ lift, of, percent }) =>
    goals.flatMap((own) => {
      if (liftKey(own) !== liftKey(lift)) return []
      const other = goals.find((one) => liftKey(one) === liftKey(of) && isSameBlock(one.block, own.block))
      if (!other) return []
      const meant: Load = scale(inUnit(other.to, own.to.unit), percent)
      if (own.to.value <= meant.value * 1.1 && own.to.value >= meant.value * 0.9) return []
      return [
        {
          lifts: [own, other],
          say: `${liftName(library, own)} is to reach ${formatLoad(own.to)}; by its ratio of ${percent}% to ${liftName(library, other)} at ${formatLoad(other.to)} it would be ${formatLoad(meant)}. Check one of the two.`,
        },
      ]
    }),
  )
}
