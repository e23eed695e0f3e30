import { describe, expect, test } from '@jest/globals'
import { planMember, type Plan } from '@young-oak/core/plan'
import { readTemplate, type Template } from '@young-oak/core/template'
import { addDays, makeable, partsFor, type Rack } from '@young-oak/core/units'
import type { Enrolment } from '@young-oak/core/member'
import { exerciseOf } from '@young-oak/core/library'
import { dice } from './dice.ts'
import { beginners, hotel, hotelRacks, racers, racks, rowers, type Person } from './gym.ts'
import { regattaLadder } from './regatta.ts'
import { placeFacts, simulate, startingFacts } from './simulate.ts'
import { estuaryWaves, tidewayBase } from './templates.ts'

const start = '2026-01-05'
const until = addDays(start, 57)
const testDay = addDays(start, 7 * 11 + 5)
const rackOf = (person: Person) => racks.find(({ unit }) => unit === (person.unit ?? 'kg')) as Rack

function trainFor(person: Person, template: Template, weekdays: number[], seed: number) {
  const isRacer = racers.includes(person)
  const own = startingFacts(person, rackOf(person), addDays(start, -3), isRacer ? testDay : undefined)
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
  const plan = planMember({ facts, logs }, [enrolment], { v: template }, { today: until, through: 'end' })
    .plans.e as Plan
  return { logs, plan }
}

describe.each([
  ['Tideway base', tidewayBase, beginners, [0, 2, 4]],
  ['Estuary waves', estuaryWaves, rowers, [0, 1, 3, 4]],
  ['Regatta ladder', regattaLadder, racers, [0, 2, 4]],
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
      for (const { load, exercise, at } of logs.flatMap(({ sets, place: at }) =>
        sets.map((set) => ({ ...set, at })),
      )) {
        const can = makeable(at === hotel.id ? (hotelRacks[0] as Rack) : rackOf(person))
        if (load && exerciseOf({ exercise }).tool === 'barbell' && exercise !== 'romanianDeadlift')
          expect(partsFor(load, can)).not.toBeNull()
      }
    }
  })
  test('has something true to show: hits, misses, absences, and loads that rose', () => {
    const verdicts = all.flatMap(({ plan }) =>
      plan.weeks.flatMap(({ places }) => places.flatMap(({ slots }) => slots.map(({ verdict }) => verdict))),
    )
    expect(verdicts).toEqual(expect.arrayContaining(['hit', 'miss', 'light']))
    const sessions = all.map(({ logs }) => logs.length)
    expect(Math.min(...sessions)).toBeLessThan(Math.max(...sessions))
  })
})
