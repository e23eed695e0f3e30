import { nominalWeeks, type Phase, type Template } from '@young-oak/core/template'
import type { WeekSummary } from '@young-oak/core/views'
import type { Seasons } from '../../../workers/seasons.ts'

/** A week of the template as it is drawn, with its figures once they are worked out. */
export type Drawn = { week: number; phase: Phase; sum: WeekSummary | undefined; events: string[] }

export function weeksOf({ phases }: Template, sums: WeekSummary[], events: Seasons['events']): Drawn[] {
  return phases
    .flatMap((phase) => Array.from({ length: nominalWeeks(phase) }, () => phase))
    .map((phase, i) => ({
      week: i + 1,
      phase,
      sum: sums.find(({ week }) => week === i + 1),
      events: events[i + 1] ?? [],
    }))
}

/** A week in words, for who hears it. */
export function describe({ week, phase, sum, events }: Drawn): string {
  const said = events.length ? `; ${events.join('; ')}` : ''
  if (!sum) return `Week ${week}, ${phase.name}${said}`
  const { sets, isAbout, intensity, deload, minutes } = sum
  const percent =
    intensity === null ? 'loads by progression' : `${Math.round(intensity)}% of the 1RM on average`
  return `Week ${week}, ${phase.name}${deload ? ', deload' : ''}: ${isAbout ? 'about ' : ''}${sets} hard sets${isAbout ? ', some by progression' : ''}, ${percent}, ${minutes} minutes at most${said}`
}
