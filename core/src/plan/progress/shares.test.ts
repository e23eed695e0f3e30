// A muscle's week over the slots of a week: twelve sets of quads at a cap of six, dealt out by hand (squat counts three, front squat two).
import { expect, test } from '@jest/globals'
import type { Fact } from '../../facts/index.ts'
import { readTemplate, type Template } from '../../template/index.ts'
import { planMember } from '../planMember.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const slot = (exercise: string, role: string) => ({
  exercise,
  uses: [{ progression: 'quads', role }],
  rows: { p: [[{ sets: 3, goal: { reps: 8 }, load: { of: 'free' } }]] },
})
const track = (kind: object) => ({ name: 'T', changes: [{ id: 'c', do: kind, where: {} }] })
const { template } = readTemplate({
  format: 2,
  name: 'Quads',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a', 'b', 'c'], perWeek: 3 }],
  sessions: Object.fromEntries(
    ['a', 'b', 'c'].map((id) => [id, { name: id, sections: [{ name: 'Main', slots: [`${id}-slot`] }] }]),
  ),
  slots: {
    'a-slot': slot('backSquat', 'first'),
    'b-slot': slot('frontSquat', 'second'),
    'c-slot': slot('legPress', 'last'),
  },
  progressions: {
    quads: {
      stages: [
        {
          id: 'one',
          rule: 'muscleWeek',
          params: { muscle: 'quads', first: 12, most: 16, add: 0, weeks: 4, lowerWeek: 60, cap: 6 },
        },
      ],
    },
  },
  tracks: {
    two: track({ kind: 'rotation', rotation: ['a', 'b'], perWeek: 2 }),
    without: { name: 'W', changes: [{ id: 'c', do: { kind: 'drop' }, where: { slots: ['c-slot'] } }] },
  },
})

function setsOf(on?: string, facts: Fact[] = []): number[] {
  const segment = { from: start, version: 'v', ...(on && { track: on }) }
  const enrolments = [{ id: 'e', segments: [segment] }]
  const when = { today: start, through: 'end' } as const
  const { plans } = planMember({
    library,
    member: { facts, logs: [] },
    enrolments,
    versions: { v: template as Template },
    when,
  })
  return (plans.e?.weeks[0]?.places ?? []).flatMap(({ slots }) =>
    slots.map(({ sets: prescriptions }) => prescriptions[0]?.sets ?? 0),
  )
}

test('three days share them as six, four and two', () => expect(setsOf()).toEqual([6, 4, 2]))
test('two days share the same twelve, as do two slots where a track leaves one out', () => {
  expect(setsOf('two')).toEqual([6, 6])
  expect(setsOf('without')).toEqual([6, 6])
})
test('the member’s own limit goes before what is meant', () => {
  const mostSets: Fact = {
    id: 'c',
    rev: 1,
    date: start,
    actsFrom: start,
    kind: 'mostSets',
    muscle: 'quads',
    sets: 6,
  }
  expect(setsOf(undefined, [mostSets])).toEqual([3, 2, 1])
  expect(setsOf(undefined, [mostSets, { ...mostSets, id: 'd', sets: null }])).toEqual([6, 4, 2])
})
