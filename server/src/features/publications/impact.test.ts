import { afterAll, beforeAll, expect, test } from '@jest/globals'
import type { ImpactLine, ImpactView, Publish } from '@young-oak/api/publications'
import type { Command } from '@young-oak/core/template'
import { openPlanners, type Planners } from '../../planning/planners.ts'
import { edit } from '../../testing/draft.ts'
import { publish, publishing } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'
import { runLook } from './impact.ts'

let world: World
let gym: string
let coach: Agent
let writer: Seated
let template: string
let mel: Seated
let una: Seated
let ola: Seated
let today: string
// Three members: Mel runs the template and has a bench max of 100; Una has no max; Ola is on another program.
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  writer = await world.addStaff(gym, 'writer', 'Will')
  coach = await world.signIn(writer)
  const add = async (name: string): Promise<string> =>
    (
      await coach
        .post('/api/templates')
        .send({ template: { ...smallTemplate(), name } })
        .expect(200)
    ).body.id
  template = await add('Small')
  const other = await add('Other')
  mel = await world.addMember(gym, 'Mel', writer)
  una = await world.addMember(gym, 'Una', writer)
  ola = await world.addMember(gym, 'Ola', writer)
  const { rows } = await world.owner.raw(`select (now() at time zone 'Europe/London')::date as today`)
  today = rows[0].today
  await publish(world, coach, template, { members: [mel.id], start: today })
  await publish(world, coach, other, { members: [ola.id], start: today })
  await bench(await world.signIn(mel), 100)
}, 120_000)
afterAll(() => world.end())

const bench = (phone: Agent, value: number) =>
  phone
    .post('/api/me/maxes')
    .send({
      exercise: 'benchPress',
      load: { value, unit: 'kg' },
      reps: 1,
      formula: 'epley',
      date: today,
      today,
    })
    .expect(200)
const look = async (change: Partial<Publish> = {}, by = coach): Promise<ImpactView> => {
  const asked = await publishing(coach, template, {
    members: [mel, una, ola].map(({ id }) => id),
    start: today,
    ...change,
  })
  return (await by.post(`/api/templates/${template}/looks`).send(asked).expect(200)).body
}
const namesOf = async (id: string, kind: string): Promise<string[]> =>
  (await coach.get(`/api/looks/${id}/members?kind=${kind}`).expect(200)).body.items.map(
    ({ name }: ImpactLine) => name,
  )
const percent = (from: number, to: number): Command => ({
  do: 'setCell',
  slot: 'bench',
  phase: 'p',
  row: 0,
  prescription: 'a',
  field: 'load',
  from: { of: 'max', percent: from },
  to: { of: 'max', percent: to },
})

test('a draft that asks the same moves nobody who has it, and says who starts, lacks a max or goes on beside another', async () => {
  const { kinds, ...rest } = await look({ begins: 'session' })
  expect(rest).toMatchObject({ state: 'done', members: 3, looked: 3, hasMoved: false })
  expect(kinds).toEqual([
    { kind: 'needs', members: 2 },
    { kind: 'findings', members: 1 },
    { kind: 'beside', members: 1 },
    { kind: 'starts', members: 2 },
    { kind: 'same', members: 1 },
  ])
  expect(await namesOf(rest.id, 'needs')).toEqual(['Ola', 'Una'])
  // Nobody has said what Una loads: of Ola that was known before.
  expect(await namesOf(rest.id, 'findings')).toEqual(['Una'])
  expect(await namesOf(rest.id, 'beside')).toEqual(['Ola'])
  const replacing = await look({ begins: 'session', others: 'replace' })
  expect(replacing.kinds).toContainEqual({ kind: 'ends', members: 1 })
  expect(replacing.kinds.some(({ kind }) => kind === 'beside')).toBe(false)
})

test('a heavier draft says whose loads jump, from what to what; a second look plans only who has changed', async () => {
  await edit(coach, template, percent(75, 85)).expect(200)
  const asked = { begins: 'session' as const, members: [mel.id, una.id] }
  const first = await look(asked)
  expect(first.kinds).toContainEqual({ kind: 'moves', members: 1 })
  const { body } = await coach.get(`/api/looks/${first.id}/members?kind=jump`).expect(200)
  // 1 × 5 at 75, then 80% in the second week; with 85% in the first the most is 85 in the place of 80.
  expect(body.items).toMatchObject([
    { name: 'Mel', impact: { jump: { from: '1 × 5 @ 80 kg', to: '1 × 5 @ 85 kg', percent: 6 }, changed: 2 } },
  ])
  const planned = await world.owner('impact_member').select('member_id', 'made_at')
  await bench(await world.signIn(mel), 110)
  const second = await look(asked)
  expect(second.looked).toBe(2)
  const again = await world.owner('impact_member').select('member_id', 'made_at')
  const isNew = (member: string) =>
    !again.some(
      (one) =>
        one.member_id === member &&
        planned.some((old) => `${old.made_at}` === `${one.made_at}` && old.member_id === member),
    )
  const sameLook = again.filter((one) => one.member_id === una.id).length
  expect([isNew(una.id), sameLook]).toEqual([false, planned.filter((one) => one.member_id === una.id).length])
  // What the first look found of Mel is older than her max: it counts no more until it is looked at again.
  expect(
    (await coach.get(`/api/looks/${second.id}/members?kind=moves`)).body.items[0].impact.lines[0].after,
  ).toBe('1 × 5 @ 92.5 kg')
})

