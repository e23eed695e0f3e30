import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
import { randomUUID } from 'node:crypto'
import type { Page } from '@young-oak/api/contracts'
import { addDays } from '@young-oak/core/units'
import { publish } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { sessionAt, startOn } from '../../testing/training.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let gym: string
let writer: Seated
let member: Seated
let coach: Agent
const today = new Date().toISOString().slice(0, 10)
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  writer = await world.addStaff(gym, 'writer', 'Will')
  member = await world.addMember(gym, 'Mel', writer)
  await world.addMember(gym, 'Una')
  await world.addMember(await world.addGym('There'), 'Fay')
  coach = await world.signIn(writer)
  const { id } = (await coach.post('/api/templates').send({ template: smallTemplate() })).body
  await publish(world, coach, id, { members: [member.id], start: today })
}, 120_000)
afterAll(() => world.end())

test('the list shows the gym’s own members, their programs and their attendance', async () => {
  const phone = await world.signIn(member)
  const { enrolments } = (await phone.get(`/api/me/today?today=${today}`)).body
  const operation = (change: object) => ({ id: randomUUID(), ...change })
  const session = sessionAt(enrolments[0].id)
  const set = {
    slot: 'squat',
    n: 1,
    exercise: 'backSquat',
    state: 'done',
    load: { value: 60, unit: 'kg' },
    reps: 5,
  }
  const start = operation(await startOn(phone, today))
  await phone
    .post('/api/me/operations')
    .send({ format: operationFormat, operations: [start] })
    .expect(200)
  const before = (await coach.get('/api/members').expect(200)).body.items
  // A session that was started and not trained is no attendance.
  expect(
    before.map(({ name, sessionsIn4Weeks }: { name: string; sessionsIn4Weeks: number }) => [
      name,
      sessionsIn4Weeks,
    ]),
  ).toEqual([
    ['Mel', 0],
    ['Una', 0],
  ])
  await phone
    .post('/api/me/operations')
    .send({ operations: [operation({ kind: 'set', session, rev: 1, set })] })
    .expect(200)
  const [mel, una] = (await coach.get('/api/members').expect(200)).body.items
  expect(mel).toMatchObject({
    name: 'Mel',
    programs: ['Small'],
    lastSession: today,
    sessionsIn4Weeks: 1,
    isMine: true,
  })
  expect(una).toMatchObject({ programs: [], lastSession: null, isMine: false })
})

test('attendance is that of this week and the three before, from the day on which the gym’s week begins', async () => {
  const session = world.owner('session_log').where({ member_id: member.id })
  const counted = async (): Promise<number> =>
    (await coach.get('/api/members').expect(200)).body.items[0].sessionsIn4Weeks
  const weekday = new Date(`${today}T00:00Z`).getUTCDay()
  for (const [weekStart, first] of [
    ['monday', 1],
    ['saturday', 6],
    ['sunday', 0],
  ] as const) {
    await world.owner('gym').where({ id: gym }).update({ week_start: weekStart })
    const begins = addDays(today, -((weekday - first + 7) % 7) - 21)
    await session.clone().update({ date: begins })
    expect(await counted()).toBe(1)
    await session.clone().update({ date: addDays(begins, -1) })
    expect(await counted()).toBe(0)
  }
  await session.clone().update({ date: today })
})

test('an owner sees attendance and opens nobody’s training data', async () => {
  const owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
  const { body } = await owner.get('/api/members').expect(200)
  expect(Object.keys(body.items[0]).sort()).toEqual([
    'groups',
    'id',
    'isMine',
    'lastSession',
    'name',
    'programs',
    'sessionsIn4Weeks',
    'writers',
  ])
  await owner.get(`/api/members/${member.id}/file`).expect(403)
})

test('the assigned writer’s file holds what a plan needs, and no address or password', async () => {
  const { body, text } = await coach.get(`/api/members/${member.id}/file`).expect(200)
  expect(Object.keys(body).sort()).toEqual(['enrolments', 'member', 'name', 'templates', 'versions'])
  expect(text).not.toMatch(/@test\.example|argon2/)
})

test('a long list comes in pages by name, each line once; so do the maxes of a writer’s members', async () => {
  const crowd = await world.addGym('Crowd')
  const boss = await world.addStaff(crowd, 'writer', 'Bo')
  const accounts = await world
    .owner('account')
    .insert(Array.from({ length: 405 }, (_, i) => ({ email: `crowd-${i}@test.example`, password_hash: 'x' })))
    .returning('id')
  // Several of one name: their ids decide.
  const made = await world
    .owner('member')
    .insert(
      accounts.map(({ id }, i) => ({ gym_id: crowd, account_id: id, name: `Member ${String(i % 40)}` })),
    )
    .returning('id')
  await world
    .owner('assignment')
    .insert(made.map(({ id }) => ({ gym_id: crowd, member_id: id, staff_id: boss.id })))
  const desk = await world.signIn(boss)
  for (const path of ['members?', `maxes?today=${today}`]) {
    const seen: string[] = []
    const sizes: number[] = []
    for (let after: string | null = ''; after !== null;) {
      const { body }: { body: Page<{ id: string }> } = await desk
        .get(`/api/${path}${after && `&after=${after}`}`)
        .expect(200)
      sizes.push(body.items.length)
      seen.push(...body.items.map(({ id }) => id))
      after = body.next
    }
    expect(sizes).toEqual([100, 100, 100, 100, 5])
    expect(new Set(seen).size).toBe(405)
  }
  await desk.get('/api/members?after=nobody').expect(422)

  // Whoever reads all of it may ask for more at once.
  const { body: long } = await desk.get('/api/members?most=300').expect(200)
  expect([long.items.length, long.next]).toEqual([300, long.items.at(-1).id])
  expect((await desk.get('/api/members?most=2000').expect(200)).body.next).toBeNull()
  for (const most of ['0', '2001', 'all']) await desk.get(`/api/members?most=${most}`).expect(422)
})
