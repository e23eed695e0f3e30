import { seconds as goal } from '../seconds.ts'
import { defineExamples } from './example.ts'

export const seconds = defineExamples(goal, [
  {
    say: '45 seconds held',
    goal: { seconds: 45 },
    cell: '0:45',
    done: [{ amount: { value: 45, unit: 's' } }],
    meets: true,
  },
  {
    say: '25 of 30 to 45',
    goal: { seconds: { from: 30, to: 45 } },
    cell: '0:30-0:45',
    done: [{ amount: { value: 25, unit: 's' } }],
    meets: false,
  },
])
