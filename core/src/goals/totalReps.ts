import { defineGoal } from './goal.ts'
import { cellInAll, readInAll, type AnySets } from './inAll.ts'

type TotalReps = { totalReps: number } & AnySets

/** So many reps in all, in no more sets than the prescription has, or in any number of them: 30 within 4. How they are shared out is the member's. */
export const totalReps = defineGoal<TotalReps>({
  key: 'totalReps',
  title: 'Total reps',
  cell: (goal) => cellInAll(`${goal.totalReps}`, goal),
  read(typed) {
    const read = readInAll(typed)
    return read && /^\d+$/.test(read.what) ? { totalReps: Number(read.what), ...read.more } : null
  },
  reps: () => null,
  logs: () => 'reps',
  meets: (_, { reps = 0 }) => reps > 0,
  inAll: ({ totalReps: count }) => count,
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
    {
      say: '50, however many sets it takes',
      goal: { totalReps: 50, anySets: true },
      cell: '50 in all, any sets',
      done: [{ reps: 20 }, { reps: 15 }, { reps: 10 }, { reps: 5 }],
      meets: true,
    },
  ],
})
