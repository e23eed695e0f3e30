import { describe, expect, test } from '@jest/globals'
import { readTemplate, type Phase, type Template } from '../template/index.ts'
import {
  closeWeek,
  endByDate,
  giveUp,
  inWeekOf,
  openWeek,
  placesLeft,
  sessionAt,
  startCourse,
  type Course,
  type Opening,
} from './course.ts'

const start = '2026-03-02'
const slot = { exercise: 'backSquat', rows: { p: [[{ sets: 1, goal: { reps: 5 }, load: { of: 'free' } }]] } }
const templateOf = (phases: object[]): Template => {
  const ids = ['a', 'b', 'c']
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Course',
    phases,
    sessions: Object.fromEntries(
      ids.map((id) => [id, { name: id.toUpperCase(), sections: [{ name: 'Main', slots: [`s-${id}`] }] }]),
    ),
    slots: Object.fromEntries(
      ids.map((id) => [
        `s-${id}`,
        { ...slot, rows: Object.fromEntries(phases.map((phase) => [(phase as Phase).id, slot.rows.p])) },
      ]),
    ),
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}
const rotation = (perWeek: number, weeks = 4): object => ({
  id: 'p',
  name: 'P',
  weeks,
  rotation: ['a', 'b', 'c'],
  perWeek,
})
const opening = (template: Template, change: Partial<Opening> = {}): Opening => ({
  template,
  version: 'v',
  track: null,
  isCalendar: false,
  testDay: null,
  shows: () => false,
  skip: () => null,
  hasLeft: () => false,
  weekOf: (phase) => ({ rotation: phase.rotation, perWeek: phase.perWeek }),
  deload: null,
  ...change,
})
const open = (course: Course, how: Opening) =>
  openWeek(course, how) as Course & { running: NonNullable<Course['running']> }
/** The sessions of so many weeks, each done to its end. */
function weeks(template: Template, count: number, change: Partial<Opening> = {}): string[] {
  let course = startCourse(start)
  const seen: string[] = []
  for (let i = 0; i < count; i++) {
    const next = openWeek(course, opening(template, change))
    if (!next) break
    seen.push(`${next.running.phase}${next.running.phaseWeek} ${next.running.sessions.join('')}`)
    course = closeWeek(giveUp(next, 'trained'))
  }
  return seen
}

describe('a rotation', () => {
  test('of three on five days goes on where the week before left it', () => {
    expect(weeks(templateOf([rotation(5)]), 3)).toEqual(['p1 abcab', 'p2 cabca', 'p3 bcabc'])
  })
  test('begins again with the next phase, and ends with the last', () => {
    const two = [rotation(2, 1), { ...rotation(2, 1), id: 'q', name: 'Q' }]
    expect(weeks(templateOf(two), 5)).toEqual(['p1 ab', 'q1 ab'])
  })
  test('passes over a session that the version no longer has', () => {
    const template = templateOf([rotation(3)])
    const { c: _, ...sessions } = template.sessions
    const without = { ...template, sessions }
    expect([0, 1, 2, 3].map((turn) => sessionAt(without, ['a', 'b', 'c'], turn))).toEqual([
      'a',
      'b',
      'a',
      'b',
    ])
    expect(sessionAt({ ...template, sessions: {} }, ['a'], 0)).toBeUndefined()
  })
})

describe('a phase that a sign ends', () => {
  const until = { trigger: 'stalled', misses: 1, of: 1, progression: 'x' }
  const phase = { ...rotation(1), weeks: { least: 2, most: 4, until } } as unknown as Phase
  const template = { ...templateOf([rotation(1), { ...rotation(1, 1), id: 'q', name: 'Q' }]) }
  const signed = { ...template, phases: [phase, template.phases[1] as Phase] }
  test('lasts its least weeks although the sign shows', () => {
    expect(weeks(signed, 9, { shows: () => true })).toEqual(['p1 a', 'p2 b', 'q1 a'])
  })
  test('lasts no more than its most although it never shows', () => {
    expect(weeks(signed, 9)).toEqual(['p1 a', 'p2 b', 'p3 c', 'p4 a', 'q1 a'])
  })
})

describe('a countdown', () => {
  const template = templateOf([{ ...rotation(1, 3), ends: 'test day' }])
  const toTest = (testDay: string | null, count = 9): (number | null)[] => {
    let course = startCourse(start)
    const seen: (number | null)[] = []
    for (let i = 0; i < count; i++) {
      const next = openWeek(course, opening(template, { isCalendar: true, testDay }))
      if (!next) break
      seen.push(next.running.toTest)
      course = closeWeek(giveUp(next, 'trained'))
    }
    return seen
  }
  test('lasts until the week of its test, however long that is', () => {
    expect(toTest('2026-03-31')).toEqual([4, 3, 2, 1, 0])
    expect(toTest('2026-03-02')).toEqual([0])
  })
  test('without a test day has its last week on paper for the test', () => {
    expect(toTest(null)).toEqual([2, 1, 0])
  })
  test('whose day has passed is not begun', () => expect(toTest('2026-02-20')).toEqual([]))
})

describe('a deload of the member’s own', () => {
  const deload = { id: 'l', at: 0, shift: true }
  test('is put in before the plan’s week on the own clock, which then stands again', () => {
    const template = templateOf([rotation(3)])
    const first = open(startCourse(start), opening(template, { deload }))
    expect(first.running).toMatchObject({ phaseWeek: 1, deload: 'l', isInserted: true })
    const second = open(closeWeek(giveUp(first, 'trained')), opening(template))
    expect(second.running).toMatchObject({ week: 2, phaseWeek: 1, deload: null, first: 4 })
  })
  test('on a calendar is the plan’s week itself', () => {
    const template = templateOf([rotation(3)])
    const first = open(startCourse(start), opening(template, { deload, isCalendar: true }))
    expect(first.running.isInserted).toBe(false)
    const closed = closeWeek(giveUp(first, 'trained'))
    expect(closed.deloadWeeks).toEqual(['p/1'])
    expect(open(closed, opening(template, { isCalendar: true })).running.phaseWeek).toBe(2)
  })
})

describe('the end of a week by its date', () => {
  const template = templateOf([rotation(3)])
  const half = () => {
    const week = open(startCourse(start), opening(template, { isCalendar: true }))
    return { ...week, running: { ...week.running, taken: { 1: 'trained' as const } } }
  }
  test.each([
    ['hold', 'drops'],
    ['drop', 'drops'],
    ['shift', 'stays'],
    ['repeat', 'again'],
  ] as const)('with "%s" %s what is left', (missed, what) => {
    const after = endByDate(half(), missed)
    if (what === 'drops') return expect([after.running, after.positions]).toEqual([null, 3])
    expect(after.running?.from).toBe('2026-03-09')
    expect([after.running?.attempt, after.running && placesLeft(after.running)]).toEqual(
      what === 'again' ? [2, [1, 2, 3]] : [1, [2, 3]],
    )
  })
  test('a week that nobody came to is not done again but moved', () => {
    const untouched = { ...half(), running: { ...half().running, taken: {} } }
    expect(endByDate(untouched, 'repeat').running).toMatchObject({ attempt: 1, from: '2026-03-09' })
  })
})

test('a position names its place of the running week, and no other', () => {
  const template = templateOf([rotation(3)])
  const second = open(
    closeWeek(giveUp(open(startCourse(start), opening(template)), 'trained')),
    opening(template),
  )
  expect([3, 4, 6, 7].map((position) => inWeekOf(second, position))).toEqual([null, 1, 3, null])
})
