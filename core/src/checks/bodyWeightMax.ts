import { liftName } from '../library/index.ts'
import { defineCheck } from './check.ts'

/** Maxes of body-weight lifts that say nothing as they stand. */
export const bodyWeightMax = defineCheck({
  kind: 'bodyWeightMax',
  title: 'Maxes that lack a body weight',
  sure: 'rule',
  ofMember: ({ library, evidence: { waiting, impossible } }) => [
    ...waiting.map((max) => {
      const name = liftName(library, max)
      return {
        message: 'waits' as const,
        subject: max.id,
        where: name,
        value: max.date,
        data: { lift: name.toLowerCase() },
      }
    }),
    ...impossible.map((id) => ({ message: 'tooMuchHelp' as const, subject: id, where: id })),
  ],
  messages: {
    waits: {
      what: 'The {lift} max of {value} goes on top of a body weight, and none is known: it counts for nothing yet.',
      next: 'Enter the body weight.',
    },
    tooMuchHelp: {
      what: 'This max took more help than the body weighs: it counts for nothing.',
      next: 'Correct the help, or the body weight.',
    },
  },
})
