import { defineCheck, type Found } from './check.ts'

type Message = 'far' | 'early' | 'twice'

/** Sessions that count, and that somebody should look at. */
export const doubtfulLog = defineCheck<Message>({
  kind: 'doubtfulLog',
  title: 'Sessions to look at again',
  sure: 'rule',
  ofMember: ({ setAside: { doubtful } }) =>
    doubtful.map((one): Found<Message> => {
      const found = { message: one.what, subject: `${one.log}/${one.what}`, where: one.log }
      if (one.what === 'far') return { ...found, value: one.position, limit: one.ahead }
      if (one.what === 'early') return { ...found, value: one.date, limit: one.from }
      return { ...found, value: one.position, data: { other: one.other } }
    }),
  messages: {
    far: {
      what: 'This session has position {value}, {limit} positions after the week before it: the sessions between count as skipped.',
      next: 'Correct the position, or leave it if so many sessions were skipped.',
    },
    early: {
      what: 'This session is dated {value}, before the enrolment starts on {limit}: it counts in the first week.',
      next: 'Correct the date, or the start of the enrolment.',
    },
    twice: {
      what: 'The session "{other}" has position {value} too: both are kept, and the later one is shown.',
      next: 'Correct the position of one of the two, or delete one.',
    },
  },
})
