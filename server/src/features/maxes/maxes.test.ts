import { afterAll, beforeAll, expect, test } from '@jest/globals'
import type { Page } from '@young-oak/api/contracts'
import type { MaxesView, MaxTableLine } from '@young-oak/api/maxes'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let mel: Seated
let una: Seated
let coach: Agent
let other: Agent
let phone: Agent
const today = '2026-03-10'
beforeAll(async () => {
  world = await makeWorld()
  const gym = await world.addGym('Here')
  const writer = await world.addStaff(gym, 'writer', 'Will')
  mel = await world.addMember(gym, 'Mel', writer)
  una = await world.addMember(gym, 'Una', writer)
  coach = await world.signIn(writer)
  other = await world.signIn(await world.addStaff(gym, 'writer', 'Wilma'))
  phone = await world.signIn(mel)
}, 120_000)
afterAll(() => world.end())

const squat = (value: number, more: object = {}) => ({
  exercise: 'backSquat',
  load: { value, unit: 'kg' },
  reps: 1,
  formula: 'epley',
  date: '2026-03-02',
  ...more,
})
const table = async (): Promise<Page<MaxTableLine>> =>
  (await coach.get(`/api/maxes?today=${today}`).expect(200)).body
const maxesOf = async (agent: Agent, path: string): Promise<MaxesView> =>
  (await agent.get(`${path}/maxes?today=${today}`).expect(200)).body

test('a writer reads and gives maxes of the members assigned to them, and of nobody else', async () => {
  const given = { ...squat(100), today }
  await coach.post(`/api/members/${mel.id}/maxes`).send(given).expect(200)
  expect((await maxesOf(phone, '/api/me')).maxes).toMatchObject([
    { exercise: 'backSquat', load: { value: 100 } },
  ])
  expect(await maxesOf(coach, `/api/members/${mel.id}`)).toEqual(await maxesOf(phone, '/api/me'))
  await other.get(`/api/members/${mel.id}/maxes?today=${today}`).expect(403)
  await other.post(`/api/members/${mel.id}/maxes`).send(given).expect(403)
  await other
    .post('/api/maxes')
    .send({ rows: [{ ...squat(90), member: mel.id }], today })
    .expect(403)
  expect((await other.get(`/api/maxes?today=${today}`).expect(200)).body).toEqual({ items: [], next: null })
})

test('lines of a sheet are stored once, however often it is brought in', async () => {
  const rows = [
    { ...squat(80), member: una.id },
    { ...squat(60, { exercise: 'benchPress', reps: 5, rir: 1 }), member: una.id },
  ]
  const send = async () => (await coach.post('/api/maxes').send({ rows, today }).expect(200)).body
  expect(await send()).toEqual({ stored: 2, known: 0 })
  expect(await send()).toEqual({ stored: 0, known: 2 })
  const own = (await table()).items.find(({ name }) => name === 'Una')
  // 60 × 5 with one left by Epley: 60 × 1.2 = 72.
  expect(own?.maxes.map(({ exercise, load }) => [exercise, load.value])).toEqual([
    ['backSquat', 80],
    ['benchPress', 72],
  ])
  expect(own?.known).toHaveLength(2)
})

test('of two lines on one day the later is the later word', async () => {
  const rows = [squat(81, { date: '2026-03-05' }), squat(83, { date: '2026-03-05' })].map((row) => ({
    ...row,
    member: una.id,
  }))
  await coach.post('/api/maxes').send({ rows, today }).expect(200)
  expect((await table()).items.find(({ name }) => name === 'Una')?.maxes[0]?.load.value).toBe(83)
})

test.each([
  ['no load on the bar', squat(0), 'rows[0].load.value'],
  ['a day that does not exist', squat(100, { date: '2026-02-30' }), 'rows[0].date'],
  ['six left', squat(100, { rir: 6 }), 'rows[0].rir'],
])('refuses a sheet with %s, whole', async (_, row, path) => {
  const rows = [squat(101, { date: '2026-03-06' }), row].map((one) => ({ ...one, member: una.id })).reverse()
  const answer = await coach.post('/api/maxes').send({ rows, today }).expect(422)
  expect(answer.body.errors[0].path).toBe(path)
  expect(
    (await table()).items.find(({ name }) => name === 'Una')?.known.some(({ load }) => load.value === 101),
  ).toBe(false)
})

test('a body weight is the member’s and the writer’s, and body-weight lifts stand on it', async () => {
  await coach
    .post(`/api/members/${mel.id}/body-weight`)
    .send({ load: { value: 80, unit: 'kg' }, date: '2026-03-01', today })
    .expect(200)
  await other
    .post(`/api/members/${mel.id}/body-weight`)
    .send({ load: { value: 80, unit: 'kg' }, date: '2026-03-01', today })
    .expect(403)
  const pullUp = squat(15, { exercise: 'pullUp', help: true, today })
  const view: MaxesView = (await phone.post('/api/me/maxes').send(pullUp).expect(200)).body
  expect(view.maxes.find(({ exercise }) => exercise === 'pullUp')?.load.value).toBe(65)
  const tooMuch = squat(85, { exercise: 'pullUp', help: true, today })
  const answer = await phone.post('/api/me/maxes').send(tooMuch).expect(422)
  expect(answer.body.errors).toEqual([
    { path: 'load.value', message: 'That is more help than the body weighs (80 kg).' },
  ])
  await phone
    .post('/api/me/maxes')
    .send(squat(10, { help: true, today }))
    .expect(422)
})
