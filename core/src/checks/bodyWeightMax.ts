import { liftName } from '../library/index.ts'
import { defineCheck } from './check.ts'

/** Maxes of body-weight lifts that say nothing unchanged. */
export const bodyWeightMax = defineCheck({
  kind: 'bodyWeightMax',
  title: 'Maxes without a body weight',
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
      what: 'The {lift} max of {value} is added to body weight, and no body weight is known: the max is not used yet.',
      next: 'Enter the body weight.',
    },
    tooMuchHelp: {
      what: 'This max has more assistance than the body weighs: it is not used.',
      next: 'Correct the assistance, or the body weight.',
    },
  },
})
