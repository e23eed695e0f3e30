import type { Verdict } from '../state/fold.ts'
import { describe, expect, test } from '@jest/globals'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { judge, settle } from './verdict.ts'

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
    ['a set lighter than shown', [set(1, 5), set(2, 5, { load: kg(55) }), set(3, 5)], 'miss'],
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
  ])('of %s', (_, done, verdict) => expect(judge(squat, [prescribed()], done, false)).toBe(verdict))

  test('of a set done in the other way that was asked goes by its share of the reps, rounded up, and of one without by all of them', () => {
    const asked = prescribed({ reps: 9, option: { percent: 50, say: 'in a 10 kg vest' } })
    const vest = (...reps: number[]) => reps.map((count, i) => set(i + 1, count, { option: true }))
    expect(judge(squat, [asked], vest(5, 5, 5), false)).toBe('hit')
    expect(judge(squat, [asked], vest(5, 5, 4), false)).toBe('miss')
    expect(judge(squat, [asked], sets(9, 9, 5), false)).toBe('miss')
  })

  test('of a light session is neither hit nor miss, and of none trained is still a skip', () => {
    expect(judge(squat, [prescribed()], sets(5, 5, 5), true)).toBe('deload')
    expect(judge(squat, [prescribed()], sets(2), true)).toBe('deload')
    expect(judge(squat, [prescribed()], [], true)).toBe('skip')
  })

  test('of fewer plates than meant, or of a load that was never given, is not comparable', () => {
    expect(judge(squat, [prescribed({ short: true })], sets(5, 5, 5), false)).toBe('not comparable')
    expect(
      judge(squat, [prescribed({ load: null, target: null, missing: true })], sets(5, 5, 5), false),
    ).toBe('not comparable')
  })

  test('of work without a load goes by the reps alone', () => {
    const free = prescribed({ load: null, target: null, reps: { from: 8, to: 12 } })
    expect(judge(squat, [free], sets(12, 10, 8), false)).toBe('hit')
    expect(judge(squat, [free], sets(12, 10, 7), false)).toBe('miss')
  })

  test('looks at every prescription of the slot', () => {
    const two = [prescribed({ sets: 1, load: kg(80) }), prescribed({ sets: 2 })]
    expect(judge(squat, two, [set(1, 5, { load: kg(80) }), set(2, 5), set(3, 5)], false)).toBe('hit')
    expect(judge(squat, two, [set(1, 5), set(2, 5), set(3, 5)], false)).toBe('miss')
  })
})

describe('what a rule hears once a late log has moved the load', () => {
  test.each<[Verdict, number, number, ReturnType<typeof settle>]>([
    ['hit', 60, 60, { verdict: 'hit', target: kg(60) }],
    ['hit', 60, 62.5, { verdict: 'hold', target: kg(62.5) }],
    ['hit', 65, 62.5, { verdict: 'hit', target: kg(65) }],
    ['miss', 60, 60, { verdict: 'miss', target: kg(60) }],
    ['miss', 65, 62.5, null],
    ['miss', 60, 62.5, { verdict: 'miss', target: kg(62.5) }],
    ['not comparable', 50, 60, { verdict: 'hold', target: kg(60) }],
    ['deload', 50, 60, null],
    ['skip', 60, 60, null],
  ])('%s at %d shown, %d replayed', (verdict, shown, replayed, want) => {
    expect(settle(verdict, kg(shown), kg(replayed))).toEqual(want)
  })
})
