import { defineCheck, type EnrolmentSeen, type Found } from './check.ts'

type Message = 'none' | 'beforeStart' | 'tooSoon' | 'ownClock'

/** A countdown needs a test day that lies after its start, and weeks that keep to their dates. */
export const testDay = defineCheck<Message>({
  kind: 'testDay',
  title: 'Countdowns without a valid test day',
  sure: 'rule',
  ofEnrolment(seen) {
    const phase = seen.template.phases.find(({ ends }) => ends)
    if (!phase) return []
    const all = [
      ...dayOf(seen, phase.id),
      ...(seen.enrolment.clock === 'own' ? [{ message: 'ownClock' as const }] : []),
    ]
    return all.map((one) => ({ ...one, subject: phase.id, where: phase.name }))
  },
  messages: {
    none: {
      what: 'This phase counts back from a test day, and no test day is entered: its last week is used as the test week.',
      next: 'Enter the test day.',
    },
    beforeStart: {
      what: 'The test day, {value}, is before the start, {limit}: the last week of the phase is used as the test week.',
      next: 'Move the test day.',
    },
    tooSoon: {
      what: 'The test day, {value}, is before this phase starts: no weeks are left to count back.',
      next: 'Move the test day, or shorten the phases before it.',
    },
    ownClock: {
      what: 'Weeks that count back from a test day end on their dates here.',
      next: 'Put the member on the calendar clock.',
    },
  },
})

function dayOf(
  { enrolment, course, evidence: { testDay: day } }: EnrolmentSeen,
  phase: string,
): Pick<Found<Message>, 'message' | 'value' | 'limit'>[] {
  const start = enrolment.segments[0]?.from ?? ''
  if (!day) return [{ message: 'none' }]
  if (day < start) return [{ message: 'beforeStart', value: day, limit: start }]
  const isGone = !course.begun.includes(phase) && course.nextFrom !== null && day < course.nextFrom
  return isGone ? [{ message: 'tooSoon', value: day, limit: course.nextFrom as string }] : []
}
