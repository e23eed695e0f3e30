import { rounds as goal } from '../rounds.ts'
import { defineExamples } from './example.ts'

export const rounds = defineExamples(goal, [
  {
    say: 'ten rounds on the minute',
    goal: { rounds: 10, every: 60 },
    cell: '10 rounds every 1:00',
    done: [{ amount: { value: 10, unit: 'rounds' } }],
    meets: true,
  },
  {
    say: 'nine of ten',
    goal: { rounds: 10 },
    cell: '10 rounds',
    done: [{ amount: { value: 9, unit: 'rounds' } }],
    meets: false,
  },
  {
    say: 'five rounds with a cap, and the four that fitted',
    goal: { rounds: 5, capSeconds: 1200 },
    cell: '5 rounds, at most 20:00',
    done: [{ amount: { value: 4, unit: 'rounds' }, reps: 12 }],
    meets: false,
  },
])
