// What a template says of later on: sets in a later stage of a progression, and phases still to be written; and what is said where they fit none.
import { describe, expect, test } from '@jest/globals'
import { formatIssue } from '../../parsing/index.ts'
import { compareTemplates } from '../compare/compare.ts'
import type { Template } from '../types.ts'
import { readDraft, readTemplate } from './read.ts'

const linear = { startPercent: 80, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }
const days = {
  startPercent: 75,
  heavyPercent: 111,
  volumeStep: { kg: 2.5, lb: 5 },
  heavyStep: { kg: 2.5, lb: 5 },
  misses: 2,
  resetBy: 10,
}
const own = { stage: 'days', role: { byDay: ['volume', 'heavy'] }, rows: ['5 x 5 @ rule', '1 x 5 @ rule'] }
const heavy = { sets: 1, goal: { reps: 1 } }
const file = (inStages: unknown, slot: object = {}) => ({
  format: 2,
  name: 'Handed over',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 2 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
  slots: {
    s: {
      exercise: 'backSquat',
      uses: [{ progression: 'r' }],
      rows: { p: ['3 x 5 @ rule'] },
      ...(inStages !== undefined && { inStages }),
      ...slot,
    },
  },
  progressions: {
    r: {
      stages: [
        { id: 'same', rule: 'linear', params: linear, until: { trigger: 'stalled', misses: 2, of: 2 } },
        { id: 'days', rule: 'volumeHeavy', params: days },
      ],
    },
  },
})
const faults = (...given: Parameters<typeof file>) =>
  (readTemplate(file(...given)).issues ?? []).map(formatIssue).join('\n')

describe('sets in a stage', () => {
  test('are typed, and read again as they were read', () => {
    const { template } = readTemplate(file([own]))
    expect(template?.slots.s?.inStages?.[0]).toMatchObject({
      stage: 'days',
      rows: [[{ sets: 5 }], [{ sets: 1 }]],
    })
    expect(readTemplate(JSON.parse(JSON.stringify(template))).template).toEqual(template)
  })

  test.each([
    [
      'a rule whose roles the slot does not have, without them',
      undefined,
      {},
      'slots.s.uses[0].role: expected a role of volumeHeavy: volume, light, heavy; got "main"',
    ],
    [
      'a stage that there is not',
      [own, { ...own, stage: 'gone' }],
      {},
      'slots.s.inStages[1].stage: expected a stage of a progression that the slot uses; got "gone". There are: same, days',
    ],
    ['a stage twice', [own, own], {}, 'slots.s.inStages[1].stage: expected a stage that is not named before'],
    [
      'a role that its rule does not have',
      [{ ...own, role: 'main' }],
      {},
      'slots.s.inStages[0].role: expected a role of volumeHeavy',
    ],
    ['no rows', [{ ...own, rows: [] }], {}, 'slots.s.inStages[0].rows: expected 1 to 14 rows'],
    [
      'what cannot be typed',
      [{ ...own, rows: ['5 by 5'] }],
      {},
      'slots.s.inStages[0].rows[0]: expected sets as they are typed',
    ],
    [
      'more than the 1RM',
      [{ ...own, rows: [[{ ...heavy, load: { of: 'max', percent: 110 } }], '1 x 5 @ rule'] }],
      {},
      'slots.s.inStages[0].rows[0][0].load.percent: expected at most 100%',
    ],
    [
      'rows counted to a test day',
      [own],
      { by: 'toTest', capStep: { kg: 5, lb: 10 } },
      'slots.s.inStages: expected no rows counted to a test day',
    ],
  ])('locate %s', (_, inStages, slot, message) => {
    expect(faults(inStages, slot)).toContain(message)
  })

  test('may be ahead of their stage, or left by it, in a draft on its way', () => {
    expect(readDraft(file([own, { ...own, stage: 'gone' }])).issues).toBeUndefined()
  })

  test('are said where two versions differ in them', () => {
    const one = readTemplate(file([own])).template as Template
    const two = readTemplate(file([{ ...own, rows: ['4 x 5 @ rule', '1 x 5 @ rule'] }])).template as Template
    expect(JSON.stringify(compareTemplates({}, one, two))).toContain(
      '5 × 5 @ progression / 1 × 5 @ progression',
    )
  })
})

describe('phases still to be written', () => {
  const later = [{ name: 'Peak', weeks: 3 }, { name: 'Test week' }]
  test('are kept, and said where two versions differ in them', () => {
    const one = readTemplate({ ...file([own]), later }).template as Template
    expect(one.later).toEqual(later)
    const two = readTemplate(file([own])).template as Template
    expect(JSON.stringify(compareTemplates({}, one, two))).toContain('Peak, 3 weeks, Test week')
  })
  test.each([
    [
      'a length of nothing',
      [{ name: 'Peak', weeks: 0 }],
      {},
      'later[0].weeks: expected weeks, where they are known',
    ],
    ['none', [], {}, 'later: expected phases that are still to be written'],
    [
      'one behind a test day',
      later,
      { ends: 'test day' },
      'later: expected no phase after the one that ends with the test day',
    ],
  ])('are refused: %s', (_, given, phase, message) => {
    const whole = file([own])
    const phases = whole.phases.map((one) => ({ ...one, ...phase }))
    const { issues = [] } = readTemplate({ ...whole, phases, later: given })
    expect(issues.map(formatIssue).join('\n')).toContain(message)
  })
})
