import { formatSeconds, parseSeconds } from '../units/index.ts'
import { defineGoal } from './goal.ts'
import { cellInAll, readInAll, type AnySets } from './inAll.ts'

type TotalSeconds = { totalSeconds: number } & AnySets

/** So long in all, in no more sets than the prescription has, or in any number of them: three minutes of hanging. */
export const totalSeconds = defineGoal<TotalSeconds>({
  key: 'totalSeconds',
  title: 'Total time',
  cell: (goal) => cellInAll(formatSeconds(goal.totalSeconds), goal),
  read(typed) {
    const read = readInAll(typed)
    const seconds = read && /[:a-z]/.test(read.what) ? parseSeconds(read.what) : NaN
    return read && !Number.isNaN(seconds) ? { totalSeconds: seconds, ...read.more } : null
  },
  reps: () => null,
  logs: () => 's',
  meets: (_, { amount }) => amount !== undefined && amount.value > 0,
  inAll: ({ totalSeconds: count }) => count,
  seconds: ({ totalSeconds: count }, _, sets) => count / sets,
  amount: ({ totalSeconds: count }) => count,
  withAmount: (goal, amount) => ({ ...goal, totalSeconds: Math.round(amount) }),
})
