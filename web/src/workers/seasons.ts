import type { Library } from '@young-oak/core/library'
import type { Member } from '@young-oak/core/facts'
import type { Enrolment } from '@young-oak/core/member'
import type { Id } from '@young-oak/core/parsing'
import { planMember } from '@young-oak/core/plan'
import type { Template } from '@young-oak/core/template'
import { formatDay, type Day } from '@young-oak/core/units'
import { eventsOfWeeks, seasonOf, type WeekSummary } from '@young-oak/core/views'

/** The weeks as they are written, and as tracks have them. */
export type Seasons = {
  own: WeekSummary[]
  laid: { name: string; weeks: WeekSummary[] }[]
  /** What of the chosen member’s life falls into which week, in words. */
  events: Record<number, string[]>
}

type Of = {
  library: Library
  draft: Template
  /** Whose events are shown; nobody's where nobody is chosen. */
  member: Member | null
  enrolment: Enrolment | null
  day: Day
}

/** The weeks of the draft as the strip draws them, with those of the tracks that are laid over them. */
export const seasonsOf = (of: Of, laid: Id[]): Seasons => ({
  own: seasonOf(of.library, of.draft),
  laid: laid.flatMap((id) => {
    const track = of.draft.tracks[id]
    return track ? [{ name: track.name, weeks: seasonOf(of.library, of.draft, id) }] : []
  }),
  events: eventsIn(of),
})

/** Where the member's trips, exams and the like lie in the weeks; planned to the end only where there are any. */
function eventsIn({ library, draft, member, enrolment, day }: Of): Seasons['events'] {
  if (!member || !enrolment || !member.facts.some(({ kind }) => kind === 'event')) return {}
  const { plans, evidence } = planMember({
    library,
    member,
    enrolments: [enrolment],
    versions: { draft },
    when: { today: day, through: 'end' },
  })
  const plan = plans[enrolment.id]
  return Object.fromEntries(
    [...(plan ? eventsOfWeeks(plan, evidence, day) : [])].map(([week, own]) => [
      week,
      own.map(
        ({ what, name, on, to }) => `${name ?? what}, ${formatDay(on)}${to ? ` to ${formatDay(to)}` : ''}`,
      ),
    ]),
  )
}
