import { formatDay } from '../units/index.ts'
import { defineCheck, type Found } from './check.ts'

type Message = 'noPlace' | 'noNamed' | 'noEnrolment' | 'over'

/** Sessions that no plan has a place for. */
export const strayLog = defineCheck<Message>({
  kind: 'strayLog',
  title: 'Sessions without a day in the program',
  sure: 'rule',
  ofMember: ({ setAside }) =>
    setAside.strays.map(({ log, enrolment, position, at, isEnrolled, over }): Found<Message> => {
      const found = { subject: log, where: log }
      if (!isEnrolled) return { ...found, message: 'noEnrolment', value: enrolment }
      if (over) return { ...found, message: 'over', value: formatDay(over) }
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
    over: {
      what: 'This program was over from {value} on. The sets of this session count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
    noEnrolment: {
      what: 'This session belongs to the enrolment "{value}", which was taken back or does not exist. Its sets count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
  },
})
