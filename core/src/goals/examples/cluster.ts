import { cluster as goal } from '../cluster.ts'
import { defineExamples } from './example.ts'

export const cluster = defineExamples(goal, [
  {
    say: '12, then four times 4 are 28',
    goal: { cluster: { first: 12, minis: 4, then: 4, pause: 15, countsAs: 3 } },
    cell: '12 then 4×4 after 15s, counts as 3',
    done: [{ reps: 28 }],
    meets: true,
  },
  {
    say: '27 fall short',
    goal: { cluster: { first: 12, minis: 4, then: 4, pause: 15, countsAs: 3 } },
    cell: '12 then 4×4 after 15s, counts as 3',
    done: [{ reps: 27 }],
    meets: false,
  },
  {
    say: '12, then three times 3 are 21, the least of what may be done',
    goal: {
      cluster: {
        first: { from: 12, to: 15 },
        minis: { from: 3, to: 5 },
        then: { from: 3, to: 4 },
        pause: 20,
        countsAs: 3,
      },
    },
    cell: '12-15 then 3-5×3-4 after 20s, counts as 3',
    done: [{ reps: 21 }],
    meets: true,
  },
])
