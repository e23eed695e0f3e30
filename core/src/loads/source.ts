import type { ObjectSchema } from 'yup'
import type { Messages, WhyStep } from '../words/index.ts'
import type { Lift, Library } from '../library/index.ts'
import type { RepTable } from '../maxes/index.ts'
import type { Id } from '../parsing/index.ts'
import type { Load, Step, Unit, Way } from '../units/index.ts'

/** What a source may read; it asks no clock and no store. */
export type Known = {
  library: Library
  lift: Lift
  max: MaxInForce | null
  /** Percent of the max that the template's training max is. */
  trainingMax?: number
  /** What the slot's progression asks, where it follows one that gives loads. */
  progression?: Priced | Need
  /** The heaviest load on the bar of sets before this one today: the slot's own prescriptions, or those named. */
  today?(slot?: string, prescription?: string): TopSeen
  /** The load on the bar when the progression was last trained in a role. */
  role?(role: string): RoleSeen | null
  /** The max of any lift, as percents read it. */
  maxOf?(lift: Lift): MaxInForce | null
  /** The least reps that the prescription asks of a set, what it leaves in reserve, how many sets, and the rest between them. */
  asked?: { reps: number; rir?: number; sets?: number; rest?: number }
  /** The member's body weight. */
  body?: Load
  /** What a lift has moved this week before this slot: reps times load, in all; null where it has moved nothing. */
  moved?(lift: Lift): Load | null
  /** The load of these sets when the slot was last trained, or is to be (then without a date); or, marked so, the lift's last at another place. */
  last?(): { load: Load; date: string | null; isSamePlace: boolean } | null
  /** The template's percents for reps. */
  table?: RepTable
  unit: Unit
}

/** The max that percents read today, and where it comes from. */
export type MaxInForce = {
  load: Load
  date: string
  how: 'tested' | 'accepted estimate'
  /**
   * The set it comes from, where it is not a plain single: with the formula that it was estimated by, and the body weight that
   * is part of it, on top of which the load went, or with `help` came off.
   */
  from?: { load: Load; help?: true; body?: Load; reps: number; rir?: number; formula?: string }
  /** How many weeks old it is, where that is older than the template trusts. */
  staleWeeks?: number
  /** The lift and percent that it is derived by, where the lift has no max of its own. */
  ratio?: { of: string; base: Load; percent: number }
}

/** An exposure in a role: its load on the bar (logged if done, else shown), when, and whether in the week that is planned. */
export type RoleSeen = { load: Load; date: string | null; week: number; isThisWeek: boolean; felt?: Felt }

/** The changes in percent that have acted on a load, by author and id: on what is read off it they do not act again. */
export type Felt = readonly string[]

/**
 * Today's top set: its load, null while that is not known; or why there is none to read: its slot is left out today, or has another
 * lift than the one that reads it. `isOther` where the template itself ties two lifts so.
 */
export type TopSeen =
  { load: Load | null; felt?: Felt; isOther?: true } | { lacks: 'leftOut' } | { lacks: 'otherLift'; of: Lift }

/** A load as a multiple of something: `percent` of `base`, with `plus` on top or less `minus`. Nothing is rounded yet. */
export type Priced = {
  base: Load
  percent: number
  /** The most of a band, in percent of the base: the member chooses between. */
  to?: number
  plus?: Load
  minus?: Load
  steps: WhyStep[]
  /** What has acted on the load that it is read off. */
  felt?: Felt
  /** It was reached by what was trained; or by hits that a plan only supposes. */
  reached?: 'earned' | 'supposed'
  /** It goes on from a load that was lifted: what a track makes of loads is in it already. */
  isRunning?: true
  /** It is read off another lift: never more than its own lift allows, where that is known. */
  isOther?: true
  /** The 1RM that it is a part of: more is asked only where the writer has said so. */
  most?: Load
  /** How it follows what is lifted today. */
  today?: Follows
}

/**
 * A load that follows today's top set: a percent of it, or a fixed drop below it; then what changes make of that, in percent, and the
 * most that they allow; rounded in a way.
 */
export type Today = Follows & { scale?: number; most?: Load; way: Way }
type Follows = { percent: number; drop?: Step; slot?: Id; prescription?: Id }

/** A load that is known only once something is lifted today. */
export type Later = { later: Follows; steps: WhyStep[] } & Pick<Priced, 'felt' | 'isOther'>

/** What is missing before a load can be given; it is asked of the member, never guessed. */
export type Need =
  | { need: 'max'; lift: Lift }
  | { need: 'bodyWeight'; lift: Lift }
  | { need: 'role'; lift: Lift; role: string }
  | { need: 'topSet'; lift: Lift; of?: Lift }

/**
 * What a load is based on. One file a source, file name = export = `of` in the template. `price` returns null where there
 * is no load to give (the member chooses, or nothing is lifted).
 */
export type Source<P> = {
  of: string
  title: string
  /** Whether it gives a load, so that the exercise must be one that loads can be made for. */
  computes: boolean
  params: ObjectSchema<P & object>
  /** How the cell of a week sheet says it, before the member's load: "75%", "free". */
  cell(params: P, library: Library): string
  /** What was typed into the cell, in lower case, as its parameters; null where it says something else. A bare percent is none's. */
  read(typed: string, library: Library): P | null
  /** Sets of the same day that it reads: a slot, or the prescriptions before it in its own. */
  reads?(params: P): { slot?: string; prescription?: string }
  /** Whether the reps of the sets tell on the load. */
  readsReps?: true
  /** Its percentage is one of a max or of body weight: changes by percentage points act on it. */
  isPercentage?: true
  /** The lifts whose maxes it reads. */
  readsMax?(lift: Lift, params: P): Lift[]
  /** A role of the slot's own progression that it reads. */
  readsRole?(params: P): string
  price(known: Known, params: P): Priced | Later | Need | null
  messages: Messages
  examples: { say: string; params: P; known: Partial<Known>; want: Load | Need | 'later' | null }[]
}

export const defineSource = <P>(source: Source<P>): Source<P> => source

/** The number of "82,5%" or "82.5 %" before what follows it, or null. */
export function percentBefore(typed: string, after: RegExp): number | null {
  const match = /^(\d+(?:[.,]\d+)?)\s*%?\s*(.*)$/.exec(typed)
  return match && after.test(match[2] ?? '') ? Number((match[1] ?? '').replace(',', '.')) : null
}

export const isNeed = (value: object): value is Need => (value as Partial<Need>).need !== undefined
export const isLater = (value: object): value is Later => (value as Partial<Later>).later !== undefined
