import { describe, expect, test } from '@jest/globals'
import { formatIssue } from '../../parsing/index.ts'
import { formatSets } from '../cells/shorthand.ts'
import { shorthandExamples } from '../cells/shorthandExamples.ts'
import { readTemplate } from './read.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const file = (rows: unknown, exercise = 'backSquat', more: object = {}) => ({
  format: 2,
  name: 'Typed',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
  slots: { s: { exercise, uses: [{ progression: 'r' }], rows: { p: rows }, ...more } },
  progressions: {
    r: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startPercent: 80, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
})
const read = (...given: Parameters<typeof file>) => {
  const { template, issues = [] } = readTemplate(file(...given))
  return { rows: template?.slots.s?.rows.p, faults: issues.map(formatIssue) }
}
const rule = '1x5 @ rule'

describe('sets that are typed in a file', () => {
  test('are the prescriptions that they mean, a row for each week or one for all', () => {
    const written = [
      { sets: 1, goal: { reps: 5 }, load: { of: 'progression' } },
      { sets: 3, goal: { reps: 8 }, load: { of: 'max', percent: 70 }, rir: 2, rest: 120 },
    ]
    const typed = `${rule}; 3 x 8 @ 70% R2 rest 2 min`
    const plain = read([written]).rows
    expect(plain).toHaveLength(2)
    for (const rows of [
      [typed],
      [[rule, '3 x 8 @ 70% R2 rest 2 min']],
      [written, typed],
      [typed, [written[0], '3 sets of 8 at 70% R2 (2 min rest)']],
    ])
      expect(read(rows)).toEqual({ rows: plain, faults: [] })
  })

  // Those that read a training max, which this template has not.
  const others = shorthandExamples.filter(({ means }) => !means.includes('TM'))
  test.each(others.map(({ typed, means }) => [typed, means]))('%s', (typed, means) => {
    const { rows, faults } = read([`${rule} top set; ${typed}`])
    expect(faults).toEqual([])
    expect(formatSets(library, rows?.[0]?.slice(1) ?? [])).toBe(means)
  })

  test('that are not understood are located, with what can be typed', () => {
    expect(read([`${rule}; 3 x 8 style odd`]).faults).toEqual([
      expect.stringMatching(/^slots[.]s[.]rows[.]p\[0\]: expected sets as they are typed.*Style: one of/),
    ])
    expect(read([[rule, '5 x 5 @ 100 kg']]).faults).toEqual([
      expect.stringMatching(/^slots[.]s[.]rows[.]p\[0\]\[1\]: .*has no kilos/),
    ])
    expect(read([[rule, '3x5; 3x3']]).faults).toEqual([
      expect.stringMatching(
        /^slots[.]s[.]rows[.]p\[0\]\[1\]: expected one line of sets.*leave out the brackets/,
      ),
    ])
    expect(read([rule, '']).faults).toEqual([
      expect.stringMatching(/^slots[.]s[.]rows[.]p\[1\]: .*Sets like 3 x 8/),
    ])
  })

  test('of an exercise that there is not have one fault, the exercise’s', () => {
    expect(read([`${rule}; 3 x 8`], 'backSqat').faults).toEqual([
      expect.stringMatching(/^slots[.]s[.]exercise: /),
    ])
  })

  test('are kept as what they mean: nothing is typed any more in what was read', () => {
    const { template } = readTemplate(file([rule]))
    expect(readTemplate(JSON.parse(JSON.stringify(template))).template).toEqual(template)
    expect(template?.slots.s?.rows.p?.[0]?.[0]).toMatchObject({ sets: 1, goal: { reps: 5 } })
  })
})
