import { expect, test } from '@jest/globals'
import { planMember, type PlannedSession } from '../plan/index.ts'
import { sampleMember, type Strength } from '../dryRun/index.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { minutesOf } from './minutes.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const prescribed = (more: object) => ({
  sets: 3,
  goal: { reps: 5 },
  load: { of: 'max', percent: 75 },
  rest: 120,
  ...more,
})
const templateOf = (slots: object, sections: object[], head: object = {}): Template => {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Minutes',
    ...head,
    warmUp: {
      kind: 'listed',
      bar: 10,
      sets: [
        { percent: 40, reps: 5 },
        { percent: 60, reps: 3 },
        { percent: 80, reps: 2 },
      ],
    },
    phases: [{ id: 'p', name: 'P', weeks: 1, rotation: ['a'], perWeek: 1 }],
    sessions: { a: { name: 'A', sections } },
    slots,
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}
const slot = (exercise: string, more: object, own: object = {}) => ({
  exercise,
  ...own,
  rows: { p: [[prescribed(more)]] },
})
const sessionOf = (template: Template, strength: Strength): PlannedSession => {
  const member = sampleMember(library, template, strength, start)
  const enrolment = { id: 'e', segments: [{ from: start, version: 'v' }] }
  const planned = planMember({
    library,
    member,
    enrolments: [enrolment],
    versions: { v: template },
    when: { today: start, through: 'end' },
  })
  return planned.plans.e?.weeks[0]?.places[0] as PlannedSession
}
const minutes = (template: Template, strength: Strength = 'strong') =>
  minutesOf(library, template, 'a', sessionOf(template, strength).slots)

test('a squat of three fives takes its set-up, its ramp, its sets and two of the three rests', () => {
  const template = templateOf({ squat: slot('backSquat', {}) }, [{ name: 'Main', slots: ['squat'] }])
  // Set-up 90 s; four ramp sets of 10, 5, 3 and 2 reps at 3 s with a minute after each: 60 + 240 = 300 s; three sets of 15 s and three
  // rests of 120 s less the last: 45 + 240 = 285 s. 675 s are 11 minutes and a quarter.
  expect(minutes(template)).toBe(11)
})
test('a light member has fewer rungs to climb than a strong one', () => {
  const template = templateOf({ squat: slot('backSquat', {}) }, [{ name: 'Main', slots: ['squat'] }])
  const ramps = (['light', 'strong'] as const).map(
    (strength) => sessionOf(template, strength).slots[0]?.warmUps?.length,
  )
  expect(ramps).toEqual([3, 4])
  expect(minutes(template, 'light')).toBeLessThan(minutes(template, 'strong'))
})
test('what a part states goes before what its exercises would take', () => {
  const template = templateOf(
    { drill: slot('plank', { load: { of: 'none' } }), squat: slot('backSquat', {}) },
    [
      { name: 'Before', minutes: 10, slots: ['drill'] },
      { name: 'Main', slots: ['squat'] },
    ],
  )
  expect(minutes(template)).toBe(21)
})
test.each([
  // Nothing loaded: 20 s of set-up, three sets and two rests of two minutes are 260 s and the time under way.
  ['a slow tempo', { tempo: '4020' }, 260 + 3 * 5 * 6],
  ['each side by itself', { perSide: true }, 260 + 3 * 15 * 2],
  ['holds', { goal: { seconds: 60 } }, 260 + 180],
  ['a round every minute for ten', { sets: 1, goal: { rounds: 10, every: 60 } }, 20 + 600],
  ['400 m at two metres a second', { sets: 1, goal: { distance: 400, unit: 'm' } }, 20 + 200],
])('%s counts', (_, more, seconds) => {
  const template = templateOf({ own: slot('pushUp', { load: { of: 'none' }, ...more }) }, [
    { name: 'Main', slots: ['own'] },
  ])
  expect(minutes(template)).toBe(Math.round(seconds / 60))
})
test('an X in a tempo counts a second, or what the template says', () => {
  const own = { own: slot('pushUp', { load: { of: 'none' }, tempo: '20X0' }) }
  const part = [{ name: 'Main', slots: ['own'] }]
  // 15 reps of 2 + X seconds beside the 260 s: 305 s with a second each, 335 s with three.
  expect(minutes(templateOf(own, part))).toBe(Math.round(305 / 60))
  expect(minutes(templateOf(own, part, { tempoX: 3 }))).toBe(Math.round(335 / 60))
})
test('a superset drops its last rest once, not once an exercise', () => {
  const own = { load: { of: 'none' }, rest: 60 }
  const pair = templateOf(
    { a: slot('pushUp', own, { superset: 'A' }), b: slot('pushUp', own, { superset: 'A' }) },
    [{ name: 'Main', slots: ['a', 'b'] }],
  )
  // Twice 20 s to set up, six sets of 15 s, and a minute after each but the last: 40 + 90 + 300 = 430 s.
  expect(minutes(pair)).toBe(Math.round(430 / 60))
})
test('a circuit takes its cap, or its rounds', () => {
  const line = { id: 'a', sets: 1, lift: { exercise: 'pushUp' }, goal: { reps: 20 }, load: { of: 'none' } }
  const circuit = (own: object) =>
    templateOf({ c: { exercise: 'pushUp', circuit: { name: 'C', ...own }, rows: { p: [[line]] } } }, [
      { name: 'Main', slots: ['c'] },
    ])
  // 90 s to set up; 12 minutes; or five rounds of 20 reps at 3 s.
  expect(minutes(circuit({ by: 'rounds', capSeconds: 720 }))).toBe(14)
  expect(minutes(circuit({ by: 'time', rounds: 5 }))).toBe(7)
})
