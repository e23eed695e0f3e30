import { maxFor } from '../evidence/index.ts'
import { isSameLift, liftKey, liftName, type Lift } from '../library/index.ts'
import { hasComputedLoad } from '../template/index.ts'
import { defineCheck } from './check.ts'

/** Maxes that loads are read from although they were made before gear was replaced, or the class was changed, that they hang on. */
export const gearReplaced = defineCheck({
  kind: 'gearReplaced',
  title: 'Maxes from before gear was replaced',
  sure: 'convention',
  ofEnrolment({ library, template, evidence, today }) {
    const changes = evidence.events.filter(({ lifts, on }) => lifts && on <= today)
    if (!changes.length) return []
    const read = new Map<string, Lift>()
    for (const slot of Object.values(template.slots)) if (hasComputedLoad(slot)) read.set(liftKey(slot), slot)
    return [...read].flatMap(([key, lift]) => {
      const max = maxFor(library, evidence, lift, template.maxes, today)
      const after = changes.filter(
        ({ on, lifts }) => max && max.date < on && lifts?.some((one) => isSameLift(one, lift)),
      )
      const last = after.at(-1)
      if (!max || !last) return []
      const name = liftName(library, lift)
      return [
        {
          message: 'before' as const,
          subject: `${last.id}/${key}`,
          where: name,
          value: max.date,
          data: { lift: name.toLowerCase(), date: max.date, event: last.name ?? last.what, on: last.on },
        },
      ]
    })
  },
  messages: {
    before: {
      what: 'The {lift} max is from {date}, before “{event}” on {on}: it may not hold any more.',
      next: 'Test the lift when it suits, or accept an estimate from training since.',
    },
  },
})
