import { expect, test } from '@jest/globals'
import { inputOf, planFixture, readFixture } from '../../fixtures/read.ts'
import { sayZones, sharesOf, zoneAt, zoneName, zonesIn, zoneStarts } from './zones.ts'

test('zones follow each other, and where one begins is its own', () => {
  expect(zoneStarts.map((_, zone) => zoneName(zone))).toEqual([
    'below 60%',
    '60-70%',
    '70-80%',
    '80-90%',
    '90% and above',
  ])
  expect([0, 59.99, 60, 79.9999, 80, 100, 130].map(zoneAt)).toEqual([0, 0, 1, 2, 3, 4, 4])
})

// By hand: 3 × 5 at 127.5 of 160 kg is 79.7%, 4 × 5 at 90 of 120 kg is 75%, 2 × 10 at 47.5 of 110 kg is 43.2%; the curl's 3 × 8 has no max. In week 5 the front
// squat's 80 of 120 kg is 66.7% and the deadlift's 115 of 160 kg 71.9%.
test('reps are counted by what percent of its lift’s max each set is', () => {
  const fixture = readFixture('earlier-loads-and-shares-of-other-lifts')
  const { library, versions, when } = inputOf(fixture)
  const { plans, evidence } = planFixture(fixture)
  const [plan] = Object.values(plans)
  const of = {
    library,
    evidence,
    maxes: versions.template?.maxes ?? { use: 'newest' as const },
    day: when.today,
  }
  if (!plan) throw new Error('no plan')
  const seen = (phaseWeek: number) => zonesIn(of, plan, { phase: 'p', phaseWeek })
  expect(seen(1).week).toEqual({ reps: [20, 0, 35, 0, 0], unknown: 24 })
  expect(seen(5).week).toEqual({ reps: [20, 20, 15, 0, 0], unknown: 24 })
  expect(seen(1).days).toEqual([{ inWeek: 1, name: 'Session A', zones: seen(1).week }])
  expect(seen(1).phase).toEqual({ reps: [120, 20, 190, 0, 0], unknown: 144 })
  expect(sharesOf(seen(5).week)).toEqual([36, 36, 27, 0, 0])
  expect(sayZones(seen(1).week)).toBe(
    'below 60% 20 reps (36%), 70-80% 35 reps (64%), no known percent 24 reps',
  )
})

test('without reps there are no shares', () => {
  const none = { reps: [0, 0, 0, 0, 0], unknown: 0 }
  expect([sharesOf(none), sayZones(none)]).toEqual([null, 'no reps'])
})
