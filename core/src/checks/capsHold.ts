import type { Value } from '../words/index.ts'
import { defineCheck, type Found } from './check.ts'
import { toCome } from './toCome.ts'

/** Sets of a muscle that are planned for a week, and that its exercises cannot hold for their cap: each muscle once, in the first week to come. */
export const capsHold = defineCheck({
  kind: 'capsHold',
  title: 'More sets of a muscle than its exercises hold',
  sure: 'rule',
  ofEnrolment({ plan }) {
    const found = new Map<Value, Found<'over'>>()
    for (const { week, place } of toCome(plan))
      for (const { sets } of place.slots)
        for (const { why } of sets)
          for (const { id, data } of why) {
            const { muscle, target, all, slots, cap } = data
            if (id !== 'muscleWeek.capped' || muscle === undefined || found.has(muscle)) continue
            found.set(muscle, {
              message: 'over',
              subject: String(muscle),
              where: `Week ${week}`,
              value: target ?? 0,
              limit: all ?? 0,
              data: { muscle, slots: slots ?? 0, cap: cap ?? 0 },
              forWriter: true,
            })
          }
    return [...found.values()]
  },
  messages: {
    over: {
      what: '{value} sets of {muscle} are planned, {limit} fit: {slots} exercises of at most {cap} sets in a session.',
      next: 'Let more exercises of the week use the progression, or raise its most in one session.',
    },
  },
})
