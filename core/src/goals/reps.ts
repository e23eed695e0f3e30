import { formatSpan, highest, lowest, type Span } from '../units/index.ts'
import { defineGoal } from './goal.ts'

/** Which sets are for as many good reps as possible. */
export const amraps = ['last', 'all'] as const
export type Amrap = (typeof amraps)[number]

/** Reps of each set; with `amrap`, the last set, or each of them, takes as many good reps as possible beyond them. */
export const reps = defineGoal<{ reps: Span; amrap?: Amrap }>({
  key: 'reps',
  title: 'Reps of each set',
  cell({ reps: span, amrap }) {
    if (amrap !== 'all') return formatSpan(span) + (amrap ? '+' : '')
    return span === 1 ? 'AMRAP' : `${formatSpan(span)}+ every set`
  },
  read(typed) {
    if (/^amrap$/i.test(typed)) return { reps: 1, amrap: 'all' }
    const match = /^(\d+)(?:\s*[-–]\s*(\d+))?\s*(\+(\s*(?:every|each) set)?)?$/.exec(typed)
    if (!match) return null
    const from = Number(match[1])
    const span = match[2] ? { from, to: Number(match[2]) } : from
    return { reps: span, ...(match[3] && { amrap: match[4] ? 'all' : 'last' }) }
  },
  reps: ({ reps: span }) => span,
  logs: () => 'reps',
  meets: ({ reps: span }, { reps: done = 0 }) => done >= lowest(span),
  seconds: ({ reps: span, amrap }, aRep) => (amrap === 'all' && span === 1 ? null : highest(span) * aRep),
})
