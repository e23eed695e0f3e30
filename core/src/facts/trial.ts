import type { Lift } from '../library/index.ts'
import { liftFields } from '../member/index.ts'
import { dayField, listField, strictObject, textField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

type Days = { from: Day; to: Day }

/** Two spells that differ in one thing, judged by the same measures: the estimated max of these lifts, hits and how hard it was. */
type TrialFact = { name: string; differs: string; first: Days; second: Days; lifts: Lift[] }

export const trial = defineFact<TrialFact, { trials: ({ id: Id } & TrialFact)[] }>({
  kind: 'trial',
  isGiven: true,
  shape: factShape({
    name: textField('what it is called', 80).required(),
    differs: textField('the one thing in which the two test periods differ', 200).required(),
    first: daysField(),
    second: daysField(),
    lifts: listField('lifts that it is judged by', 8).of(strictObject(liftFields).required()).required(),
  }).test('fits', 'two test periods that do not overlap', (given) => {
    const { first, second } = given as Partial<TrialFact>
    return first?.to && second?.from && first.from && second.to
      ? first.to < second.from || second.to < first.from
      : true
  }),
  none: { trials: [] },
  learn: ({ trials }, { id, name, differs, first, second, lifts }) => ({
    trials: [...trials, { id, name, differs, first, second, lifts }],
  }),
  examples: [
    {
      say: 'three days a week against four',
      fact: {
        name: 'Days',
        differs: 'three days a week, then four',
        first: { from: '2026-03-02', to: '2026-04-12' },
        second: { from: '2026-04-13', to: '2026-05-24' },
        lifts: [{ exercise: 'backSquat' }],
      },
      want: {
        trials: [
          {
            id: 'f',
            name: 'Days',
            differs: 'three days a week, then four',
            first: { from: '2026-03-02', to: '2026-04-12' },
            second: { from: '2026-04-13', to: '2026-05-24' },
            lifts: [{ exercise: 'backSquat' }],
          },
        ],
      },
    },
  ],
})

/** From a day to a later one. */
function daysField() {
  return strictObject({ from: dayField().required(), to: dayField().required() })
    .test('fits', 'days, the last one after the first', ({ from, to }) => !from || !to || to > from)
    .required()
    .meta({ expected: 'days like {"from": "2026-03-02", "to": "2026-04-12"}' })
}
