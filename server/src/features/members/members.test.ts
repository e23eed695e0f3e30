import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { randomUUID } from 'node:crypto'
import { smallTemplate } from '../../testing/template.ts'
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
  await coach
    .post(`/api/templates/${id}/versions`)
    .send({ members: [member.id], start: today, note: '' })
    .expect(200)
}, 120_000)
afterAll(() => world.end())

test('the list shows the gym’s own members, their programs and their attendance', async () => {
  const phone = await world.signIn(member)
  const { enrolments } = (await phone.get(`/api/me/today?today=${today}`)).body
  const operation = (change: object) => ({ id: randomUUID(), ...change })
  const session = `${enrolments[0].id}:1:1`
  const set = {
    slot: 'squat',
    n: 1,
    exercise: 'backSquat',
    state: 'done',
    load: { value: 60, unit: 'kg' },
    reps: 5,
  }
  const start = operation({ kind: 'start', enrolment: enrolments[0].id, position: 1, date: today })
  await phone
    .post('/api/me/operations')
    .send({ operations: [start] })
    .expect(200)
  const before = (await coach.get('/api/members').expect(200)).body.items
  // A session that was started and not trained is no attendance.
  expect(
    before.map(({ name, sessionsIn28Days }: { name: string; sessionsIn28Days: number }) => [
      name,
      sessionsIn28Days,
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
    sessionsIn28Days: 1,
    isMine: true,
  })
  expect(una).toMatchObject({ programs: [], lastSession: null, isMine: false })
})

test('an owner sees attendance and opens nobody’s training data', async () => {
  const owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
  const { body } = await owner.get('/api/members').expect(200)
  expect(Object.keys(body.items[0]).sort()).toEqual([
    'id',
    'isMine',
    'lastSession',
    'name',
    'programs',
    'sessionsIn28Days',
  ])
  await owner.get(`/api/members/${member.id}/file`).expect(403)
})

test('the assigned writer’s file holds what a plan needs, and no address or password', async () => {
  const { body, text } = await coach.get(`/api/members/${member.id}/file`).expect(200)
  expect(Object.keys(body).sort()).toEqual(['enrolments', 'member', 'name', 'templates', 'versions'])
  expect(text).not.toMatch(/@test\.example|argon2/)
})