test('a draft that has moved on is said, and not looked at', async () => {
  const view = await look()
  await edit(coach, template, percent(85, 80)).expect(200)
  expect((await coach.get(`/api/looks/${view.id}`).expect(200)).body.hasMoved).toBe(true)
  const stale = await publishing(coach, template, { members: [mel.id], start: today })
  const { body } = await coach
    .post(`/api/templates/${template}/looks`)
    .send({ ...stale, revision: stale.revision - 1 })
    .expect(409)
  expect(body.code).toBe('draftMoved')
})

test('a look that cannot be finished says so, and the next one begins anew', async () => {
  const people = await world
    .owner('member')
    .insert(Array.from({ length: 30 }, (_, i) => ({ gym_id: gym, name: `Some ${i}` })))
    .returning('id')
  const ids = people.map(({ id }) => id as string)
  await world
    .owner('assignment')
    .insert(ids.map((member_id) => ({ gym_id: gym, member_id, staff_id: writer.id })))
  const waiting = await look({ members: ids })
  const broken = { impacts: () => Promise.reject(new Error('a thread broke')) } as unknown as Planners
  await expect(runLook(world.database, () => broken, gym, waiting.id)).rejects.toThrow('a thread broke')
  expect((await coach.get(`/api/looks/${waiting.id}`)).body).toMatchObject({ state: 'failed', looked: 0 })
  const again = await look({ members: ids })
  await runLook(world.database, null, gym, again.id)
  expect((await coach.get(`/api/looks/${again.id}`)).body).toMatchObject({ state: 'done', looked: 30 })
})

test('a correction is looked at as if what it takes back had never been', async () => {
  const [ada] = [await world.addMember(gym, 'Ada', writer)]
  const { body } = await coach
    .post('/api/templates')
    .send({ template: { ...smallTemplate(), name: 'Old' } })
    .expect(200)
  await publish(world, coach, body.id, { members: [ada.id], start: today })
  const first = await publish(world, coach, template, { members: [ada.id], start: today, others: 'replace' })
  const kindsOf = async (change: Partial<Publish>) =>
    (await look({ members: [ada.id], replaces: first.id, ...change })).kinds.map(({ kind }) => kind)
  expect(await kindsOf({})).toContain('beside')
  expect(await kindsOf({ others: 'replace' })).toContain('ends')
})

test('is for the asker and their own members alone', async () => {
  const { id } = await look()
  const colleague = await world.signIn(await world.addStaff(gym, 'writer', 'Wes'))
  await colleague.get(`/api/looks/${id}`).expect(403)
  await colleague.get(`/api/looks/${id}/members?kind=same`).expect(403)
  await colleague.delete(`/api/looks/${id}`).expect(403)
  const elsewhere = await world.signIn(await world.addStaff(await world.addGym('There'), 'writer', 'Wim'))
  await elsewhere.get(`/api/looks/${id}`).expect(404)
  const unassigned = await world.addMember(gym, 'Ida')
  const asked = await publishing(coach, template, { members: [unassigned.id], start: today })
  await coach.post(`/api/templates/${template}/looks`).send(asked).expect(403)
})

test('of many runs in threads, and is stopped where somebody stops it', async () => {
  const people = await world
    .owner('member')
    .insert(Array.from({ length: 120 }, (_, i) => ({ gym_id: gym, name: `Many ${i}` })))
    .returning('id')
  const ids = people.map(({ id }) => id as string)
  await world
    .owner('assignment')
    .insert(ids.map((member_id) => ({ gym_id: gym, member_id, staff_id: writer.id })))
  const planners = openPlanners(world.url, 2)
  try {
    const waiting = await look({ members: ids })
    expect(waiting).toMatchObject({ state: 'running', looked: 0, members: 120 })
    await runLook(world.database, () => planners, gym, waiting.id)
    expect((await coach.get(`/api/looks/${waiting.id}`)).body).toMatchObject({ state: 'done', looked: 120 })
    const stopped = await look({ members: ids, clock: 'calendar' })
    await coach.delete(`/api/looks/${stopped.id}`).expect(204)
    await runLook(world.database, () => planners, gym, stopped.id)
    expect((await coach.get(`/api/looks/${stopped.id}`)).body).toMatchObject({
      state: 'cancelled',
      looked: 0,
    })
  } finally {
    await planners.close()
  }
}, 120_000)
