import { describe, expect, test } from '@jest/globals'
import { readFixture } from '../../../fixtures/read.ts'
import { trackDifferences } from './sayAdjustment.ts'
import type { Template } from '../types.ts'
import { compareTemplates } from './compare.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const version = (name: string, which = 'template'): Template => readFixture(name).versions[which] as Template
const lines = (before: Template, after: Template) =>
  compareTemplates(library, before, after).map(({ where, what }) => `${where}: ${what}`)
const change = (template: Template, spoil: (copy: Template) => void): Template => {
  const copy = structuredClone(template)
  spoil(copy)
  return copy
}

describe('what changed between two versions', () => {
  test('is nothing for the same', () => {
    const template = version('a-track-on-running-and-new-progressions')
    expect(lines(template, structuredClone(template))).toEqual([])
  })
  test('is each cell, in the words of the sheet, with weeks that changed alike in one line', () => {
    const name = 'revisions-in-mid-block'
    expect(lines(version(name), version(name, 'template-2'))).toEqual([
      'Bench press (Session A), Block, weeks 1 to 4: load 70% → 75%',
      'Progression of back squat: Start at 60 kg (130 lb). After a hit: +2.5 kg (5 lb). After 3 misses in a row: −10%. → ' +
        'Start at 60 kg (130 lb). After a hit: +5 kg (10 lb). After 3 misses in a row: −10%.',
    ])
    expect(lines(version(name, 'template-2'), version(name, 'template-3'))[0]).toBe(
      'Back squat (Session A), Block, weeks 1 to 4: reps 5 → 6-10',
    )
  })
  test('is what was removed, and says that its logs stay', () => {
    const name = 'what-a-revision-takes-away'
    expect(lines(version(name), version(name, 'template-2'))).toEqual([
      'Two: phase removed',
      'Bench press (Session A): removed; logged sessions stay',
    ])
  })
  test('is the head, phases, deloads, order and tracks as well', () => {
    const before = version('a-track-on-running-and-new-progressions')
    const after = change(before, (copy) => {
      copy.missed = 'drop'
      const [first] = copy.phases
      if (first) Object.assign(first, { weeks: 3, perWeek: 2 })
      first?.deloads.push({ id: 'l', do: { kind: 'scaleLoad', by: -10 }, where: { weeks: [3] } })
      copy.sessions.a?.sections[0]?.slots.reverse()
      copy.tracks.lighter?.changes.shift()
      delete copy.tracks.more
    })
    expect(lines(before, after)).toEqual([
      'Missed weeks: hold → drop',
      'First, weeks: 2 → 3',
      'First, sessions a week: 1 → 2',
      'First, deloads: new: week 3: load −10%',
      'Session A, order: Back squat, Bench press, Dumbbell curl → Dumbbell curl, Bench press, Back squat',
      'Track Lighter: removed: everywhere: load −10%',
      'Track More days: removed',
    ])
  })
})

test('a track’s differences are told line by line, those of what is gone by its id', () => {
  const template = version('a-track-on-running-and-new-progressions')
  expect(
    trackDifferences(library, template, 'lighter').map(({ where, what }) => `${where}: ${what}`),
  ).toEqual([
    'everywhere: load −10%',
    'Dumbbell curl (Session A): left out',
    'Bench press (Session B): Incline bench press instead',
    'Plank: added',
    'a-row: left out',
  ])
})
