import { defineCheck, type Found } from './check.ts'
import { sessionsIn } from '../facts/index.ts'
import { toCome } from './toCome.ts'

/** A phase now or next that asks for more days a week than the member has, or than fit on them with no more in a row than they train. */
export const fewDays = defineCheck({
  kind: 'fewDays',
  title: 'More sessions a week than the member has days',
  sure: 'opinion',
  ofEnrolment({ template, evidence, plan }) {
    const days = evidence.days.weekdays.length
    if (!days) return []
    const fit = sessionsIn(evidence.days)
    const found = new Map<string, Found<'more' | 'inARow'>>()
    for (const { phase: id } of toCome(plan)) {
      const phase = template.phases.find((one) => one.id === id)
      if (!phase) continue
      const { name, perWeek, layout } = phase
      const needed = perWeek - (layout?.sameDay?.length ?? 0)
      if (needed <= fit) continue
      const isShort = needed > days
      found.set(id, {
        message: isShort ? 'more' : 'inARow',
        subject: id,
        where: name,
        value: needed,
        limit: isShort ? days : fit,
        data: { program: template.name, days, most: evidence.days.most ?? days },
      })
    }
    return [...found.values()]
  },
  messages: {
    more: {
      what: '{program} asks for {value} days a week; the profile has training days: {limit}.',
      next: 'Use a track with fewer days, or change the days in the profile.',
    },
    inARow: {
      what: '{program} asks for {value} days a week; {limit} fit on the {days} training days of the profile, at most {most} in a row.',
      next: 'Use a track with fewer days, or change the days in the profile.',
    },
  },
})
