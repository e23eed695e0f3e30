import { defineCheck, type Found } from './check.ts'
import { toCome } from './toCome.ts'

/** A phase now or next that asks for more sessions a week than the member has days. */
export const fewDays = defineCheck({
  kind: 'fewDays',
  title: 'More sessions a week than the member has days',
  sure: 'opinion',
  ofEnrolment({ template, evidence, plan }) {
    const days = evidence.days.weekdays.length
    if (!days) return []
    const found = new Map<string, Found<'more'>>()
    for (const { phase: id } of toCome(plan)) {
      const phase = template.phases.find((one) => one.id === id)
      if (!phase || phase.perWeek <= days) continue
      const { name, perWeek } = phase
      found.set(id, {
        message: 'more',
        subject: id,
        where: name,
        value: perWeek,
        limit: days,
        data: { program: template.name },
      })
    }
    return [...found.values()]
  },
  messages: {
    more: {
      what: '{program} asks for {value} sessions a week; the profile has training days: {limit}.',
      next: 'Use a track with fewer days, or change the days in the profile.',
    },
  },
})
