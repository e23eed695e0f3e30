import { describe, expect, test } from '@jest/globals'
import { advise, readSignals } from '@young-oak/core/advice'
import { planMember, type Plan } from '@young-oak/core/plan'
import { explain } from '@young-oak/core/explain'
import { readOwnExercises, readTemplate, type Template } from '@young-oak/core/template'
import { addDays, makeable, partsFor, type Rack } from '@young-oak/core/units'
import type { Enrolment } from '@young-oak/core/member'
import { exerciseIds, exerciseOf, type OwnExercise } from '@young-oak/core/library'
import { dice } from './dice.ts'
import { clubExercises } from './exercises.ts'
import { beginners, hotel, hotelRacks, lifters, racers, racks, rowers, type Person } from './gym.ts'
import { lifeOf } from './life.ts'
import { mudflatSets } from './mudflat.ts'
import { regattaLadder } from './regatta.ts'
import { placeFacts, simulate, startingFacts } from './simulate.ts'
import { estuaryWaves, tidewayBase } from './templates.ts'

const start = '2026-01-05'
const until = addDays(start, 57)
const testDay = addDays(start, 7 * 11 + 5)
const rackOf = (person: Person) => racks.find(({ unit }) => unit === (person.unit ?? 'kg')) as Rack

function trainFor(person: Person, template: Template, weekdays: number[], seed: number) {
  const isRacer = racers.includes(person)
  const own = [
    ...startingFacts(person, rackOf(person), addDays(start, -3), isRacer ? testDay : undefined),
    ...lifeOf(person.name, start, until),
  ]
  const facts = [...placeFacts(addDays(start, -30)), ...own]
  const { track } = person
  const enrolment: Enrolment = {
    id: 'e',
    clock: isRacer ? 'calendar' : 'own',
    segments: [{ from: start, version: 'v', ...(track && { track }) }],
  }
  const logs = simulate({
    person,
    facts,
    enrolment,
    version: template,
    start,
    until,
    weekdays,
    dice: dice(seed),
  })
  const member = { facts, logs }
  const planned = planMember({
    library: clubExercises,
    member,
    enrolments: [enrolment],
    versions: { v: template },
    when: { today: until, through: 'end' },
  })
  const advice = advise(
    clubExercises,
    readSignals(member, planned, 'e', template, until),
    template.deloadPolicy,
  )
  return { logs, plan: planned.plans.e as Plan, offers: planned.offers, advice }
}

describe.each([
  ['Tideway base', tidewayBase, beginners, [0, 2, 4]],
  ['Estuary waves', estuaryWaves, rowers, [0, 1, 3, 4]],
  ['Regatta ladder', regattaLadder, racers, [0, 2, 4]],
  ['Mudflat sets', mudflatSets, lifters, [0, 2, 4]],
] as const)('%s', (_, template, people, weekdays) => {
  const { template: read, issues } = readTemplate(template)
  test('reads without faults', () => expect(issues).toBeUndefined())
  const all = people.map((person, i) => ({
    person,
    ...trainFor(person, read as Template, [...weekdays], 11 + i),
  }))

  test('is the same for the same seed', () => {
    const [first] = people
    expect(trainFor(first as Person, read as Template, [...weekdays], 11).logs).toEqual(all[0]?.logs)
  })
  test('asks and logs only barbell loads that the gym can load', () => {
    for (const { person, logs } of all) {
      for (const { load, exercise, at } of logs.flatMap(({ sets, location: at }) =>
        sets.map((set) => ({ ...set, at })),
      )) {
        const can = makeable(at === hotel.id ? (hotelRacks[0] as Rack) : rackOf(person))
        if (
          load &&
          exerciseOf(clubExercises, { exercise }).tool === 'barbell' &&
          exercise !== 'romanianDeadlift'
        )
          expect(partsFor(load, can)).not.toBeNull()
      }
    }
  })
  test('has something true to show: hits, misses, absences, and loads that rose', () => {
    const verdicts = all.flatMap(({ plan }) =>
      plan.weeks.flatMap(({ places }) => places.flatMap(({ slots }) => slots.map(({ verdict }) => verdict))),
    )
    const hasDeload = (read as Template).phases.some(({ deloads }) => deloads.length)
    expect(verdicts).toEqual(expect.arrayContaining(['hit', 'miss', ...(hasDeload ? ['deload'] : [])]))
    const sessions = all.map(({ logs }) => logs.length)
    expect(Math.min(...sessions)).toBeLessThan(Math.max(...sessions))
  })
  test('leads to advice that goes by something, and most are left alone', () => {
    for (const { advice } of all)
      expect(advice.evidence.map(explain).join()).not.toMatch(/undefined|NaN|[{}]/)
    const alone = all.filter(({ advice }) => advice.answer === 'nothing' || advice.answer === 'askAgain')
    expect(alone.length * 2).toBeGreaterThan(all.length * 0.7)
  })
})

describe('somebody in the demo', () => {
  const adviceFor = (
    name: string,
    template: Template,
    people: readonly Person[],
    weekdays: number[],
    seed: number,
  ) => {
    const at = people.findIndex((person) => person.name === name)
    return trainFor(people[at] as Person, readTemplate(template).template as Template, weekdays, seed + at)
  }
  test('who aches and stalls is told to take a deload with lighter bars, and who sleeps badly to sleep first', () => {
    const bram = adviceFor('Bram Oxley', tidewayBase, beginners, [0, 2, 4], 11)
    expect(bram.advice).toMatchObject({ answer: 'deload', suggest: { recipe: 'lessLoad' } })
    expect(adviceFor('Dov Ketch', tidewayBase, beginners, [0, 2, 4], 11).advice.answer).toBe('mendSleep')
  })
  test('on weekly sets has more of them as the weeks go on, ranges that grow, and an offer where a rule was outgrown', () => {
    const all = lifters.map((_, i) =>
      trainFor(lifters[i] as Person, readTemplate(mudflatSets).template as Template, [0, 2, 4], 53 + i),
    )
    const setsOf = (week: number) =>
      all.map(
        ({ plan }) =>
          plan.weeks[week]?.places[0]?.slots[0]?.sets.reduce((sum, { sets }) => sum + sets, 0) ?? 0,
      )
    expect(setsOf(3).some((sets, i) => sets > (setsOf(0)[i] ?? 0))).toBe(true)
    const variants = all.flatMap(({ logs }) => logs.flatMap(({ sets }) => sets.map(({ variant }) => variant)))
    expect(variants).toEqual(expect.arrayContaining(['blocks 20 cm', 'blocks 10 cm']))
    expect(all.flatMap(({ offers }) => offers).length).toBeGreaterThan(0)
  })
})

test('the club’s own exercises are whole, and name exercises that there are', () => {
  const { issues } = readOwnExercises(clubExercises)
  expect(issues).toEqual([])
  for (const { parent, substitutes = [] } of Object.values(clubExercises) as OwnExercise[])
    for (const other of [...substitutes, ...(parent ? [parent.exercise] : [])])
      expect(exerciseIds).toContain(other)
})
