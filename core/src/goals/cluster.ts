import { defineGoal } from './goal.ts'

type Cluster = { cluster: { first: number; minis: number; then: number; pause: number; countsAs: number } }

/** One long set, then short ones with a few seconds between them, all at one load. It is logged as its reps in all. */
export const cluster = defineGoal<Cluster>({
  key: 'cluster',
  title: 'Rest-pause cluster',
  cell: ({ cluster: { first, minis, then, pause, countsAs } }) =>
    `${first} then ${minis}×${then} after ${pause}s, counts as ${countsAs}`,
  read(typed) {
    const match = /^(\d+) then (\d+)\s*[x×]\s*(\d+) after (\d+)\s*s(?:, counts as (\d+))?$/.exec(typed)
    if (!match) return null
    const [first = 0, minis = 0, then = 0, pause = 0] = match.slice(1, 5).map(Number)
    return { cluster: { first, minis, then, pause, countsAs: Number(match[5] ?? 3) } }
  },
  reps: ({ cluster: { first } }) => first,
  logs: () => 'reps',
  meets: ({ cluster: { first, minis, then } }, { reps = 0 }) => reps >= first + minis * then,
  seconds: ({ cluster: { first, minis, then, pause } }, aRep) =>
    (first + minis * then) * aRep + minis * pause,
  countsAs: ({ cluster: { countsAs } }) => countsAs,
  examples: [
    {
      say: '12, then four times 4 are 28',
      goal: { cluster: { first: 12, minis: 4, then: 4, pause: 15, countsAs: 3 } },
      cell: '12 then 4×4 after 15s, counts as 3',
      done: [{ reps: 28 }],
      meets: true,
    },
    {
      say: '27 fall short',
      goal: { cluster: { first: 12, minis: 4, then: 4, pause: 15, countsAs: 3 } },
      cell: '12 then 4×4 after 15s, counts as 3',
      done: [{ reps: 27 }],
      meets: false,
    },
  ],
})
