import { defineGoal } from './goal.ts'

/** So many reps in all, in no more sets than the prescription has: 30 within 4. How they are shared out is the member's. */
export const totalReps = defineGoal<{ totalReps: number }>({
  key: 'totalReps',
  title: 'Total reps',
  cell: ({ totalReps: count }) => `${count} in all`,
  read(typed) {
    const match = /^(\d+)\s*(?:in all|total)$/.exec(typed)
    return match ? { totalReps: Number(match[1]) } : null
  },
  reps: () => null,
  logs: () => 'reps',
  meets: (_, { reps = 0 }) => reps > 0,
  meetsTogether: ({ totalReps: count }, done) => done.reduce((sum, { reps = 0 }) => sum + reps, 0) >= count,
  seconds: () => null,
  examples: [
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
  ],
})
