import { formatSeconds, highest, isAtLeast, lowest, parseSeconds, type Span } from '../units/index.ts'
import { defineGoal } from './goal.ts'

/** A time to hold, carry or keep going: planks, easy rowing. */
export const seconds = defineGoal<{ seconds: Span }>({
  key: 'seconds',
  title: 'A time',
  cell: ({ seconds: span }) =>
    typeof span === 'number' ? formatSeconds(span) : `${formatSeconds(span.from)}-${formatSeconds(span.to)}`,
  read(typed) {
    if (!/[:a-z]/.test(typed)) return null
    const [from = NaN, to] = typed.split(/\s*[-–]\s*/).map(parseSeconds)
    if (Number.isNaN(from) || (to !== undefined && Number.isNaN(to))) return null
    return { seconds: to === undefined ? from : { from, to } }
  },
  reps: () => null,
  logs: () => 's',
  meets: ({ seconds: span }, { amount }) =>
    amount !== undefined && isAtLeast(amount, { value: lowest(span), unit: 's' }),
  seconds: ({ seconds: span }) => highest(span),
  amount: ({ seconds: asked }) => highest(asked),
  withAmount: (goal, amount) => ({ ...goal, seconds: Math.round(amount) }),
})
