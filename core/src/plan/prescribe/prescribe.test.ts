import { describe, expect, test } from '@jest/globals'
import { planMember } from '../planMember.ts'
import { snapshot } from '../snapshot.ts'
import type { Plan } from '../types.ts'
import { explain } from '../../explain/index.ts'
import type { Fact, Member } from '../../facts/index.ts'
import { readTemplate, type Template } from '../../template/index.ts'
import type { Load, Rack } from '../../units/index.ts'
import { formatSetsShown } from '../../views/index.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const kg = (value: number): Load => ({ value, unit: 'kg' })
const day = '2026-03-02'
const max = (exercise: 'backSquat' | 'benchPress' | 'dumbbellRow', load: Load, date = day): Fact => ({
  id: `${exercise}:${date}`,
  rev: 1,
  date,
  actsFrom: date,
  kind: 'max',
  exercise,
  load,
  reps: 1,
  how: 'tested',
})
const gym = (place: string, racks: Rack[], change: object = {}): Fact => ({
  id: `gym:${place}`,
  rev: 1,
  date: day,
  actsFrom: day,
  kind: 'equipment',
  location: place,
  racks,
  ...change,
})
const set = (percent: number, change: object = {}) => ({
  sets: 4,
  goal: { reps: 5 },
  load: { of: 'max', percent },
  ...change,
})

/** A template of one session a week whose two slots read the given prescriptions, over three weeks. */
function template(change: object = {}, phase: object = {}): Template {
  const { template: read, issues } = readTemplate({
    format: 2,
    name: 'Three weeks',
    phases: [{ id: 'p', name: 'Block', weeks: 3, rotation: ['d'], perWeek: 1, ...phase }],
    sessions: { d: { name: 'Day', sections: [{ name: 'Main', slots: ['squat', 'bench'] }] } },
    slots: {
      squat: { exercise: 'backSquat', rows: { p: [[set(80)]] } },
      bench: { exercise: 'benchPress', rows: { p: [[set(70)]] } },
    },
    ...change,
  })
  if (!read) throw new Error(JSON.stringify(issues))
  return read
}
function plan(of: Template, facts: Fact[], logs: Member['logs'] = [], today = day): Plan {
  const enrolment = { id: 'e', segments: [{ from: day, version: 'v' }] }
  return planMember({
    library,
    member: { facts, logs },
    enrolments: [enrolment],
    versions: { v: of },
    when: { today, through: 'end' },
  }).plans.e as Plan
}
const line = (made: Plan, week: number, slot = 0) =>
  formatSetsShown(library, made.weeks[week - 1]?.places[0]?.slots[slot]?.sets ?? [])
const why = (made: Plan, week: number, slot = 0) =>
  (made.weeks[week - 1]?.places[0]?.slots[slot]?.sets[0]?.why ?? []).map(explain)
const both = [max('backSquat', kg(100)), max('benchPress', kg(100))]

test('a slot that a member swaps for one that is not loaded asks for reps alone, and for no max', () => {
  const swap: Fact = {
    id: 'swap',
    rev: 1,
    date: day,
    actsFrom: day,
    kind: 'adjust',
    adjustment: { id: 's', do: { kind: 'swap', exercise: 'pushUp' }, where: { slots: ['bench'] } },
  }
  const made = plan(template(), [...both, swap])
  expect(line(made, 1, 1)).toBe('4 × 5')
  expect(made.weeks[0]?.places[0]?.slots[1]).toMatchObject({ exercise: 'pushUp', needs: [] })
})

