import { describe, expect, test } from '@jest/globals'
import { readTemplate, type Template } from '@young-oak/core/template'
import { readTrackChange, starterOf, trackChangeKinds, type TrackChangeDraft } from './trackChange.ts'

const draft = readTemplate({
  format: 2,
  name: 'Tracks',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      variant: 'paused',
      rows: { p: [[{ sets: 3, goal: { reps: 5 }, load: { of: 'free' } }]] },
    },
  },
}).template as Template
const selected = { session: 'a', slot: 'squat' }

const given = (change: Partial<TrackChangeDraft> = {}): TrackChangeDraft => ({
  kind: 'scaleLoad',
  params: starterOf('scaleLoad'),
  exercise: '',
  sessions: ['a'],
  reach: 'slot',
  phase: '',
  weeks: '',
  days: '',
  muscle: 'quads',
  ...change,
})
const whereOf = (change: Partial<TrackChangeDraft>) =>
  readTrackChange(draft, selected, given(change)).value?.where

describe('a change of a track', () => {
  test('acts on days of the week where they are said', () => {
    expect(whereOf({ days: '2' })).toMatchObject({ inWeek: [2], slots: ['squat'] })
    expect(readTrackChange(draft, selected, given({ days: 'Friday' })).faults?.days).toMatch('Days like')
  })

  test.each(trackChangeKinds.filter((kind) => kind !== 'swap'))('begins as its first example: %s', (kind) => {
    const params = { ...starterOf(kind), ...(kind === 'rotation' && { perWeek: '2' }) }
    expect(readTrackChange(draft, selected, given({ kind, params })).value?.do).toMatchObject({ kind })
  })

  test.each<[Partial<TrackChangeDraft>, object]>([
    [{}, { slots: ['squat'] }],
    [{ reach: 'session' }, { sessions: ['a'] }],
    [{ reach: 'lift' }, { lifts: [{ exercise: 'backSquat', variant: 'paused' }] }],
    [{ reach: 'muscle' }, { muscles: ['quads'] }],
    [
      { reach: 'everywhere', phase: 'p', weeks: '1, 2' },
      { phases: ['p'], weeks: [1, 2] },
    ],
    [{ kind: 'fewerDays', params: { days: '2' }, reach: 'slot' }, {}],
  ])('%j reaches %j', (change, where) => expect(whereOf(change)).toEqual(where))

  test.each<[Partial<TrackChangeDraft>, string]>([
    [{ kind: 'swap' }, 'exercise'],
    [{ kind: 'rotation', sessions: [] }, 'sessions'],
    [{ weeks: '1, x' }, 'weeks'],
    [{ weeks: '0' }, 'weeks'],
    [{ params: { by: '900' } }, 'params'],
  ])('%j is refused beside its field', (change, field) => {
    const read = readTrackChange(draft, selected, given(change))
    expect(read.value).toBeUndefined()
    expect(read.faults?.[field]).toBeTruthy()
  })
})
