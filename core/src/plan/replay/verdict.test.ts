import type { Because } from '../../progressions/index.ts'
import type { Verdict } from '../state/fold.ts'
import { describe, expect, test } from '@jest/globals'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { judge } from './verdict.ts'

const kg = (value: number) => ({ value, unit: 'kg' as const })
const squat = { exercise: 'backSquat' as const }
const prescribed = (change: Partial<ShownSets> = {}): ShownSets => ({
  prescription: 'a',
  sets: 3,
  reps: 5,
  target: kg(60),
  load: kg(60),
  why: [],
  ...change,
})
const set = (n: number, reps: number, change: Partial<SetLog> = {}): SetLog => ({
  id: `s${n}`,
  rev: 1,
  slot: 'squat',
  n,
  ...squat,
  state: 'done',
  load: kg(60),
  reps,
  ...change,
})
const sets = (...reps: number[]) => reps.map((count, i) => set(i + 1, count))

describe('a verdict', () => {
  test.each<[string, SetLog[], Verdict]>([
    ['every set met', sets(5, 5, 5), 'hit'],
    ['more reps than asked', sets(6, 5, 8), 'hit'],
    ['an extra set that failed', [...sets(5, 5, 5), set(4, 2)], 'hit'],
    ['a rep short in the last set', sets(5, 5, 4), 'miss'],
    ['a set not logged', sets(5, 5), 'miss'],
    [
      'a set lighter than shown that fell short too',
      [set(1, 5), set(2, 4, { load: kg(55) }), set(3, 5)],
      'miss',
    ],
    ['a set heavier than shown', [set(1, 5), set(2, 5, { load: kg(65) }), set(3, 5)], 'hit'],
    ['a set failed without a rep', [set(1, 0, { state: 'failed' })], 'miss'],
    ['nothing logged', [], 'skip'],
    ['sets marked not done', [set(1, 0, { state: 'notDone' })], 'skip'],
    ['done sets of zero reps, until somebody says what they were', sets(0, 0, 0), 'skip'],
    [
      'the same load in pounds',
      [1, 2, 3].map((n) => set(n, 5, { load: { value: 132.2774, unit: 'lb' } })),
      'hit',
    ],
    ['another exercise', [set(1, 5, { exercise: 'frontSquat' })], 'not comparable'],
    ['sets logged out of order', [set(3, 5), set(1, 5), set(2, 5)], 'hit'],
  ])('of %s', (_, done, verdict) => expect(judge(squat, [prescribed()], done, false).verdict).toBe(verdict))

  test.each<[Because, Partial<SetLog>]>([
    ['lighter', { load: kg(55) }],
    ['helped', { assisted: 1 }],
    ['partial', { partial: true }],
    ['banded', { bands: 'one red' }],
  ])(
    'of a set that is a hit but for being %s is not comparable, and one that falls short even so is a miss',
    (because, change) => {
      const done = [set(1, 5), set(2, 5, change), set(3, 5)]
      expect(judge(squat, [prescribed()], done, false)).toEqual({ verdict: 'not comparable', because })
      const short = [set(1, 5), set(2, 4, change), set(3, 5)]
      expect(judge(squat, [prescribed()], short, false)).toEqual({ verdict: 'miss' })
    },
  )
  test('of help beyond the reps asked, and of bands and part of the range that were asked, is a hit', () => {
    const helped = [set(1, 5), set(2, 7, { assisted: 2 }), set(3, 5)]
    expect(judge(squat, [prescribed()], helped, false).verdict).toBe('hit')
    const banded = [1, 2, 3].map((n) => set(n, 5, { bands: 'one red' }))
    expect(judge(squat, [prescribed({ bands: 'one red' })], banded, false).verdict).toBe('hit')
    const held = [1, 2, 3].map((n) => set(n, 5, { partial: true }))
    expect(judge(squat, [prescribed({ style: 'partial' })], held, false).verdict).toBe('hit')
  })
  test('of a set done a side at a time is that of the weaker side', () => {
    const sided = (left: number, right: number) =>
      [1, 2, 3].map((n) => set(n, left, { sides: { left: { reps: left }, right: { reps: right } } }))
    expect(judge(squat, [prescribed({ perSide: true })], sided(5, 5), false).verdict).toBe('hit')
    expect(judge(squat, [prescribed({ perSide: true })], sided(6, 4), false).verdict).toBe('miss')
  })

  test('of a set done in the other way that was asked goes by its share of the reps, rounded up, and of one without by all of them', () => {
    const asked = prescribed({ reps: 9, option: { percent: 50, say: 'in a 10 kg vest' } })
    const vest = (...reps: number[]) => reps.map((count, i) => set(i + 1, count, { option: true }))
    expect(judge(squat, [asked], vest(5, 5, 5), false).verdict).toBe('hit')
    expect(judge(squat, [asked], vest(5, 5, 4), false).verdict).toBe('miss')
    expect(judge(squat, [asked], sets(9, 9, 5), false).verdict).toBe('miss')
  })

  test('of a light session is neither hit nor miss, and of none trained is still a skip', () => {
    expect(judge(squat, [prescribed()], sets(5, 5, 5), true).verdict).toBe('deload')
    expect(judge(squat, [prescribed()], sets(2), true).verdict).toBe('deload')
    expect(judge(squat, [prescribed()], [], true).verdict).toBe('skip')
  })

  test('of fewer plates than meant, or of a load that was never given, is not comparable', () => {
    expect(judge(squat, [prescribed({ short: true })], sets(5, 5, 5), false).verdict).toBe('not comparable')
    expect(
      judge(squat, [prescribed({ load: null, target: null, missing: true })], sets(5, 5, 5), false),
    ).toEqual({ verdict: 'not comparable', because: 'noLoad' })
  })

  test('of work without a load goes by the reps alone', () => {
    const free = prescribed({ load: null, target: null, reps: { from: 8, to: 12 } })
    expect(judge(squat, [free], sets(12, 10, 8), false).verdict).toBe('hit')
    expect(judge(squat, [free], sets(12, 10, 7), false).verdict).toBe('miss')
  })

  test('looks at every prescription of the slot', () => {
    const two = [prescribed({ sets: 1, load: kg(80) }), prescribed({ sets: 2 })]
    expect(judge(squat, two, [set(1, 5, { load: kg(80) }), set(2, 5), set(3, 5)], false).verdict).toBe('hit')
    expect(judge(squat, two, [set(1, 5), set(2, 5), set(3, 5)], false).because).toBe('lighter')
    expect(judge(squat, two, [set(1, 4), set(2, 5), set(3, 5)], false).verdict).toBe('miss')
  })
})
