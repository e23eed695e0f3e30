import { liftKey, type Lift } from '../library/index.ts'
import { liftFields } from '../member/index.ts'
import { dayField, listField, loadField, strictObject } from '../parsing/index.ts'
import { addLoad, inUnit, type Day, type Load } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What several lifts are to come to together: what was known of them on the day it was set, if all were, and what is meant. */
export type TotalGoal = { lifts: Lift[]; from: Load | null; set: Day; to: Load; by?: Day }

type TotalGoalFact = { lifts: Lift[]; to: Load | null; by?: Day }

/** What is known of the lifts on the day. */
type Known = { estimates: Record<string, { load: Load }>; maxes: Record<string, { load: Load }[]> }

/** The sum that the estimated maxes of several lifts are to reach, by a day where there is one. A later goal of the same lifts takes its place, and none takes it back. */
export const totalGoal = defineFact<TotalGoalFact, { totals: TotalGoal[] }, Known>({
  kind: 'totalGoal',
  isGiven: true,
  shape: factShape({
    lifts: listField('lifts that are added up', 6, 2)
      .of(strictObject(liftFields).required())
      .required()
      .test('fits', 'each lift once', (lifts) => {
        const keys = (lifts as Lift[]).map(liftKey)
        return new Set(keys).size === keys.length
      }),
    to: loadField().nullable().defined(),
    by: dayField(),
  }),
  none: { totals: [] },
  learn({ totals, estimates, maxes }, { date, lifts, to, by }) {
    const others = totals.filter((one) => keyOf(one.lifts) !== keyOf(lifts))
    if (!to) return { totals: others }
    const known = lifts.map((lift) => {
      const key = liftKey(lift)
      return estimates[key]?.load ?? maxes[key]?.at(-1)?.load
    })
    const from = known.reduce<Load | null>(
      (sum, load) => (sum && load ? addLoad(sum, inUnit(load, sum.unit)) : null),
      { value: 0, unit: to.unit },
    )
    return { totals: [...others, { lifts, from, set: date, to, ...(by && { by }) }] }
  },
  examples: [
    {
      say: 'two lifts that come to 210 kg are to come to 230',
      fact: {
        lifts: [{ exercise: 'backSquat' }, { exercise: 'benchPress' }],
        to: { value: 230, unit: 'kg' },
      },
      known: {
        estimates: { backSquat: { load: { value: 125, unit: 'kg' } } },
        maxes: { benchPress: [{ load: { value: 85, unit: 'kg' } }] },
      },
      want: {
        totals: [
          {
            lifts: [{ exercise: 'backSquat' }, { exercise: 'benchPress' }],
            from: { value: 210, unit: 'kg' },
            set: '2026-03-02',
            to: { value: 230, unit: 'kg' },
          },
        ],
      },
    },
  ],
})

const keyOf = (lifts: Lift[]): string => lifts.map(liftKey).sort().join()
