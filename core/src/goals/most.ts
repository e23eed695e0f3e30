import { formatSeconds, parseSeconds } from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Most = { most: 'reps' | 'rounds'; seconds: number; beat?: number }

/** As many reps, or rounds, as there is time for; with `beat`, more than that. */
export const most = defineGoal<Most>({
  key: 'most',
  title: 'As many as possible in a time',
  cell: ({ most: what, seconds, beat }) =>
    `most ${what} in ${formatSeconds(seconds)}${beat === undefined ? '' : `, beat ${beat}`}`,
  read(typed) {
    const match = /^most (reps|rounds) in ([^,]+)(?:, beat (\d+))?$/.exec(typed)
    const seconds = parseSeconds(match?.[2] ?? '')
    if (!match || !seconds) return null
    return { most: match[1] as Most['most'], seconds, ...(match[3] && { beat: Number(match[3]) }) }
  },
  reps: () => null,
  logs: ({ most: what }) => what,
  // Of rounds the reps of one that was not finished count beyond those that were.
  meets({ most: what, beat = 0 }, { reps = 0, amount }) {
    if (what === 'reps') return reps > beat
    const rounds = amount?.value ?? 0
    return rounds > beat || (rounds === beat && reps > 0)
  },
  seconds: ({ seconds }) => seconds,
})
