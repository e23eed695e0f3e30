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
})
