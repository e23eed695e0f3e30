import { liftKey, maxName } from '../library/index.ts'
import type { Beyond } from '../member/index.ts'
import { totalOf, type Plan } from '../plan/index.ts'
import { defineCheck, type Found } from './check.ts'
import { toCome } from './toCome.ts'

type Message = Beyond['how']

/** Loads to come that are more than the lift's own max allows for their reps: each slot once for each reason, at its first week. */
export const beyondMax = defineCheck<Message>({
  kind: 'beyondMax',
  title: 'Loads above what the lift allows',
  sure: 'rule',
  ofEnrolment({ library, plan }) {
    const found = new Map<string, Found<Message>>()
    for (const { week, slot } of slotsToCome(plan))
      for (const prescribed of slot.sets) {
        const { beyond, lift = slot, upTo } = prescribed
        const load = totalOf(prescribed, upTo ? { ...prescribed, load: upTo } : prescribed)
        if (!beyond || !load) continue
        const { how, max, most, reps } = beyond
        const subject = `${slot.slot}/${liftKey(lift)}/${how}`
        if (found.has(subject)) continue
        const where = `${maxName(library, lift)}, week ${week}`
        found.set(subject, { message: how, subject, where, value: load, limit: most, data: { max, reps } })
      }
    return [...found.values()]
  },
  messages: {
    written: {
      what: '{value} for {reps} reps: a 1RM of {max} allows {limit}.',
      next: 'Lower the percentage or the reps, or test the lift.',
    },
    meant: {
      what: '{value} for {reps} reps: a 1RM of {max} allows {limit}. The template means it.',
      next: 'Use a spotter or safety bars, and collars.',
    },
    supposed: {
      what: 'If every session before is a hit: {value} for {reps} reps. A 1RM of {max} allows {limit}.',
      next: 'Expect misses before that week, or plan a shorter run of the progression.',
    },
    earned: {
      what: '{value} for {reps} reps: a 1RM of {max} allows {limit}. The load was earned by hits.',
      next: 'Go on. Accept the estimate from training, or test the lift.',
    },
    held: {
      what: 'The load from another lift is held to {limit}: a 1RM of {max} allows no more for {reps} reps.',
      next: 'Lower the percentage of the other lift, or test this one.',
    },
  },
})

const slotsToCome = (plan: Plan) =>
  toCome(plan).flatMap(({ week, place }) => place.slots.map((slot) => ({ week, slot })))