describe('a deload', () => {
  const deload = (where: object, change: object = { kind: 'scaleLoad', by: -15 }) =>
    template({}, { deloads: [{ id: 'l', do: change, where: { weeks: [2], ...where } }] })
  test('touches its weeks alone, and rounds to the nearest, ties down', () => {
    const made = plan(deload({}), both)
    // 80% of 100 by −15% is 68, nearest 67.5; 70% by −15% is 59.5, nearest 60.
    expect([1, 2, 3].map((week) => line(made, week))).toEqual([
      '4 × 5 @ 80 kg',
      '4 × 5 @ 67.5 kg',
      '4 × 5 @ 80 kg',
    ])
    expect(line(made, 2, 1)).toBe('4 × 5 @ 60 kg')
    expect(made.weeks.map((week) => week.deload)).toEqual([false, true, false])
  })
  test.each<[string, object, string, string]>([
    ['a slot', { slots: ['squat'] }, '4 × 5 @ 67.5 kg', '4 × 5 @ 70 kg'],
    ['a lift', { lifts: [{ exercise: 'benchPress' }] }, '4 × 5 @ 80 kg', '4 × 5 @ 60 kg'],
    ['a session', { sessions: ['d'] }, '4 × 5 @ 67.5 kg', '4 × 5 @ 60 kg'],
  ])('can be partial: only %s', (_, where, squat, bench) => {
    const made = plan(deload(where), both)
    expect([line(made, 2), line(made, 2, 1)]).toEqual([squat, bench])
    expect(made.weeks[1]?.places[0]?.slots.map((slot) => slot.deload)).toEqual([
      squat !== '4 × 5 @ 80 kg',
      bench !== '4 × 5 @ 70 kg',
    ])
  })
  // Points are not percent: 80% by −10 points is 70 kg; 80 kg by −10% is 72 kg (arithmetic).
  test('tells points from percent', () => {
    expect(line(plan(deload({}, { kind: 'points', by: -10 }), both), 2)).toBe('4 × 5 @ 70 kg')
    expect(line(plan(deload({}, { kind: 'scaleLoad', by: -10 }), both), 2)).toBe('4 × 5 @ 72.5 kg')
    const fine = [
      ...both,
      gym('home', [
        {
          unit: 'kg',
          bar: 20,
          plates: [
            { weight: 20, pairs: 2 },
            { weight: 5, pairs: 1 },
            { weight: 1, pairs: 1 },
          ],
        },
      ]),
    ]
    expect(line(plan(deload({}, { kind: 'scaleLoad', by: -10 }), fine), 2)).toBe('4 × 5 @ 72 kg')
  })
  test('rounds a tie down, unless the template says otherwise', () => {
    // 70 by −12.5% is 61.25, as far from 60 as from 62.5.
    const tie = deload({ slots: ['bench'] }, { kind: 'scaleLoad', by: -12.5 })
    expect(line(plan(tie, both), 2, 1)).toBe('4 × 5 @ 60 kg')
    const asked = { ...tie, deloadRounding: 'nearest' as const }
    expect(line(plan(asked, both), 2, 1)).toBe('4 × 5 @ 62.5 kg')
  })
  test('applies several changes in their order and says each', () => {
    const of = template(
      {},
      {
        deloads: [
          { id: 'a', do: { kind: 'scaleSets', by: -50, round: 'up' }, where: { weeks: [2] } },
          { id: 'b', do: { kind: 'scaleLoad', by: -10 }, where: { weeks: [2] } },
        ],
      },
    )
    expect(line(plan(of, both), 2)).toBe('2 × 5 @ 72.5 kg')
    expect(why(plan(of, both), 2)).toEqual(
      expect.arrayContaining([
        'deload: 2 sets instead of 4',
        'deload: load −10%',
        '72 kg, nearest that can be loaded, ties down: 72.5 kg',
      ]),
    )
  })
})

describe('what can be loaded', () => {
  test('is the empty bar at the least, and it is said', () => {
    const made = plan(
      template({
        slots: {
          squat: { exercise: 'backSquat', rows: { p: [[set(10)]] } },
          bench: { exercise: 'benchPress', rows: { p: [[set(70)]] } },
        },
      }),
      both,
    )
    expect(line(made, 1)).toBe('4 × 5 @ 20 kg')
    expect(why(made, 1).slice(-2)).toEqual([
      '10 kg is below the lightest load here: 20 kg',
      '20 kg bar, no plates',
    ])
  })
  test('is all the plates at the most, which proves neither a step nor a miss', () => {
    const few = gym('home', [{ unit: 'kg', bar: 20, plates: [{ weight: 20, pairs: 1 }] }])
    const made = plan(template(), [...both, few])
    expect(line(made, 1)).toBe('4 × 5 @ 60 kg')
    expect(made.weeks[0]?.places[0]?.slots[0]?.sets[0]?.short).toBe(true)
    expect(why(made, 1)).toContain('80 kg is above the heaviest load here: 60 kg')
  })
  test('goes the way the writer chose', () => {
    const at = (rounding: string) =>
      line(
        plan(
          template({
            rounding,
            slots: {
              squat: { exercise: 'backSquat', rows: { p: [[set(78)]] } },
              bench: { exercise: 'benchPress', rows: { p: [[set(70)]] } },
            },
          }),
          both,
        ),
        1,
      )
    expect(['nearest', 'down', 'up'].map(at)).toEqual(['4 × 5 @ 77.5 kg', '4 × 5 @ 77.5 kg', '4 × 5 @ 80 kg'])
  })
  test('of dumbbells are those that are there, per hand', () => {
    const rows = template({
      slots: {
        squat: { exercise: 'dumbbellRow', rows: { p: [[set(80)]] } },
        bench: { exercise: 'benchPress', rows: { p: [[set(70)]] } },
      },
    })
    const rack = gym('home', [], { fixed: [{ tool: 'dumbbells', unit: 'kg', loads: [10, 15, 22.5, 30] }] })
    expect(line(plan(rows, [...both, max('dumbbellRow', kg(30)), rack]), 1)).toBe('4 × 5 @ 22.5 kg')
  })
  test('is in the unit of the plates where the place has none in the member’s', () => {
    const pounds: Fact = { id: 'u', rev: 1, date: day, actsFrom: day, kind: 'unit', unit: 'lb' }
    const onlyKilos = gym('home', [{ unit: 'kg', bar: 20, plates: [{ weight: 10, pairs: 4 }] }])
    const made = plan(template(), [
      max('backSquat', { value: 220, unit: 'lb' }),
      max('benchPress', kg(100)),
      pounds,
      onlyKilos,
    ])
    // 220 lb is 99.7903 kg; 80% is 79.8322, nearest on 20 kg steps 80.
    expect(line(made, 1)).toBe('4 × 5 @ 80 kg')
    expect(why(made, 1)).toContain('176 lb is 79.8 kg in the unit of the plates')
  })
})

