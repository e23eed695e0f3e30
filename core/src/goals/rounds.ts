import { formatSeconds, isAtLeast, parseSeconds } from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Rounds = { rounds: number; every?: number; capSeconds?: number }

/** So many rounds; with `every`, one begins every so many seconds; with a cap, as many of them as fit into it. */
export const rounds = defineGoal<Rounds>({
  key: 'rounds',
  title: 'Rounds',
  cell({ rounds: count, every, capSeconds }) {
    const clock = every ? ` every ${formatSeconds(every)}` : ''
    const cap = capSeconds ? `, at most ${formatSeconds(capSeconds)}` : ''
    return `${count} ${count === 1 ? 'round' : 'rounds'}${clock}${cap}`
  },
  read(typed) {
    const [, count, each, most] =
      /^(\d+) rounds?(?: every ([^,]+?)|,?\s*(?:(?:in )?at most|cap(?:ped at)?) (.+))?$/.exec(typed) ?? []
    const every = each === undefined ? undefined : parseSeconds(each)
    const capSeconds = most === undefined ? undefined : parseSeconds(most)
    if (count === undefined || Number.isNaN(every) || Number.isNaN(capSeconds)) return null
    return {
      rounds: Number(count),
      ...(every !== undefined && { every }),
      ...(capSeconds !== undefined && { capSeconds }),
    }
  },
  reps: () => null,
  logs: () => 'rounds',
  meets: ({ rounds: count }, { amount }) =>
    amount !== undefined && isAtLeast(amount, { value: count, unit: 'rounds' }),
  seconds: ({ rounds: count, every, capSeconds }) =>
    capSeconds ?? (every === undefined ? null : count * every),
  amount: ({ rounds: asked }) => asked,
  withAmount: (goal, amount) => ({ ...goal, rounds: Math.round(amount) }),
})
