import type { Id } from '../parsing/index.ts'
import { minutesOf } from '../views/index.ts'
import { defineCheck, type Found } from './check.ts'
import { toCome } from './toCome.ts'

/** How far an estimate of minutes may be off before anything is said of it (common practice, no source). */
const slack = 5

/** Sessions to come that take longer than the minutes that the member has: each session of the template once, where it is longest. */
export const overMinutes = defineCheck({
  kind: 'overMinutes',
  title: 'Sessions longer than the member’s time',
  sure: 'opinion',
  ofEnrolment({ library, template, evidence, plan }) {
    const most = evidence.days.minutes
    if (most === undefined) return []
    const longest = new Map<Id, Found<'over'> & { value: number }>()
    for (const { week, place } of toCome(plan)) {
      const minutes = minutesOf(library, template, place.session, place.slots)
      if (minutes <= Math.max(most + slack, longest.get(place.session)?.value ?? 0)) continue
      const where = template.sessions[place.session]?.name ?? place.session
      longest.set(place.session, {
        message: 'over',
        subject: place.session,
        where,
        value: minutes,
        limit: most,
        data: { session: where, week },
      })
    }
    return [...longest.values()]
  },
  messages: {
    over: {
      what: '{session} in week {week}: about {value} minutes; the profile says {limit}.',
      next: 'Use a shorter track, or change the minutes in the profile.',
    },
  },
})
