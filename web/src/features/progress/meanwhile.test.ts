import { describe, expect, test } from '@jest/globals'
import { readGivenFact, type Pause } from '@young-oak/core/facts'
import { changesWhile, meanwhiles, sayPause } from './meanwhile.ts'

const paused: Pause = {
  id: 'p',
  enrolment: null,
  from: '2026-03-09',
  to: null,
  reason: 'injury',
  back: null,
  changes: [],
  muscles: null,
}

describe('what is trained while a pause lasts', () => {
  test.each(meanwhiles)('"%s" is read by the engine', (meanwhile) => {
    const fact = { kind: 'pause', reason: 'injury', ...changesWhile(meanwhile, ['quads']) }
    const { issues } = readGivenFact({}, { id: 'p', date: '2026-03-09', ...fact })
    expect(issues).toBeUndefined()
  })

  test('without a muscle named, there is nothing to say yet', () => {
    expect(changesWhile('without', [])).toBeNull()
  })

  test('is said with its reason, its end and the way back', () => {
    expect(sayPause(paused)).toBe('Paused since 9 Mar 2026 (injury)')
    expect(
      sayPause({ ...paused, changes: [{ kind: 'drop' }], muscles: ['quads'], to: '2026-03-16', back: -10 }),
    ).toBe(
      'Training without quads since 9 Mar 2026 (injury), back on 16 Mar 2026; first week back at −10% load',
    )
    expect(sayPause({ ...paused, changes: [{ kind: 'scaleLoad', by: -20 }] })).toBe(
      'Training lighter since 9 Mar 2026 (injury)',
    )
  })
})
