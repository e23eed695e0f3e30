import { totalReps as goal } from '../totalReps.ts'
import { defineExamples } from './example.ts'

export const totalReps = defineExamples(goal, [
  {
    say: '30 in three sets, one to spare',
    goal: { totalReps: 30 },
    cell: '30 in all',
    done: [{ reps: 12 }, { reps: 10 }, { reps: 8 }],
    meets: true,
  },
  {
    say: '29 in four sets',
    goal: { totalReps: 30 },
    cell: '30 in all',
    done: [{ reps: 9 }, { reps: 8 }, { reps: 7 }, { reps: 5 }],
    meets: false,
  },
  {
    say: '50, however many sets it takes',
    goal: { totalReps: 50, anySets: true },
    cell: '50 in all, any sets',
    done: [{ reps: 20 }, { reps: 15 }, { reps: 10 }, { reps: 5 }],
    meets: true,
  },
])
