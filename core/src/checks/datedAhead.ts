import { defineCheck } from './check.ts'

/** Entries that drive nothing yet: they are dated after today, or their day waits for the member's word. */
export const datedAhead = defineCheck({
  kind: 'datedAhead',
  title: 'Dated after today',
  sure: 'rule',
  ofMember: ({ setAside, today }) =>
    setAside.ahead.map(({ id, what, date, waits }) => ({
      message: waits ? ('waits' as const) : ('ahead' as const),
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
    waits: {
      what: 'The day of this {entry} is not confirmed: the {entry} is not used yet.',
      next: 'Confirm its day.',
    },
  },
})
