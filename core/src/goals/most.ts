import { choiceField, strictObject, wholeField } from '../reading/index.ts'
import { formatSeconds, parseSeconds } from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Most = { most: 'reps' | 'rounds'; seconds: number }

/** As many reps, or rounds, as there is time for. */
export const most = defineGoal<Most>({
  key: 'most',
  title: 'As many as time allows',
  shape: strictObject({
    most: choiceField(['reps', 'rounds']).required(),
    seconds: wholeField('seconds', 10, 7200).required(),
  }),
  cell: ({ most: what, seconds }) => `most ${what} in ${formatSeconds(seconds)}`,
  read(typed) {
    const match = /^most (reps|rounds) in (.+)$/.exec(typed)
    const seconds = parseSeconds(match?.[2] ?? '')
    return match && seconds ? { most: match[1] as Most['most'], seconds } : null
  },
  reps: () => null,
  logs: ({ most: what }) => what,
  meets: (_, { reps = 0, amount }) => reps > 0 || (amount?.value ?? 0) > 0,
  seconds: ({ seconds }) => seconds,
  examples: [
    {
      say: '41 in five minutes count, however many they are',
      goal: { most: 'reps', seconds: 300 },
      cell: 'most reps in 5:00',
      done: [{ reps: 41 }],
      meets: true,
    },
    {
      say: 'no round is none',
      goal: { most: 'rounds', seconds: 600 },
      cell: 'most rounds in 10:00',
      done: [{}],
      meets: false,
    },
  ],
})
