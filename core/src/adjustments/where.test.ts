import { describe, expect, test } from '@jest/globals'
import { actsOn, isFor, mayAct, slotSpot, weekSpot, type Spot, type Where, type Whom } from './where.ts'

const week: Spot = { phase: 'build', phaseWeek: 3 }
const session: Spot = { ...week, day: '2026-03-10', session: 'a' }
const squat: Spot = slotSpot({}, session, 'squat', { exercise: 'backSquat' })
const paused: Spot = slotSpot({}, session, 'pause', { exercise: 'backSquat', variant: 'paused' })

describe('an adjustment', () => {
  test('that names nothing acts everywhere', () => {
    expect([week, session, squat].map((spot) => actsOn({}, spot))).toEqual([true, true, true])
  })
  test.each([
    ['its phase', { phases: ['build'] }, true],
    ['another phase', { phases: ['peak'] }, false],
    ['its week', { weeks: [1, 3] }, true],
    ['another week', { weeks: [4] }, false],
    ['weeks to a test where there is none', { toTest: [0] }, false],
    ['days around it', { days: { from: '2026-03-09', to: '2026-03-10' } }, true],
    ['days that are over', { days: { from: '2026-03-01', to: '2026-03-09' } }, false],
    ['its session', { sessions: ['a', 'b'] }, true],
    ['its slot', { slots: ['squat'] }, true],
    ['its lift', { lifts: [{ exercise: 'backSquat' as const }] }, true],
    ['a variant of its lift', { lifts: [{ exercise: 'backSquat' as const, variant: 'paused' }] }, false],
    ['the muscle that it works main', { muscles: ['quads' as const] }, true],
    ['a muscle that it works as well', { muscles: ['glutes' as const] }, false],
    ['its week in another phase', { phases: ['peak'], weeks: [3] }, false],
  ])('that names %s acts on a slot or not', (_, where, acts) => expect(actsOn(where, squat)).toBe(acts))
  test('that names a variant leaves the plain lift alone, and acts on the variant', () => {
    const where = { lifts: [{ exercise: 'backSquat' as const, variant: 'paused' }] }
    expect([actsOn(where, squat), actsOn(where, paused)]).toEqual([false, true])
  })
  test('that names a slot or a session never acts on the week as a whole', () => {
    expect(actsOn({ slots: ['squat'] }, week)).toBe(false)
    expect(actsOn({ sessions: ['a'] }, week)).toBe(false)
    expect(actsOn({ slots: ['squat'] }, session)).toBe(false)
  })
  test('may act on some slot of a session that it cannot yet tell', () => {
    expect(mayAct({ slots: ['squat'] }, session)).toBe(true)
    expect(mayAct({ slots: ['squat'], weeks: [4] }, session)).toBe(false)
  })
})

describe('by the day of the week, and for some', () => {
  test('a change by the day acts on no week as a whole', () => {
    const second = { inWeek: [2] }
    expect(mayAct(second, { ...weekSpot('p', 1, null), inWeek: 2 })).toBe(true)
    expect(mayAct(second, { ...weekSpot('p', 1, null), inWeek: 1 })).toBe(false)
    expect(mayAct(second, weekSpot('p', 1, null))).toBe(false)
  })

  test.each<[string, Where, Whom, boolean]>([
    ['everyone', {}, { track: null }, true],
    ['another track', { tracks: ['heavy'] }, { track: 'light' }, false],
    ['no track', { tracks: ['none'] }, { track: null }, true],
    ['an age that was not told', { training: ['untold'] }, { track: null }, true],
    ['another age', { training: ['overThreeYears'] }, { track: null, training: 'underOneYear' }, false],
  ])('%s', (_, where, whom, is) => expect(isFor(where, whom)).toBe(is))
})
