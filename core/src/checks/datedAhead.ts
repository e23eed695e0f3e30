import { defineCheck } from './check.ts'

/** Entries that are dated after today: they drive nothing until then. */
export const datedAhead = defineCheck({
  kind: 'datedAhead',
  title: 'Dated after today',
  sure: 'rule',
  ofMember: ({ setAside, today }) =>
    setAside.ahead.map(({ id, what, date }) => ({
      message: 'ahead',
      subject: id,
      where: id,
      value: date,
      limit: today,
      data: { entry: what },
    })),
  messages: {
    ahead: {
      what: 'This {entry} is dated {value}, after today: it counts from that day on.',
      next: 'Correct its date if it has happened already.',
    },
  },
})
