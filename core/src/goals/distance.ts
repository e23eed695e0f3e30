import { formatNumber, isAtLeast, sizeOf, type DistanceUnit } from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Distance = { distance: number; unit: DistanceUnit; trips?: number }

/** A distance to run, row or carry over, in trips of so much each where there are several. */
export const distance = defineGoal<Distance>({
  key: 'distance',
  title: 'A distance',
  cell: ({ distance: far, unit, trips }) => `${trips ? `${trips} × ` : ''}${formatNumber(far)} ${unit}`,
  read(typed) {
    const match = /^(?:(\d+)\s*[x×]\s*)?(\d+(?:[.,]\d+)?)\s*(m|km|yd|mi)$/.exec(typed)
    if (!match) return null
    const far = Number(match[2]?.replace(',', '.'))
    return { distance: far, unit: match[3] as DistanceUnit, ...(match[1] && { trips: Number(match[1]) }) }
  },
  reps: () => null,
  logs: ({ unit }) => unit,
  meets: ({ distance: far, unit, trips = 1 }, { amount }) =>
    amount !== undefined && isAtLeast(amount, { value: far * trips, unit }),
  // Two metres a second, between a loaded walk and an easy row (common practice, no source).
  seconds: ({ distance: far, unit, trips = 1 }) => (far * trips * sizeOf(unit)) / 2,
  amount: ({ distance: asked }) => asked,
  withAmount: (goal, amount) => ({ ...goal, distance: amount }),
  examples: [
    {
      say: 'two trips of 40 m are 80',
      goal: { distance: 40, unit: 'm', trips: 2 },
      cell: '2 × 40 m',
      done: [{ amount: { value: 80, unit: 'm' } }],
      meets: true,
    },
    {
      say: 'a mile is more than 1.6 km',
      goal: { distance: 1, unit: 'mi' },
      cell: '1 mi',
      done: [{ amount: { value: 1.6, unit: 'km' } }],
      meets: false,
    },
  ],
})
