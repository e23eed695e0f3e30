import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { isNeed } from '../loads/index.ts'
import { inUnit, makeable, snap, usualRack, type Load } from '../units/index.ts'
import { linear } from './linear.ts'
import { handOfUnit } from '../testing/exposures.ts'
import type { Exposure, Starting } from './rule.ts'

const kg = (value: number): Load => ({ value, unit: 'kg' })
const lift = { exercise: 'backSquat' as const }
const params = { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 }
const hand = handOfUnit('kg')
const inPounds = handOfUnit('lb')
const at = { week: 2, inWeek: 1 }
const known: Starting = {
  library: {},
  lift,
  max: null,
  unit: 'kg',
  first: { scale: 100, points: 0, steps: [] },
  last: null,
}
const work = { at, asked: 5, reps: [5, 5, 5] }
const max = (value: number) => ({ load: kg(value), date: '2026-03-02', how: 'tested' as const })

function begin(value = 100) {
  const state = linear.start({ ...known, max: max(value) }, params)
  if (isNeed(state)) throw new Error('a max was given')
  return state
}
const after = (
  verdict: Exposure['verdict'],
  state: ReturnType<typeof begin>,
  by = hand,
  date: string | null = '2026-03-04',
) =>
  linear.next(
    state,
    { ...work, date, role: 'main', verdict, target: linear.ask(state, 'main', params, at).load ?? null },
    params,
    by,
  )

describe('a linear progression', () => {
  test('asks for a max where it starts from a percent of one, and for none where everybody starts alike', () => {
    expect(linear.start(known, params)).toEqual({ need: 'max', lift })
    const { startPercent: _percent, ...rest } = params
    expect(linear.start({ ...known, unit: 'lb' }, { ...rest, startLoad: { kg: 60, lb: 135 } })).toMatchObject(
      { load: { value: 135, unit: 'lb' } },
    )
  })

  // R6's arithmetic, by hand: n hits of 1.25 from any start are exactly n × 1.25 above it, whatever plates there are.
  test('keeps its steps exact, however many there are', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.double({ min: 30, max: 200, noNaN: true }),
        (hits, value) => {
          const fine = { ...params, step: { kg: 1.25, lb: 2.5 } }
          let state = begin(value)
          const first = state.load.value
          for (let i = 0; i < hits; i++)
            state = linear.next(
              state,
              { ...work, date: '2026-03-04', role: 'main', verdict: 'hit', target: state.load },
              fine,
              hand,
            )
          expect(snap(state.load.value - first)).toBeCloseTo(hits * 1.25, 3)
        },
      ),
    )
  })

  test('resets to a load that can be made, below the one that was missed', () => {
    fc.assert(
      fc.property(fc.double({ min: 50, max: 300, noNaN: true }), (value) => {
        const state = after('miss', after('miss', after('miss', begin(value))))
        expect(makeable(usualRack.kg).loads).toContain(state.load.value)
        expect(state.load.value).toBeLessThan(begin(value).load.value)
        expect(state.misses).toBe(0)
      }),
    )
  })

  test('goes on from the load that was shown where that was above its own', () => {
    const next = linear.next(
      begin(),
      { ...work, date: '2026-03-04', role: 'main', verdict: 'hit', target: kg(75) },
      params,
      hand,
    )
    expect(next.load).toEqual(kg(77.5))
  })

  test('steps in pounds for a member who changed to pounds', () => {
    const next = after('hit', begin(), inPounds)
    expect(next.load).toEqual({ value: snap(inUnit(kg(70), 'lb').value + 5), unit: 'lb' })
  })

  test('holds load and misses where a session proved nothing', () => {
    const missed = after('miss', begin())
    const held = after('hold', missed)
    expect([held.load, held.misses]).toEqual([missed.load, 1])
    expect(held.why[0]?.id).toBe('steady.hold')
  })

  test('looks ahead without inventing days or misses', () => {
    expect(after('hit', begin(), hand, null).why[0]?.id).toBe('steady.ahead')
    expect(after('hold', begin(), hand, null)).toEqual(begin())
  })

  test('says itself in one plain sentence, in both units', () => {
    expect(linear.sentence(params)).toBe(
      'Start at 70% of the 1RM. After a hit: +2.5 kg (5 lb). After 3 misses in a row: −10%.',
    )
    const { startPercent: _percent, ...rest } = params
    expect(linear.sentence({ ...rest, startLoad: { kg: 60, lb: 135 }, misses: 1 })).toContain(
      'Start at 60 kg (135 lb). ',
    )
  })

  test.each<[string, object]>([
    ['both starts', { ...params, startLoad: { kg: 60, lb: 135 } }],
    ['no start', { ...params, startPercent: undefined }],
    ['a step of nothing', { ...params, step: { kg: 0, lb: 5 } }],
    ['a step in one unit', { ...params, step: { kg: 2.5 } }],
    ['a reset of everything', { ...params, resetBy: 100 }],
    ['no misses', { ...params, misses: 0 }],
    ['a stray key', { ...params, colour: 'red' }],
  ])('refuses %s', (_, given) => expect(linear.params.isValidSync(given, { strict: true })).toBe(false))
})
