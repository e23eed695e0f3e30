import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { seatHeader } from '@young-oak/api/build'
import request from 'supertest'
import { makeApp } from '../../http/app.ts'
import { makeWorld, settings, type Agent, type World } from '../../testing/world.ts'

let world: World
let gym: string
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
}, 120_000)
afterAll(() => world.end())

const attempt = (email: string, password: string) =>
  request(world.app).post('/api/session').set('x-young-oak', '1').send({ email, password })

describe('signing in', () => {
  test('says who is signed in, in which gym, and keeps no password in sight', async () => {
    const who = await world.addStaff(gym, 'writer', 'Will')
    const agent = await world.signIn(who)
    const { body, text } = await agent.get('/api/session').expect(200)
    expect(body.seat).toMatchObject({ kind: 'writer', name: 'Will', gymName: 'Here', id: who.id })
    expect(text).not.toMatch(/argon2|password_hash/)
    const [{ password_hash }] = await world
      .owner('account')
      .where({ id: who.account })
      .select('password_hash')
    expect(password_hash).toMatch(/^\$argon2id\$/)
  })

  test('with a wrong password or an unknown address answers the same', async () => {
    const who = await world.addMember(gym, 'Mel')
    const [wrong, unknown] = [await attempt(who.email, 'nope'), await attempt('nobody@test.example', 'nope')]
    expect([wrong.status, unknown.status]).toEqual([401, 401])
    expect(wrong.body.detail).toBe(unknown.body.detail)
  })

  test('is limited after five failures on one account, and for that account alone', async () => {
    const who = await world.addMember(gym, 'Max')
    for (let i = 0; i < 5; i++) expect((await attempt(who.email, 'nope')).status).toBe(401)
    expect((await attempt(who.email, 'correct horse battery')).status).toBe(429)
    await world.signIn(await world.addMember(gym, 'Mia'))
  })

  test('is limited for one address over many accounts too, and counts that are over are cleared away', async () => {
    const app = makeApp(world.database, { ...settings, signInAttemptsOverall: 3 }, '/nowhere')
    const from = (i: number) =>
      request(app)
        .post('/api/session')
        .set('x-young-oak', '1')
        .send({ email: `who${i}@test.example`, password: 'nope' })
    await world.owner('sign_in_attempt').del()
    await world.owner('sign_in_attempt').insert({ key: 'old', hits: 3, resets_at: '2026-01-01' })
    const statuses = []
    for (let i = 0; i < 5; i++) statuses.push((await from(i)).status)
    expect(statuses).toEqual([401, 401, 401, 429, 429])
    expect(await world.owner('sign_in_attempt').where({ key: 'old' })).toEqual([])
    await world.owner('sign_in_attempt').del()
  })

  test('gives a new session id, and signing out ends it', async () => {
    const agent = await world.signIn(await world.addMember(gym, 'Moe'))
    await agent.delete('/api/session').expect(204)
    expect((await agent.get('/api/session')).body.seat).toBeNull()
  })

  test('ends with the seat: a role that was removed opens nothing any more', async () => {
    const who = await world.addStaff(gym, 'writer', 'Wes')
    const agent = await world.signIn(who)
    await agent.get('/api/templates').expect(200)
    await world.owner('staff').where({ id: who.id }).update({ role: 'owner' })
    await agent.get('/api/templates').expect(403)
  })

  test('over https is kept to https by the browser', async () => {
    const app = makeApp(world.database, { ...settings, publicUrl: 'https://oak.example' }, '/nowhere')
    const secure = await request(app).get('/api/session')
    expect(secure.headers['strict-transport-security']).toMatch(/max-age=15552000/)
    expect(
      (await request(world.app).get('/api/session')).headers['strict-transport-security'],
    ).toBeUndefined()
  })

  test('names the field that is missing', async () => {
    const { status, body } = await attempt('not an address', '')
    expect(status).toBe(422)
    expect(body.errors.map(({ path }: { path: string }) => path).sort()).toEqual(['email', 'password'])
  })
})

