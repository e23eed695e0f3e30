import { defineCheck, type Found } from './check.ts'

type Message = 'noPlace' | 'noNamed' | 'noEnrolment'

/** Sessions that no plan has a place for. */
export const strayLog = defineCheck<Message>({
  kind: 'strayLog',
  title: 'Sessions without a day in the program',
  sure: 'rule',
  ofMember: ({ setAside }) =>
    setAside.strays.map(({ log, enrolment, position, at, isEnrolled }): Found<Message> => {
      const found = { subject: log, where: log }
      if (!isEnrolled) return { ...found, message: 'noEnrolment', value: enrolment }
      if (!at) return { ...found, message: 'noPlace', value: position }
      return { ...found, message: 'noNamed', value: at.phase, data: { week: at.week, day: at.day } }
    }),
  messages: {
    noPlace: {
      what: 'This session has position {value}, which is not in the plan of its day. Its sets count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
    noNamed: {
      what: 'This session is of week {week}, day {day} of the phase "{value}", which is not in the plan of its day. Its sets count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
    noEnrolment: {
      what: 'This session belongs to the enrolment "{value}", which does not exist. Its sets count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
  },
})
