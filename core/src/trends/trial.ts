import { liftName, type Lift, type Library } from '../library/index.ts'
import { resolve, type SessionLog } from '../member/index.ts'
import { judge } from '../plan/index.ts'
import type { Evidence } from '../evidence/index.ts'
import { snap, type Day, type Load, type Unit } from '../units/index.ts'
import { estimatesOf } from './estimates.ts'
import { eightInTen, trendOf } from './trend.ts'

export type Period = { from: Day; to: Day }

/** The measures of one spell, the same for both. */
export type PeriodMeasures = {
  sessions: number
  /** Slots that met what was asked, in percent of those that were attempted; null of none. */
  hitPercent: number | null
  /** How hard the sessions were in the mean, 0 to 10; null where nobody said. */
  hardness: number | null
  /** Gain in e1RM a week, by lift, with its error; null where there is too little to go by. */
  gains: ({ value: number; error: number; count: number } | null)[]
}

/** Two spells side by side, and what can be said of the difference. */
export type TrialResult = {
  lifts: Lift[]
  first: PeriodMeasures
  second: PeriodMeasures
  /** By lift: the second spell's gain a week above the first's, with the band of eight in ten. */
  differences: ({ value: number; low: number; high: number } | null)[]
  better: 'first' | 'second' | 'cannot tell'
  say: string
}

/**
 * Judges a trial by the same measures in both spells. One spell is better only where every lift that tells says so with its whole
 * band; anything else cannot be told, which is the usual end of a trial of one person.
 */
export function judgeTrial(
  library: Library,
  { first, second, lifts }: Pick<Evidence['trials'][number], 'first' | 'second' | 'lifts'>,
  logs: SessionLog[],
  unit: Unit,
  body?: Load,
): TrialResult {
  const [before, after] = [first, second].map((ownDeload) =>
    measure(library, ownDeload, lifts, logs, unit, body),
  )
  const differences = lifts.map((_, i) => difference(before?.gains[i] ?? null, after?.gains[i] ?? null))
  const told = differences.filter((one) => one !== null)
  const better =
    told.length && told.every(({ low }) => low > 0)
      ? 'second'
      : told.length && told.every(({ high }) => high < 0)
        ? 'first'
        : 'cannot tell'
  return {
    lifts,
    first: before as PeriodMeasures,
    second: after as PeriodMeasures,
    differences,
    better,
    say: sayTrial(library, lifts, differences, better, unit),
  }
}

function measure(
  library: Library,
  { from, to }: Period,
  lifts: Lift[],
  all: SessionLog[],
  unit: Unit,
  body?: Load,
): PeriodMeasures {
  const logs = resolve(all).filter(({ date }) => date >= from && date <= to)
  const verdicts = logs.flatMap(({ shown, sets }) =>
    Object.entries(shown?.slots ?? {}).map(([id, slot]) => {
      const own = resolve(sets).filter((set) => set.slot === id)
      return judge(
        slot,
        slot.sets,
        own.sort((a, b) => a.n - b.n),
        slot.deload === true,
      ).verdict
    }),
  )
  const tried = verdicts.filter((verdict) => verdict === 'hit' || verdict === 'miss')
  const hard = logs.flatMap(({ answers }) => answers?.hard ?? [])
  return {
    sessions: logs.length,
    hitPercent: tried.length
      ? Math.round((100 * tried.filter((verdict) => verdict === 'hit').length) / tried.length)
      : null,
    hardness: hard.length ? Math.round((10 * hard.reduce((a, b) => a + b, 0)) / hard.length) / 10 : null,
    gains: lifts.map((lift) => {
      const trend = trendOf(estimatesOf(library, logs, lift, unit, body))
      return trend && { value: trend.perWeek, error: trend.error, count: trend.count }
    }),
  }
}

function difference(
  a: PeriodMeasures['gains'][number],
  b: PeriodMeasures['gains'][number],
): TrialResult['differences'][number] {
  if (!a || !b) return null
  const value = b.value - a.value
  const beside = eightInTen(Math.min(a.count, b.count) - 2) * Math.sqrt(a.error * a.error + b.error * b.error)
  return { value: snap(value), low: snap(value - beside), high: snap(value + beside) }
}

function sayTrial(
  library: Library,
  lifts: Lift[],
  differences: TrialResult['differences'],
  better: TrialResult['better'],
  unit: Unit,
): string {
  const told = differences.flatMap((one, i) =>
    one
      ? [
          `${liftName(library, lifts[i] as Lift)}: ${signed(one.value)} ${unit} a week in the second period (8 in 10: ${signed(one.low)} to ${signed(one.high)})`,
        ]
      : [`${liftName(library, lifts[i] as Lift)}: too few sessions to tell`],
  )
  const end =
    better === 'cannot tell'
      ? 'The data cannot tell which is better.'
      : `The ${better} period was better in every measure that differs.`
  return `${told.join('; ')}. ${end}`
}

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(Math.round(value * 100) / 100)}`
