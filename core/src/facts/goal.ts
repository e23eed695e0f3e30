import { liftKey, type Lift } from '../library/index.ts'
import { liftFields } from '../member/index.ts'
import { dayField, idField, loadField, numberField, strictObject, type Id } from '../parsing/index.ts'
import { scale, type Day, type Load } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** A block that a member is on: a phase of a program. */
export type BlockOf = { enrolment: Id; phase: Id }

export const isSameBlock = (a: BlockOf | undefined, b: BlockOf | undefined): boolean =>
  a?.enrolment === b?.enrolment && a?.phase === b?.phase

/** What a lift is to reach: the estimated max on the day it was set, if one was known, and the one that is meant. */
export type LiftGoal = Lift & {
  from: Load | null
  set: Day
  to: Load
  /** The gain in percent that it was set as, where it was. */
  gain?: number
  by?: Day
  block?: BlockOf
}

/** A load, or a gain in percent on what was known of the lift on the day; none takes the goal back. */
type GoalFact = { to?: Load | null; gain?: number; by?: Day; block?: BlockOf } & Lift

/** What is known of the lift's max on the day. */
type Known = { estimates: Record<string, { load: Load }>; maxes: Record<string, { load: Load }[]> }

/**
 * The estimated max that a lift is to reach by a day, or by the end of a block: a load, or so many percent more than is known of it on the day, its
 * estimate or else its max. A later goal of the lift and block takes its place, and none takes it back. A gain on nothing is no goal.
 */
export const goal = defineFact<GoalFact, { goals: LiftGoal[] }, Known>({
  kind: 'goal',
  isGiven: true,
  shape: factShape({
    ...liftFields,
    to: loadField().nullable(),
    gain: numberField('percent to gain, 0.5 to 100', 0.5, 100),
    by: dayField(),
    block: strictObject({
      enrolment: idField('an enrolment’s id').required(),
      phase: idField('a phase').required(),
    }).default(undefined),
  })
    .test('fits', 'either a day ("by") or a block (a phase of a program), whose end is the day', (given) => {
      const { by, block } = given as GoalFact
      return by === undefined || block === undefined
    })
    .test('fits', 'either a load ("to") or a gain in percent ("gain")', (given) => {
      const { to, gain } = given as GoalFact
      return (to === undefined) !== (gain === undefined)
    }),
  none: { goals: [] },
  learn({ goals, estimates, maxes }, fact) {
    const { exercise, variant, date, gain, by, block } = fact
    const key = liftKey(fact)
    const others = goals.filter((one) => liftKey(one) !== key || !isSameBlock(one.block, block))
    const from = estimates[key]?.load ?? maxes[key]?.at(-1)?.load ?? null
    const to = gain === undefined ? fact.to : from && scale(from, 100 + gain)
    if (!to) return { goals: others }
    const until = { ...(gain !== undefined && { gain }), ...(by && { by }), ...(block && { block }) }
    return { goals: [...others, { exercise, ...(variant && { variant }), from, set: date, to, ...until }] }
  },
  examples: [
    {
      say: '5% more than the max of 110 kg, where there is no estimate',
      fact: { exercise: 'backSquat', gain: 5 },
      known: { maxes: { backSquat: [{ load: { value: 110, unit: 'kg' } }] } },
      want: {
        goals: [
          {
            exercise: 'backSquat',
            from: { value: 110, unit: 'kg' },
            set: '2026-03-02',
            to: { value: 115.5, unit: 'kg' },
            gain: 5,
          },
        ],
      },
    },
    {
      say: 'a gain on a lift of which nothing is known',
      fact: { exercise: 'backSquat', gain: 5 },
      want: { goals: [] },
    },
    {
      say: 'from what is known of the lift to 120 kg by May',
      fact: { exercise: 'backSquat', to: { value: 120, unit: 'kg' }, by: '2026-05-16' },
      known: { maxes: { backSquat: [{ load: { value: 110, unit: 'kg' } }] } },
      want: {
        goals: [
          {
            exercise: 'backSquat',
            from: { value: 110, unit: 'kg' },
            set: '2026-03-02',
            to: { value: 120, unit: 'kg' },
            by: '2026-05-16',
          },
        ],
      },
    },
  ],
})
