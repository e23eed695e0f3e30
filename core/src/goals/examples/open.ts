import { open as goal } from '../open.ts'
import { defineExamples } from './example.ts'

export const open = defineExamples(goal, [
  {
    say: 'seven, as it happens',
    goal: { open: 'reps' },
    cell: 'any reps',
    done: [{ reps: 7 }],
    meets: true,
  },
  {
    say: 'a minute',
    goal: { open: 's' },
    cell: 'any time',
    done: [{ amount: { value: 60, unit: 's' } }],
    meets: true,
  },
  { say: 'nothing is not enough', goal: { open: 'm' }, cell: 'any m', done: [{}], meets: false },
])
