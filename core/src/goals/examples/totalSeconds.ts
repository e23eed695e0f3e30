import { totalSeconds as goal } from '../totalSeconds.ts'
import { defineExamples } from './example.ts'

export const totalSeconds = defineExamples(goal, [
  {
    say: 'three minutes in three holds',
    goal: { totalSeconds: 180 },
    cell: '3:00 in all',
    done: [75, 60, 45].map((value) => ({ amount: { value, unit: 's' } })),
    meets: true,
  },
  {
    say: 'a second short',
    goal: { totalSeconds: 180, anySets: true },
    cell: '3:00 in all, any sets',
    done: [75, 60, 44].map((value) => ({ amount: { value, unit: 's' } })),
    meets: false,
  },
])
