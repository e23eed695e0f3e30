// On which days sessions to come lie: whatever was trained when, what a layout says holds for each of them.
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readMember } from '../../facts/index.ts'
import { readTemplate, type Layout, type Template } from '../../template/index.ts'
import { addDays, daysBetween, weekdayOf } from '../../units/index.ts'
import { planMember } from '../planMember.ts'
import type { PlannedSession } from '../types.ts'

const ids = ['a', 'b', 'c']
const start = '2026-03-02'

function templateOf(layout: Layout): Template {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Days',
    phases: [{ id: 'p', name: 'P', weeks: 4, rotation: ids, perWeek: 3, layout }],
    sessions: Object.fromEntries(
      ids.map((id) => [id, { name: id, sections: [{ name: 'Main', slots: [`s-${id}`] }] }]),
    ),
    slots: Object.fromEntries(
      ids.map((id) => [`s-${id}`, { exercise: 'backSquat', rows: { p: ['1 x 5 @ none'] } }]),
    ),
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}

/** The sessions to come of somebody who trained on some days from the start, with usual days of their own or none. */
function ahead(
  layout: Layout,
  trained: number[],
  {
    clock = 'own',
    days,
    pause,
    todayAt = trained.at(-1) ?? 0,
  }: { clock?: 'own' | 'calendar'; days?: object; pause?: object; todayAt?: number } = {},
): PlannedSession[] {
  const versions = { template: templateOf(layout) }
  const { file, issues } = readMember(
    {
      format: 2,
      enrolments: [{ clock, segments: [{ from: start }] }],
      facts: [
        ...(days ? [{ kind: 'days', date: start, ...days }] : []),
        ...(pause ? [{ kind: 'pause', date: start, reason: 'travel', ...pause }] : []),
      ],
      logs: trained.map((day, i) => ({
        date: addDays(start, day),
        position: i + 1,
        sets: [{ slot: `s-${ids[i % 3]}`, n: 1, reps: 5 }],
      })),
    },
    versions,
  )
  if (!file) throw new Error(JSON.stringify(issues))
  const { plans } = planMember({
    library: {},
    member: file.member,
    enrolments: file.enrolments,
    versions,
    when: { today: addDays(start, todayAt), through: 'end' },
  })
  return Object.values(plans).flatMap(({ weeks }) => weeks.flatMap(({ places }) => places))
}
const datesOf = (places: PlannedSession[]) => places.flatMap(({ on }) => (on ? [on.day] : []))

/** Days on which up to five sessions were trained, in order. */
const someDays = fc
  .uniqueArray(fc.integer({ min: 0, max: 12 }), { maxLength: 5 })
  .map((days) => days.sort((a, b) => a - b))

describe('whenever was trained,', () => {
  test('no more days follow each other than the layout says', () =>
    fc.assert(
      fc.property(someDays, fc.integer({ min: 1, max: 6 }), (trained, running) => {
        const before = trained.map((day) => addDays(start, day))
        const dates = [...before, ...datesOf(ahead({ running }, trained))]
        // Days that were trained against it stand; only those to come keep to it.
        dates.forEach((day, i) => {
          if (i < before.length) return
          let run = 1
          while (dates.includes(addDays(day, -run))) run++
          expect(run).toBeLessThanOrEqual(running)
        })
      }),
      { numRuns: 60 },
    ))
  test('a day of rest lies after each session that has one', () =>
    fc.assert(
      fc.property(someDays, fc.subarray([1, 2, 3]), (trained, rest) => {
        fc.pre(rest.length > 0)
        const places = ahead({ rest }, trained)
        places.forEach((place, i) => {
          const [was, is] = [places[i - 1], place.on?.day]
          const before = was?.date ?? was?.on?.day
          if (!was || !is || !before) return
          const gap = daysBetween(before, is)
          expect(gap).toBeGreaterThanOrEqual(rest.includes(ids.indexOf(was.session) + 1) ? 2 : 1)
        })
      }),
      { numRuns: 60 },
    ))
  test('a weekday is kept but by a session that was due before today', () =>
    fc.assert(
      fc.property(someDays, (trained) => {
        const weekdays = [2, 4, 7]
        for (const { on, inWeek } of ahead({ weekdays }, trained))
          if (on && !on.why.some(({ id }) => id === 'layout.overdue'))
            expect(weekdayOf(on.day)).toBe(weekdays[inWeek - 1])
      }),
      { numRuns: 60 },
    ))
})

test('the usual days of the profile go before weekdays, and its most in a row before the layout’s', () => {
  const days = { weekdays: [2, 3, 4, 6], most: 2 }
  // Tuesday 3 and Wednesday 4 March; Thursday would be the third in a row, so Saturday 7.
  expect(datesOf(ahead({ weekdays: [1, 3, 5] }, [], { days })).slice(0, 3)).toEqual([
    '2026-03-03',
    '2026-03-04',
    '2026-03-07',
  ])
})

test('on a calendar a session that its week has no day for has no date', () => {
  const places = ahead({ running: 1 }, [], { clock: 'calendar', todayAt: 3 })
  expect(places.slice(0, 3).map(({ on }) => on?.day)).toEqual(['2026-03-05', '2026-03-07', undefined])
  expect(places[3]?.on?.day).toBe('2026-03-09')
})

test('what is trained the same day comes after it, until the day is over', () => {
  const layout = { weekdays: [1, 1, 4], sameDay: [{ first: 1, hours: 6 }] }
  expect(ahead(layout, [0])[1]?.on).toMatchObject({ day: start, hours: 6 })
  expect(ahead(layout, [0], { todayAt: 1 })[1]?.on).toMatchObject({
    day: '2026-03-03',
    why: [{ id: 'layout.overdue' }],
  })
})

test('no session lies before the program starts, or while it waits for the end of a pause', () => {
  expect(datesOf(ahead({ running: 6 }, [], { todayAt: -5 }))[0]).toBe(start)
  const to = addDays(start, 9)
  expect(datesOf(ahead({ running: 6 }, [0], { pause: { to }, todayAt: 1 }))[0]).toBe(to)
  expect(datesOf(ahead({ running: 6 }, [0], { pause: {}, todayAt: 1 }))).toEqual([])
})
