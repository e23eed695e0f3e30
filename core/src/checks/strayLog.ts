import { defineCheck } from './check.ts'

/** Sessions that no plan has a place for. */
export const strayLog = defineCheck({
  kind: 'strayLog',
  title: 'Sessions without a day in the program',
  sure: 'rule',
  ofMember: ({ setAside }) =>
    setAside.strays.map(({ log, enrolment, position, isEnrolled }) => ({
      message: isEnrolled ? ('noPlace' as const) : ('noEnrolment' as const),
      subject: log,
      where: log,
      value: isEnrolled ? position : enrolment,
    })),
  messages: {
    noPlace: {
      what: 'This session has position {value}, which is not in the plan of its day. Its sets count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
    noEnrolment: {
      what: 'This session belongs to the enrolment "{value}", which does not exist. Its sets count as evidence only.',
      next: 'Correct the session, or leave it as a record.',
    },
  },
})