describe('a password', () => {
  const change = (agent: Agent, current: string, next: string) =>
    agent.post('/api/session/password').send({ current, next })

  test('is changed by whoever knows it, and every other sign-in ends', async () => {
    const who = await world.addMember(gym, 'Pia')
    const [agent, elsewhere] = [await world.signIn(who), await world.signIn(who)]
    await change(agent, world.password, 'a boat on the mud').expect(204)
    await agent.get('/api/me/maxes?today=2026-03-02').expect(200)
    await elsewhere.get('/api/me/maxes?today=2026-03-02').expect(401)
    expect((await attempt(who.email, world.password)).status).toBe(401)
    expect((await attempt(who.email, 'a boat on the mud')).status).toBe(200)
  })

  test('is not changed by a wrong one or to a short one, and guessing is limited', async () => {
    const agent = await world.signIn(await world.addMember(gym, 'Pat'))
    expect((await change(agent, world.password, 'short')).body.errors[0].path).toBe('next')
    const statuses = []
    for (let i = 0; i < 6; i++) statuses.push((await change(agent, 'guess', 'a boat on the mud')).status)
    // The short one counted too.
    expect(statuses).toEqual([401, 401, 401, 401, 429, 429])
  })
})

test('a page that was loaded for another seat is told so, and nothing is done in its name', async () => {
  const who = await world.addMember(gym, 'Sam')
  const agent = await world.signIn(who)
  await agent.get('/api/me/maxes?today=2026-03-02').set(seatHeader, who.id).expect(200)
  const other = { load: { value: 80, unit: 'kg' }, date: '2026-03-02', today: '2026-03-02' }
  const { body } = await agent
    .post('/api/me/body-weight')
    .set(seatHeader, 'somebody-else')
    .send(other)
    .expect(409)
  expect(body.code).toBe('otherSeat')
  expect((await agent.get('/api/me/maxes?today=2026-03-02')).body.body).toBeNull()
})

test('a person in two gyms changes between them, and never into a seat that is not theirs', async () => {
  const other = await world.addGym('There')
  const who = await world.addStaff(gym, 'writer', 'Wyn')
  const [{ id }] = await world
    .owner('member')
    .insert({ gym_id: other, account_id: who.account, name: 'Wyn' })
    .returning('id')
  const agent = await world.signIn(who)
  expect((await agent.get('/api/session')).body.seats).toHaveLength(2)
  const changed = await agent.post('/api/session/seat').send({ gym: other, id }).expect(200)
  expect(changed.body.seat).toMatchObject({ kind: 'member', gymName: 'There' })
  const stranger = await world.addMember(other, 'Sue')
  await agent.post('/api/session/seat').send({ gym: other, id: stranger.id }).expect(403)
})

test('demo accounts are offered in demo mode alone', async () => {
  const offered = async (demo: boolean) =>
    (await request(makeApp(world.database, { ...settings, demo }, '/nowhere')).get('/api/session')).body.demo
  expect((await offered(true)).length).toBeGreaterThan(0)
  expect(await offered(false)).toEqual([])
})

test('an address is changed by whoever knows the password, and is nobody else’s', async () => {
  const mel = await world.addMember(gym, 'Mel')
  const other = await world.addMember(gym, 'Nia')
  const phone = await world.signIn(mel)
  const change = (email: string, current = world.password) =>
    phone.post('/api/session/address').send({ current, email })
  expect((await change('new@test.example', 'not that one').expect(401)).body.code).toBe('wrongPassword')
  const taken = await change(other.email.toUpperCase()).expect(409)
  expect(taken.body).toMatchObject({ code: 'addressTaken', errors: [{ path: 'email' }] })
  await change('no address').expect(422)
  expect((await change('Mel.New@test.example').expect(200)).body.email).toBe('Mel.New@test.example')
  await attempt(mel.email, world.password).expect(401)
  await attempt('mel.new@test.example', world.password).expect(200)
})

test('a member saves all that is kept of them, and nobody else’s', async () => {
  const writer = await world.addStaff(gym, 'writer', 'Wyn')
  const ada = await world.addMember(gym, 'Ada', writer)
  const phone = await world.signIn(ada)
  const given = { load: { value: 71.5, unit: 'kg' }, date: '2026-03-02', today: '2026-03-02' }
  await phone.post('/api/me/body-weight').send(given).expect(200)
  const { body } = await phone.get('/api/me/data').expect(200)
  expect(body).toMatchObject({ gym: 'Here', email: ada.email, writers: ['Wyn'], file: { name: 'Ada' } })
  expect(JSON.stringify(body.file.member.facts)).toContain('71.5')
  expect(JSON.stringify(body)).not.toMatch(/argon2/)
})
