import { distance as goal } from '../distance.ts'
import { defineExamples } from './example.ts'

export const distance = defineExamples(goal, [
  {
    say: 'two trips of 40 m are 80',
    goal: { distance: 40, unit: 'm', trips: 2 },
    cell: '2 × 40 m',
    done: [{ amount: { value: 80, unit: 'm' } }],
    meets: true,
  },
  {
    say: 'two trips of two to four are enough',
    goal: { distance: 20, unit: 'm', trips: { from: 2, to: 4 } },
    cell: '2-4 × 20 m',
    done: [{ amount: { value: 40, unit: 'm' } }],
    meets: true,
  },
  {
    say: 'a mile is more than 1.6 km',
    goal: { distance: 1, unit: 'mi' },
    cell: '1 mi',
    done: [{ amount: { value: 1.6, unit: 'km' } }],
    meets: false,
  },
])
