import { describe, expect, test } from '@jest/globals'
import { messages } from '../explain/index.ts'
import { fill } from '../words/index.ts'
import { deloadOf } from '../deloads/index.ts'
import { advise } from './advise.ts'
import { answerOf, answerOrder } from './answers/registry.ts'
import { situations, wellSignals } from './situations.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const answered = situations.map((one) => ({
  ...one,
  ...advise(library, { ...wellSignals, ...one.signals }, one.policy),
}))

// What a coach would say (common practice, no source).
test.each(answered.map((one) => [one.say, one] as const))(
  '%s',
  (_, { want, answer, sure, evidence, suggest }) => {
    const wanted = situations.find(({ say }) => say === _)
    expect([answer, sure]).toEqual([want, wanted?.sure])
    expect(evidence.length).toBeGreaterThan(0)
    for (const { id, data } of evidence)
      expect(fill(messages[id] ?? '{', data)).not.toMatch(/[{}]|undefined|NaN|null/)
    if (suggest) expect(deloadOf[suggest.recipe].params.isValidSync(suggest.params)).toBe(true)
  },
)

describe('the answers', () => {
  test('are all tried, each under its own name, and each is somebody’s', () => {
    expect([...answerOrder].sort()).toEqual(Object.keys(answerOf).sort())
    for (const [name, { kind }] of Object.entries(answerOf)) expect(kind).toBe(name)
    expect(new Set(situations.map(({ want }) => want)).size).toBe(answerOrder.length)
  })
  test('use every piece of evidence that they declare', () => {
    const used = new Set(answered.flatMap(({ evidence }) => evidence.map(({ id }) => id)))
    const declared = Object.values(answerOf).flatMap((one) => Object.keys(one.messages))
    expect(declared.filter((id) => !used.has(id))).toEqual([])
  })
  test('pain leads to caution, never to a deload or a change', () => {
    for (const { signals, policy } of situations) {
      const pains = [{ exercise: 'deadlift' as const }]
      expect(advise(library, { ...wellSignals, ...signals, pains }, policy).answer).toBe('caution')
    }
  })
})
