import { mainMuscle, type Lift, type Muscle, type Library } from '../library/index.ts'
import type { About, AskFirst, CheckIn, EventKind } from '../facts/index.ts'

/** What advice goes by: figures of one member on one day, made from logs, answers, check-ins and the plan. */
export type Signals = {
  lifts: LiftSignal[]
  /** The latest first, no older than three weeks. */
  checkIns: CheckIn[]
  /** Muscles that were still sore at least twice in the last three weeks, when asked or when trained again. */
  soreMuscles: Muscle[]
  /** Sessions of the last two weeks after which one and the same muscle felt worked too much. */
  tooMuch: number
  /** How hard the sessions of the last two weeks were in the mean, 0 to 10; null where nobody said. */
  hardness: number | null
  /** Reps in reserve (RIR) in the mean of the last three weeks; null where none were noted. */
  usualRir: number | null
  /** Days with a session a week, over the last four weeks. */
  daysAWeek: number
  weeksTrained: number
  /** Weeks since the last deload ended; null where there was none. */
  weeksSinceDeload: number | null
  /** Weeks until the plan's next deload, 0 for the one that comes next; null where none is planned. */
  plannedDeloadIn: number | null
  event: { what: EventKind; inWeeks: number } | null
  /** Lifts that hurt in the last two weeks. */
  pains: Lift[]
  /** Lifts whose rule asks for a deload. */
  asks: Lift[]
  phase: { weeksIn: number; hasNext: boolean }
  about: About
  /** What asks for the word of a licensed professional, and whether it is there. */
  askFirst: AskFirst
}

export type LiftSignal = {
  lift: Lift
  /** In the last six weeks. */
  exposures: number
  missesInARow: number
  /** One of its last three exposures fell short of what was asked, or left a rep less than asked in the mean. */
  isShort: boolean
  /** Exposures since its best estimate of these weeks. */
  sinceBest: number
  /** The later half of its estimates against the earlier half, in percent; null where there are too few. */
  change: number | null
  /** Reps left that were noted against those asked, in the mean of the last three exposures; null where none were noted. */
  rirDrift: number | null
}

/** Where signs begin to count (common practice, no source; each is an opinion that the table of situations shows at work). */
export const limits = {
  /** Percent by which an estimate has fallen, or risen. */
  fall: -2.5,
  rise: 0.5,
  missesInARow: 2,
  flatExposures: 4,
  rirDrift: -1.5,
  poor: 2,
  hard: 9,
  /** A deload is rarely closer to the last than this. */
  closest: 3,
  /** Weeks after which one is due: by training age, where nobody said it, for those who train hard or often, and never sooner than. */
  dueBy: { underOneYear: 8, oneToThreeYears: 6, overThreeYears: 4 },
  due: 8,
  dueHard: 4,
  dueLeast: 4,
  /** Reserve that is easy to recover from, and days that are. */
  easyRir: 3,
  easyDays: 3,
  oftenDays: 5,
  /** Weeks on one variable before it is time to change it. */
  blockWeeks: 4,
}

/** Falling against what was asked: an estimate that is lower because less was asked is none. */
export const isFalling = ({ change, missesInARow, isShort }: LiftSignal): boolean =>
  missesInARow >= limits.missesInARow || (isShort && change !== null && change <= limits.fall)

export const isRising = ({ change, missesInARow }: LiftSignal): boolean =>
  missesInARow === 0 && change !== null && change >= limits.rise

export const isFlat = (lift: LiftSignal): boolean =>
  !isFalling(lift) && !isRising(lift) && lift.sinceBest >= limits.flatExposures

export const fallingIn = ({ lifts }: Signals): LiftSignal[] => lifts.filter(isFalling)

export const main = (library: Library, { lift }: LiftSignal): Muscle | undefined => mainMuscle(library, lift)

/** Weeks after the last deload, or the start, from which one is due: by training age first, and sooner for those who train hard, often, or with less to spare. */
export function dueAfter({ usualRir: usualLeft, daysAWeek, about }: Signals): number {
  const isHard = (usualLeft !== null && usualLeft <= 1) || daysAWeek >= limits.oftenDays
  const strains = [about.overForty, about.deficit, about.stress].filter(Boolean).length
  const usual = about.training ? limits.dueBy[about.training] : limits.due
  return Math.max(limits.dueLeast, (isHard ? Math.min(usual, limits.dueHard) : usual) - strains)
}

export const weeksWithout = ({ weeksSinceDeload, weeksTrained }: Signals): number =>
  weeksSinceDeload ?? weeksTrained
