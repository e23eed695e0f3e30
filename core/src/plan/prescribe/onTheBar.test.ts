import { describe, expect, test } from '@jest/globals'
import type { Lift } from '../../library/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { makeable, makeableOnBody, usualFixed, usualRack, type Load } from '../../units/index.ts'
import { followToday, heaviestOf, totalOf, type OnTheBar } from './onTheBar.ts'

const squat: Lift = { exercise: 'backSquat' }
const kg = (value: number): Load => ({ value, unit: 'kg' })
const prescribed = (
  id: string,
  sets: number,
  load: Load | null,
  change: Partial<ShownSets> = {},
): ShownSets => ({
  prescription: id,
  sets,
  reps: 5,
  target: load,
  load,
  why: [],
  ...change,
})
const set = (n: number, load: Load | undefined, change: Partial<SetLog> = {}): SetLog => ({
  id: `s${n}`,
  rev: 1,
  slot: 's',
  n,
  exercise: 'backSquat',
  state: 'done',
  reps: 5,
  ...(load && { load }),
  ...change,
})
const top = prescribed('top', 1, kg(100))
const back = prescribed('back', 2, kg(90), { today: { percent: 90, way: 'nearest' } })
const bar = (sets: SetLog[]): OnTheBar => ({ slot: 's', lift: squat, prescriptions: [top, back], sets })
const home = { here: makeable(usualRack.kg), home: makeable(usualRack.kg) }

describe('the heaviest load on the bar', () => {
  test('is what is asked until something is logged, and then what was', () => {
    expect(heaviestOf(bar([]))).toEqual(kg(100))
    expect(heaviestOf(bar([set(1, kg(95))]))).toEqual(kg(95))
  })
  test('counts lifted sets only, where that is wanted', () => {
    expect(heaviestOf(bar([]), undefined, true)).toBeNull()
    expect(heaviestOf(bar([set(1, kg(95), { state: 'failed', reps: 0 })]), undefined, true)).toBeNull()
    expect(heaviestOf(bar([set(1, kg(95), { reps: 0 })]), undefined, true)).toBeNull()
  })
  test('may be that of one prescription, whose sets are known by their numbers', () => {
    expect(heaviestOf(bar([set(1, kg(95)), set(2, kg(80)), set(3, kg(82.5))]), 'back')).toEqual(kg(82.5))
  })
  test('takes no notice of sets beside those that are asked', () => {
    expect(heaviestOf(bar([set(1, kg(95)), set(51, kg(140))]))).toEqual(kg(95))
  })
  test('on top of body weight is the whole, and nothing on top is the body alone', () => {
    const pullUp = prescribed('a', 2, kg(10), { body: kg(80) })
    const lifted = [set(1, kg(12.5)), set(2, undefined)]
    expect(heaviestOf({ slot: 's', lift: squat, prescriptions: [pullUp], sets: lifted })).toEqual(kg(92.5))
    expect(totalOf(pullUp, { load: kg(15), help: true })).toEqual(kg(65))
    expect(totalOf(pullUp, {})).toEqual(kg(80))
  })
})

describe('back-offs', () => {
  const follow = (sets: SetLog[]) => followToday([bar(sets)], () => home)[0]?.[1]
  test('stand as they were shown until the top set is lifted', () => expect(follow([])).toBe(back))
  test('follow what was lifted, rounded once, and say so', () => {
    // 90% of 102.5 is 92.25: nearest 92.5.
    const made = follow([set(1, kg(102.5))])
    expect([made?.load, made?.target, made?.why[0]?.id]).toEqual([kg(92.5), kg(92.25), 'topSet.done'])
    expect(made?.side).toEqual([25, 10, 1.25])
  })
  test('with a fixed drop stand so much below it', () => {
    const drop = prescribed('back', 2, kg(80), {
      today: { percent: 100, drop: { kg: 20, lb: 40 }, way: 'nearest' },
    })
    const session = [{ slot: 's', lift: squat, prescriptions: [top, drop], sets: [set(1, kg(105))] }]
    expect(followToday(session, () => home)[0]?.[1]?.load).toEqual(kg(85))
  })
  test('on top of body weight are a part of the whole: 90% of 80 + 20 is 10 added', () => {
    const body = { body: kg(80) }
    const heavy = prescribed('top', 1, kg(15), body)
    const deload = prescribed('back', 2, null, { ...body, today: { percent: 90, way: 'nearest' } })
    const can = makeableOnBody(usualRack.kg, usualFixed.assistance.kg)
    const session = [{ slot: 's', lift: squat, prescriptions: [heavy, deload], sets: [set(1, kg(20))] }]
    expect(followToday(session, () => ({ here: can, home: can }))[0]?.[1]).toMatchObject({
      load: kg(10),
      target: kg(90),
    })
  })
  test('follow another slot of the session where they name it', () => {
    const other = prescribed('b', 2, kg(50), { today: { percent: 50, slot: 's', way: 'down' } })
    const session = [bar([set(1, kg(105))]), { slot: 't', lift: squat, prescriptions: [other], sets: [] }]
    expect(followToday(session, () => home)[1]?.[0]?.load).toEqual(kg(52.5))
  })
})
