import { reps as goal } from '../reps.ts'
import { defineExamples } from './example.ts'

export const reps = defineExamples(goal, [
  { say: 'five are five', goal: { reps: 5 }, cell: '5', done: [{ reps: 5 }], meets: true },
  {
    say: 'the bottom of a range will do',
    goal: { reps: { from: 8, to: 10 } },
    cell: '8-10',
    done: [{ reps: 8 }],
    meets: true,
  },
  {
    say: 'an AMRAP set is met by its reps',
    goal: { reps: 5, amrap: 'last' },
    cell: '5+',
    done: [{ reps: 4 }],
    meets: false,
  },
  {
    say: 'as many as possible in every set, and five at least',
    goal: { reps: 5, amrap: 'all' },
    cell: '5+ every set',
    done: [{ reps: 9 }],
    meets: true,
  },
  {
    say: 'as many as possible: one is enough',
    goal: { reps: 1, amrap: 'all' },
    cell: 'AMRAP',
    done: [{ reps: 12 }],
    meets: true,
  },
])