describe('maxes and versions', () => {
  test('a new max acts from the next session; what was shown before it stands', () => {
    const of = template()
    const first = plan(of, both)
    const shown = snapshot(first, 1) ?? undefined
    const sets = [1, 2, 3, 4].map((n) => ({
      id: `e:1:1:squat:${n}`,
      rev: 1,
      slot: 'squat',
      n,
      exercise: 'backSquat' as const,
      state: 'done' as const,
      load: kg(80),
      reps: 5,
    }))
    const log = {
      id: 'e:1:1',
      rev: 1,
      date: day,
      enrolment: 'e',
      position: 1,
      attempt: 1,
      ordinal: 1,
      closed: true,
      shown,
      sets,
    }
    const made = plan(of, [...both, max('backSquat', kg(120), '2026-03-03')], [log], '2026-03-04')
    expect([line(made, 1), line(made, 2)]).toEqual(['4 × 5 @ 80 kg', '4 × 5 @ 95 kg'])
    expect(made.weeks[0]?.places[0]?.slots[0]?.verdict).toBe('hit')
  })

  test('two programs read one max history', () => {
    const enrolments = ['e', 'f'].map((id) => ({ id, segments: [{ from: day, version: 'v' }] }))
    const { plans } = planMember({
      library,
      member: { facts: both, logs: [] },
      enrolments,
      versions: { v: template() },
      when: { today: day, through: 'near' },
    })
    expect(Object.values(plans).map((made) => line(made, 1))).toEqual(['4 × 5 @ 80 kg', '4 × 5 @ 80 kg'])
  })

  test('a new version is read from the day of its segment', () => {
    const heavier = template({
      slots: {
        squat: { exercise: 'backSquat', rows: { p: [[set(90)]] } },
        bench: { exercise: 'benchPress', rows: { p: [[set(70)]] } },
      },
    })
    const enrolment = {
      id: 'e',
      segments: [
        { from: day, version: 'v' },
        { from: '2026-03-09', version: 'w' },
      ],
    }
    const on = (today: string) =>
      planMember({
        library,
        member: { facts: both, logs: [] },
        enrolments: [enrolment],
        versions: { v: template(), w: heavier },
        when: { today, through: 'near' },
      }).plans.e as Plan
    expect([line(on('2026-03-08'), 1), line(on('2026-03-09'), 1)]).toEqual(['4 × 5 @ 80 kg', '4 × 5 @ 90 kg'])
  })

  test('a near plan is the week that is running and the one after', () => {
    const enrolment = { id: 'e', segments: [{ from: day, version: 'v' }] }
    const { plans } = planMember({
      library,
      member: { facts: both, logs: [] },
      enrolments: [enrolment],
      versions: { v: template() },
      when: { today: day, through: 'near' },
    })
    expect(plans.e?.weeks.map(({ week }) => week)).toEqual([1, 2])
    expect(plans.e?.lastWeek).toBe(3)
  })
})

test('where the next session is trained sets the plates of that session alone', () => {
  const squat = {
    exercise: 'backSquat',
    rows: { p: [[{ sets: 3, goal: { reps: 5 }, load: { of: 'max', percent: 75 } }]] },
  }
  const { template } = readTemplate({
    format: 2,
    name: 'Away',
    phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 }],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: { squat },
  })
  const entry = { rev: 1, date: '2026-03-01', actsFrom: '2026-03-01' }
  const rack = { unit: 'kg' as const, bar: 20, plates: [{ weight: 15, pairs: 1 }] }
  const facts: Fact[] = [
    {
      ...entry,
      id: 'm',
      kind: 'max',
      exercise: 'backSquat',
      load: { value: 100, unit: 'kg' },
      reps: 1,
      how: 'tested',
    },
    { ...entry, id: 'h', kind: 'equipment', location: 'hotel', racks: [rack] },
  ]
  const enrolment = { id: 'e', segments: [{ from: '2026-03-02', version: 'v' }] }
  const loads = (at?: string) =>
    planMember({
      library,
      member: { facts, logs: [] },
      enrolments: [enrolment],
      versions: { v: template as Template },
      when: { today: '2026-03-02', through: 'end', at },
    }).plans.e?.weeks.map(({ places }) => places[0]?.slots[0]?.sets[0]?.load?.value)
  expect([loads(), loads('hotel')]).toEqual([
    [75, 75],
    [50, 75],
  ])
})
