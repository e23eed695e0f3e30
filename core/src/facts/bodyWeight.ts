import { loadField } from '../parsing/index.ts'
import type { Day, Load } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'
import { learnMax, type KeptOfMaxes } from './max.ts'

type Kept = { body: { load: Load; date: Day } | null }

/** The latest body weight, which body-weight lifts have as a part of their load. Maxes that waited for a first one are learnt by it. */
export const bodyWeight = defineFact<{ load: Load }, Kept, KeptOfMaxes>({
  kind: 'bodyWeight',
  shape: factShape({ load: loadField().required() }),
  none: { body: null },
  learn(known, { load, date }, library) {
    if (known.body && known.body.date > date) return {}
    const weighed: typeof known = { ...known, body: { load, date }, waiting: [] }
    return known.waiting.reduce((made, max) => ({ ...made, ...learnMax(library, made, max) }), weighed)
  },
  examples: [
    {
      say: 'the later of two weighings stands',
      fact: { load: { value: 78, unit: 'kg' } },
      known: { body: { load: { value: 80, unit: 'kg' }, date: '2026-03-09' } },
      want: {},
    },
    {
      say: 'a max that waited is learnt: 80 kg and 20 on top are 100',
      fact: { load: { value: 80, unit: 'kg' } },
      known: {
        waiting: [
          {
            id: 'm',
            rev: 1,
            date: '2026-03-01',
            actsFrom: '2026-03-01',
            exercise: 'pullUp',
            load: { value: 20, unit: 'kg' },
            reps: 1,
            how: 'tested',
          },
        ],
      },
      want: {
        body: { load: { value: 80, unit: 'kg' }, date: '2026-03-02' },
        waiting: [],
        maxes: {
          pullUp: [
            {
              load: { value: 100, unit: 'kg' },
              date: '2026-03-01',
              how: 'tested',
              from: { load: { value: 20, unit: 'kg' }, reps: 1, body: { value: 80, unit: 'kg' } },
            },
          ],
        },
      },
    },
  ],
})
