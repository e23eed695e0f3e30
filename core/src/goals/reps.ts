import { formatSpan, highest, lowest, type Span } from '../units/index.ts'
import { defineGoal } from './goal.ts'

/** Reps of each set; with `amrap`, the last set takes as many good reps as possible beyond them. */
export const reps = defineGoal<{ reps: Span; amrap?: 'last' }>({
  key: 'reps',
  title: 'Reps of each set',
  cell: ({ reps: span, amrap }) => formatSpan(span) + (amrap ? '+' : ''),
  read(typed) {
    const match = /^(\d+)(?:\s*[-–]\s*(\d+))?\s*(\+)?$/.exec(typed)
    if (!match) return null
    const from = Number(match[1])
    const span = match[2] ? { from, to: Number(match[2]) } : from
    return { reps: span, ...(match[3] && { amrap: 'last' as const }) }
  },
  reps: ({ reps: span }) => span,
  logs: () => 'reps',
  meets: ({ reps: span }, { reps: done = 0 }) => done >= lowest(span),
  seconds: ({ reps: span }, aRep) => highest(span) * aRep,
  examples: [
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
  ],
})
