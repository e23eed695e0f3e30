import { describe, expect, test } from '@jest/globals'
import { deloadKinds, deloadOf } from '@young-oak/core/deloads'
import { applyCommand, readTemplate, type Phase, type Template } from '@young-oak/core/template'
import { kindsFor, newDeload, readDeload, sayDeload, starterOf, type DeloadDraft } from './deloadDraft.ts'

const rows = [[{ sets: 4, goal: { reps: 6 }, load: { of: 'max', percent: 80 }, rir: 2 }]]
const { template } = readTemplate({
  format: 2,
  name: 'Deloads',
  phases: [
    { id: 'p', name: 'P', weeks: 8, rotation: ['a'], perWeek: 2 },
    { id: 'q', name: 'Q', weeks: 3, rotation: ['a'], perWeek: 2, ends: 'test day' },
  ],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: { squat: { exercise: 'backSquat', rows: { p: rows, q: rows } } },
})
const draft = template as Template
const [long, test3] = draft.phases as [Phase, Phase]
const given = (phase: Phase, change: Partial<DeloadDraft>) =>
  readDeload({}, draft, phase, { ...newDeload(phase), ...change })

describe('a deload that is chosen', () => {
  test.each([
    ['', undefined, undefined],
    ['track none', ['none'], undefined],
    ['under oneToThreeYears', undefined, ['untold', 'underOneYear', 'oneToThreeYears']],
    ['over overThreeYears', undefined, ['overThreeYears']],
  ])('is for whom it says: "%s"', (whom, tracks, training) => {
    const after = applyCommand(draft, given(long, { whom }).value?.command as never) as Template
    expect(after.phases[0]?.deloads[0]?.where).toMatchObject({ weeks: [4, 8] })
    expect(after.phases[0]?.deloads[0]?.where.tracks).toEqual(tracks)
    expect(after.phases[0]?.deloads[0]?.where.training).toEqual(training)
  })

  test('begins in every fourth week, in the last of a short phase', () => {
    expect(newDeload(long).weeks).toEqual([4, 8])
    expect(newDeload(test3).weeks).toEqual([3])
  })

  test('is a taper only where the phase ends with a test', () => {
    expect(kindsFor(long)).not.toContain('taper')
    expect(kindsFor(test3)).toContain('taper')
  })

  test.each(deloadKinds.filter((kind) => kind !== 'taper'))(
    'is put into its weeks as its example: %s',
    (kind) => {
      const { value } = given(long, { kind, params: starterOf(kind), weeks: [4] })
      const after = applyCommand(draft, value?.command as never) as Template
      const [placed, ...others] = after.phases[0]?.deloads ?? []
      expect(placed?.where.weeks).toEqual([4])
      expect(others.every(({ where }) => where.weeks?.[0] === 4)).toBe(true)
      expect(sayDeload({ kind, params: starterOf(kind) })).toBe(
        deloadOf[kind].sentence((deloadOf[kind].examples[0]?.params ?? {}) as never),
      )
    },
  )

  test('counts back from the test where the phase ends with one', () => {
    const { value } = given(test3, { weeks: [1, 2] })
    const after = applyCommand(draft, value?.command as never) as Template
    expect(after.phases[1]?.deloads[0]?.where.toTest).toEqual([2, 1])
  })

  test('acts on the muscles that are chosen; fewer days act on all', () => {
    const muscles = ['quads' as const]
    const whereOf = (kind: DeloadDraft['kind']) => {
      const { value } = given(long, { kind, params: starterOf(kind), muscles })
      return (applyCommand(draft, value?.command as never) as Template).phases[0]?.deloads[0]?.where.muscles
    }
    expect(whereOf('fewerSets')).toEqual(muscles)
    expect(whereOf('fewerDays')).toBeUndefined()
  })

  test.each<[string, Partial<DeloadDraft>, string[]]>([
    ['no week', { weeks: [] }, ['weeks']],
    ['a percentage that is a word', { params: { percent: 'half' } }, ['params']],
    ['neither', { weeks: [], params: { percent: '' } }, ['params', 'weeks']],
  ])('with %s is refused at its fields', (_, change, fields) => {
    const { value, faults } = given(long, change)
    expect(value).toBeUndefined()
    expect(Object.keys(faults ?? {})).toEqual(fields)
  })

  test('is not said before it is complete', () => {
    expect(sayDeload({ kind: 'fewerSets', params: { percent: '' } })).toBeNull()
  })
})
