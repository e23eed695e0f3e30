import { formatSeconds, isAtLeast, parseSeconds } from '../units/index.ts'
import { defineGoal } from './goal.ts'

/** So many rounds; with `every`, one begins every so many seconds. */
export const rounds = defineGoal<{ rounds: number; every?: number }>({
  key: 'rounds',
  title: 'Rounds',
  cell: ({ rounds: count, every }) =>
    `${count} ${count === 1 ? 'round' : 'rounds'}${every ? ` every ${formatSeconds(every)}` : ''}`,
  read(typed) {
    const match = /^(\d+) rounds?(?: every (.+))?$/.exec(typed)
    const every = match?.[2] === undefined ? undefined : parseSeconds(match[2])
    if (!match || Number.isNaN(every)) return null
    return { rounds: Number(match[1]), ...(every !== undefined && { every }) }
  },
  reps: () => null,
  logs: () => 'rounds',
  meets: ({ rounds: count }, { amount }) =>
    amount !== undefined && isAtLeast(amount, { value: count, unit: 'rounds' }),
  seconds: ({ rounds: count, every }) => (every === undefined ? null : count * every),
  amount: ({ rounds: asked }) => asked,
  withAmount: (goal, amount) => ({ ...goal, rounds: Math.round(amount) }),
})
