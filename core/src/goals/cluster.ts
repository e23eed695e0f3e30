import { formatSpan, highest, lowest, type Span } from '../units/index.ts'
import { defineGoal } from './goal.ts'

type Cluster = { cluster: { first: Span; minis: Span; then: Span; pause: number; countsAs: number } }

/** One long set, then short ones with a few seconds between them, all at one load. It is logged as its reps in all; of ranges the least is enough. */
export const cluster = defineGoal<Cluster>({
  key: 'cluster',
  title: 'Rest-pause cluster',
  cell: ({ cluster: { first, minis, then, pause, countsAs } }) =>
    `${formatSpan(first)} then ${formatSpan(minis)}×${formatSpan(then)} after ${pause}s, counts as ${countsAs}`,
  read(typed) {
    const [, first, minis, then, pause, countsAs] =
      /^([\d-]+) then ([\d-]+)\s*[x×]\s*([\d-]+) after (\d+)\s*s(?:, counts as (\d+))?$/.exec(typed) ?? []
    const spans = [first, minis, then].map(spanOf)
    if (spans.some((span) => span === null)) return null
    const [a, b, c] = spans as [Span, Span, Span]
    return {
      cluster: { first: a, minis: b, then: c, pause: Number(pause), countsAs: Number(countsAs ?? 3) },
    }
  },
  reps: ({ cluster: { first } }) => first,
  logs: () => 'reps',
  meets: (goal, { reps = 0 }) => reps >= leastOf(goal),
  seconds: ({ cluster: { first, minis, then, pause } }, aRep) =>
    (highest(first) + highest(minis) * highest(then)) * aRep + highest(minis) * pause,
  countsAs: ({ cluster: { countsAs } }) => countsAs,
})

/** The reps that a cluster asks at least, in all. */
export const leastOf = ({ cluster: { first, minis, then } }: Cluster): number =>
  lowest(first) + lowest(minis) * lowest(then)

/** "4", "3-5". */
function spanOf(typed: string | undefined): Span | null {
  const [, from, to] = /^(\d+)(?:-(\d+))?$/.exec(typed ?? '') ?? []
  if (from === undefined) return null
  return to === undefined ? Number(from) : { from: Number(from), to: Number(to) }
}
