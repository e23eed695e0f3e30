import type { WeekSummary } from '@young-oak/core/views'

/** What the height of a week is. */
export const staves = ['sets', 'work', 'intensity', 'minutes'] as const
export type Stave = (typeof staves)[number]

export const staveOf: Record<
  Stave,
  { title: string; value(week: WeekSummary): number | null; say(value: number): string }
> = {
  sets: { title: 'hard sets', value: ({ sets }) => sets, say: (value) => `${Math.round(value)}` },
  work: {
    title: 'tonnage, in maxes lifted',
    value: ({ work }) => work,
    say: (value) => `${Math.round(value)}×`,
  },
  intensity: {
    title: 'percent of the 1RM',
    value: ({ intensity }) => intensity,
    say: (value) => `${Math.round(value)}%`,
  },
  minutes: {
    title: 'minutes of the longest session',
    value: ({ minutes }) => minutes,
    say: (value) => `${Math.round(value)}′`,
  },
}
