import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { ImpactLine, Publish, PublishedTo } from '@young-oak/api/publications'
import type { TodayView } from '@young-oak/api/training'
import { formatSetsShown } from '@young-oak/core/views'
import { addDays, weekdayOf } from '@young-oak/core/units'
import { publish as publishBack, publishing } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { sendOperations, sessionAt, squatSet, startOn } from '../../testing/training.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let coach: Agent
let template: string
let today: string
let monday: string
const people: Record<string, Seated> = {}
const phones: Record<string, Agent> = {}
// Ada trains on Tuesdays and Fridays, Bo on Mondays, Cy has said nothing.
beforeAll(async () => {
  world = await makeWorld()
  const gym = await world.addGym('Here')
  const writer = await world.addStaff(gym, 'writer', 'Will')
  coach = await world.signIn(writer)
  template = await add('First')
  const { rows } = await world.owner.raw(`select (now() at time zone 'Europe/London')::date as today`)
  today = rows[0].today
  monday = addDays(today, 8 - weekdayOf(today))
  for (const name of ['Ada', 'Bo', 'Cy']) {
    people[name] = await world.addMember(gym, name, writer)
    phones[name] = await world.signIn(people[name])
  }
  await tell('Ada', { kind: 'days', weekdays: [2, 5] })
  await tell('Bo', { kind: 'days', weekdays: [1] })
}, 120_000)
afterAll(() => world.end())

const add = async (name: string): Promise<string> =>
  (
    await coach
      .post('/api/templates')
      .send({ template: { ...smallTemplate(), name } })
      .expect(200)
  ).body.id
const tell = (name: string, fact: object) =>
  phones[name]?.post('/api/me/facts').send({ fact, today }).expect(200)
const idOf = (name: string): string => people[name]?.id ?? ''
const all = () => Object.values(people).map(({ id }) => id)
const publish = (change: Partial<Publish> = {}) =>
  publishBack(world, coach, template, {
    members: all(),
    start: monday,
    again: true,
    others: 'replace',
    ...change,
  })
const todayOf = async (name: string, on: string): Promise<TodayView> =>
  ((await phones[name]?.get(`/api/me/today?today=${on}`).expect(200)) as { body: TodayView }).body
const startsOf = async (id: string): Promise<string[]> => {
  const { body } = await coach.get(`/api/publications/${id}/members`).expect(200)
  return (body.items as PublishedTo[]).map(({ name, start }) => `${name} ${start}`)
}

describe('a first day of each member’s own', () => {
  test('is the first weekday that they usually train on, one given by hand, or the start date', async () => {
    const usual = await publish({ onUsualDay: true })
    expect(await startsOf(usual.id)).toEqual([`Ada ${addDays(monday, 1)}`, `Bo ${monday}`, `Cy ${monday}`])
    const byHand = await publish({
      onUsualDay: true,
      ownStarts: [
        { member: idOf('Ada'), start: addDays(monday, 3) },
        { member: idOf('Cy'), start: addDays(monday, 9) },
      ],
    })
    expect(await startsOf(byHand.id)).toEqual([
      `Ada ${addDays(monday, 3)}`,
      `Bo ${monday}`,
      `Cy ${addDays(monday, 9)}`,
    ])
  })

  test('is the first day of their program, and the day on which what was before it ends', async () => {
    await publish({ start: today })
    await publish({ ownStarts: [{ member: idOf('Cy'), start: addDays(monday, 9) }] })
    const startOf = async (name: string, on: string) =>
      (await todayOf(name, on)).programs.map(({ plan }) => plan.start)
    expect(await startOf('Bo', addDays(monday, 8))).toEqual([monday])
    // What is to come stands beside it.
    expect(await startOf('Cy', addDays(monday, 8))).toEqual([today, addDays(monday, 9)])
    expect(await startOf('Cy', addDays(monday, 9))).toEqual([addDays(monday, 9)])
  })

  test('that lies ahead comes to nothing where the program is started over before it', async () => {
    const onIt = async () =>
      (await world.owner('current_enrolment').where({ member_id: idOf('Cy') })).map((one) => one.starts_on)
    await publish({ start: today, ownStarts: [{ member: idOf('Cy'), start: addDays(monday, 9) }] })
    await publish({ start: today, ownStarts: [{ member: idOf('Cy'), start: addDays(monday, 9) }] })
    await publish({ start: today })
    expect((await todayOf('Cy', today)).programs.map(({ plan }) => plan.start)).toEqual([today])
    expect(await onIt()).toEqual([today])
  })

  test('is refused for a member who is not chosen, twice for one, and more than two years away', async () => {
    const send = async (ownStarts: NonNullable<Publish['ownStarts']>, members = all()) =>
      coach
        .post(`/api/templates/${template}/publications`)
        .send({ ...(await publishing(coach, template, { members, start: monday })), ownStarts })
    const own = { member: idOf('Ada'), start: monday }
    const codes = await Promise.all([
      send([own], [idOf('Bo')]),
      send([own, own]),
      send([{ ...own, start: '9999-01-01' }]),
      send([{ ...own, start: 'soon' }]),
    ])
    expect(codes.map(({ body }) => [body.code, body.errors[0].path])).toEqual([
      ['notPossible', 'ownStarts[0].member'],
      ['notPossible', 'ownStarts[1].member'],
      ['startsTooFar', 'ownStarts[0].start'],
      ['notAsExpected', 'ownStarts[0].start'],
    ])
  })
})

describe('running loads', () => {
  test('are carried into another program where the writer says so, as the look has it', async () => {
    await publish({ start: addDays(today, -10), members: [idOf('Bo')] })
    const phone = phones.Bo as Agent
    for (const [position, ago, kg] of [
      [1, 10, 60],
      [2, 8, 62.5],
    ] as const) {
      const start = await startOn(phone, addDays(today, -ago), position)
      const session = sessionAt(start.enrolment, position)
      const sets = [1, 2].map((n) => squatSet(session, n, kg))
      await sendOperations(phone, [start, ...sets, { kind: 'close', session }])
    }
    const other = await add('Second')
    const asked = { members: [idOf('Bo')], start: today, others: 'replace' as const }
    const squat = async () => {
      const slots = (await todayOf('Bo', today)).programs[0]?.plan.weeks[0]?.places[0]?.slots
      return formatSetsShown({}, slots?.[0]?.sets ?? [])
    }
    const look = await publishing(coach, other, { ...asked, carry: true })
    const { body: looked } = await coach.post(`/api/templates/${other}/looks`).send(look).expect(200)
    const { body: page } = await coach.get(`/api/looks/${looked.id}/members?kind=starts`).expect(200)
    const line = (page.items as ImpactLine[])[0]?.impact.lines.find(
      ({ lift }) => lift.exercise === 'backSquat',
    )
    expect(line?.after).toContain('62.5 kg')
    await publishBack(world, coach, other, { ...asked, carry: true })
    expect(await squat()).toBe('2 × 5 @ 62.5 kg')
  })
})
