import { muscles, type Muscle } from '../library/index.ts'
import { choiceField, listField, wholeField } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

export const jointAnswers = ['fine', 'achy', 'painful'] as const

/** How a member is, when they are asked: each answer may be left out. 1 is poor, 5 is good. */
export type CheckIn = {
  sleep?: number
  mood?: number
  /** 1 is worn out, 5 is fresh. */
  freshness?: number
  joints?: (typeof jointAnswers)[number]
  /** Muscles that are still sore. */
  sore?: Muscle[]
}

/** As many as advice looks back. */
const mostKept = 8

export const checkIn = defineFact<CheckIn, { checkIns: (CheckIn & { date: Day })[] }>({
  kind: 'checkIn',
  isGiven: true,
  shape: factShape({
    sleep: wholeField('how the sleep is, 5 is good', 1, 5),
    mood: wholeField('how the mood is, 5 is good', 1, 5),
    freshness: wholeField('how fresh it feels, 5 is fresh', 1, 5),
    joints: choiceField(jointAnswers),
    sore: listField('muscles that are still sore', muscles.length, 0).of(choiceField(muscles).required()),
  }),
  none: { checkIns: [] },
  /** The latest first. */
  learn({ checkIns }, { date, sleep, mood, freshness, joints, sore }) {
    const said = { date, sleep, mood, freshness, joints, sore }
    return { checkIns: [said, ...checkIns].slice(0, mostKept) }
  },
  examples: [
    { say: 'worn out', fact: { freshness: 1 }, want: { checkIns: [{ date: '2026-03-02', freshness: 1 }] } },
  ],
})
