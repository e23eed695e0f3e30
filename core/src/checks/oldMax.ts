import { freshWeeks, maxFor } from '../evidence/index.ts'
import { liftKey, liftName, type Lift } from '../library/index.ts'
import { hasComputedLoad } from '../template/index.ts'
import { defineCheck } from './check.ts'

/** Maxes that loads are read from although they are older than the template trusts. */
export const oldMax = defineCheck({
  kind: 'oldMax',
  title: 'Maxes too old to trust',
  sure: 'convention',
  ofEnrolment({ library, template, evidence, today }) {
    const lifts = new Map<string, Lift>()
    for (const slot of Object.values(template.slots))
      if (hasComputedLoad(slot)) lifts.set(liftKey(slot), slot)
    return [...lifts].flatMap(([subject, lift]) => {
      const max = maxFor(library, evidence, lift, template.maxes, today)
      if (max?.staleWeeks === undefined) return []
      const name = liftName(library, lift)
      return [
        {
          message: 'old' as const,
          subject,
          where: name,
          value: max.staleWeeks,
          limit: template.maxes.fresh ?? freshWeeks,
          data: { lift: name.toLowerCase(), date: max.date },
        },
      ]
    })
  },
  messages: {
    old: {
      what: 'The {lift} max is from {date}, {value} weeks ago; this program trusts {limit}.',
      next: 'Test the lift when it suits, or accept an estimate from training.',
    },
  },
})
