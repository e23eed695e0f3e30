import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fixtureJson, fixtureNames } from '../../../fixtures/read.ts'
import { salvageTemplate } from './salvage.ts'
import { formatIssue } from '../../parsing/index.ts'
import { readDraft, readTemplate } from './read.ts'

const file = () =>
  structuredClone(fixtureJson('a-track-on-running-and-new-progressions', 'template')) as Record<string, never>
const changed = (change: (file: Record<string, Record<string, Record<string, unknown>>>) => void) => {
  const made = file()
  change(made as never)
  return salvageTemplate(made)
}

describe('a file with faults', () => {
  test('without any is taken whole', () => {
    for (const name of fixtureNames) {
      const { template, issues } = salvageTemplate(fixtureJson(name, 'template'))
      expect([name, issues]).toEqual([name, []])
      expect(template).toEqual(readTemplate(fixtureJson(name, 'template')).template)
    }
  })

  test('is kept without the slot that has one, and says which', () => {
    const kept = changed(({ slots }) => Object.assign(slots?.['a-curl'] ?? {}, { exercise: 'fluxPress' }))
    if (!kept.template) throw new Error(kept.issues.map(formatIssue).join())
    expect(kept.leftOut).toEqual(['slots.a-curl'])
    expect(kept.template.sessions.a?.sections[0]?.slots).toEqual(['a-squat', 'a-bench'])
    expect(kept.issues[0]?.path).toBe('slots.a-curl.exercise')
  })

  test('is kept without an unknown key, a broken track, a broken setting', () => {
    const kept = changed((made) => {
      Object.assign(made, { colour: 'red', trainingMax: 400 })
      Object.assign(made.tracks?.lighter ?? {}, { changes: 'none' })
    })
    if (!kept.template) throw new Error(kept.issues.map(formatIssue).join())
    expect(kept.leftOut.sort()).toEqual(['colour', 'slots.b-plank', 'tracks.lighter', 'trainingMax'])
    // The plank stood in that track alone.
    expect(Object.keys(kept.template.tracks)).toEqual(['more'])
  })

  test('whose phases are broken, or that is no template at all, is not made up', () => {
    expect(changed((made) => Object.assign(made, { phases: [] })).template).toBeUndefined()
    for (const rubbish of [null, 7, 'text', [], {}]) expect(salvageTemplate(rubbish).template).toBeUndefined()
  })

  test('of a newer format is left as it is, and says what to do', () => {
    const { template, issues } = salvageTemplate({ ...file(), format: 3, somethingNew: true })
    expect(template).toBeUndefined()
    expect(issues.map(formatIssue)).toEqual([
      expect.stringMatching(
        /^format: expected the number 2, or an earlier format.*newer version.*Update this one/,
      ),
    ])
  })

  test('a session without slots is a draft and no version', () => {
    const made = file() as never as { sessions: Record<string, object>; phases: { rotation: string[] }[] }
    made.sessions.empty = { name: 'Empty', sections: [{ name: 'Main', slots: [] }] }
    made.phases[0]?.rotation.push('empty')
    expect(readDraft(made).issues).toBeUndefined()
    expect(readTemplate(made).issues?.map(formatIssue)).toEqual([
      'sessions.empty: expected at least one slot; got 0. Add one to Empty, or remove the session.',
    ])
  })

  test('whatever is broken in it, what is kept is a template, or nothing is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...fixtureNames),
        fc.constantFrom('slots', 'tracks', 'progressions', 'sessions', 'phases', 'maxes', 'name'),
        fc.jsonValue({ maxDepth: 2 }),
        fc.nat(20),
        (name, key, value, at) => {
          const made = structuredClone(fixtureJson(name, 'template')) as Record<string, unknown>
          const entries = made[key]
          if (typeof entries === 'object' && entries !== null) {
            const keys = Object.keys(entries)
            if (keys.length) (entries as Record<string, unknown>)[keys[at % keys.length] as string] = value
          } else made[key] = value
          const { template, library } = salvageTemplate(made)
          if (!template) return
          expect(readDraft(JSON.parse(JSON.stringify(template)), library).issues).toBeUndefined()
        },
      ),
      { numRuns: 150 },
    )
  })
})
