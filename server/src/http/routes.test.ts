import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import request from 'supertest'
import { openDatabase } from '../database/open.ts'
import { routes } from '../features/routes.ts'
import { makeWorld, settings, type Agent, type World } from '../testing/world.ts'
import { makeApp } from './app.ts'

type Kind = 'owner' | 'writer' | 'member'
let world: World
const agents = {} as Record<Kind, Agent>
beforeAll(async () => {
  world = await makeWorld()
  const gym = await world.addGym('Here')
  agents.owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
  agents.writer = await world.signIn(await world.addStaff(gym, 'writer', 'Will'))
  agents.member = await world.signIn(await world.addMember(gym, 'Mel'))
}, 120_000)
afterAll(() => world.end())

const guarded = routes.filter(({ contract }) => contract.who !== 'anyone')
const anId = '00000000-0000-4000-8000-000000000000'
const pathOf = (path: string) => `/api${path.replace(':id', anId)}`

describe.each(guarded.map(({ name, contract }) => [name, contract] as const))(
  '%s',
  (_, { method, path, who }) => {
    test('asks a stranger to sign in', async () => {
      const answer = await request(world.app)[method](pathOf(path)).set(buildHeader, String(build))
      expect(answer.status).toBe(401)
      expect(answer.headers['content-type']).toMatch(/application\/problem\+json/)
    })
    test('refuses every other role', async () => {
      for (const kind of (['owner', 'writer', 'member'] as const).filter((one) => !who.includes(one))) {
        expect((await agents[kind][method](pathOf(path)).send({})).status).toBe(403)
      }
    })
  },
)

test('sign-in is open to everybody, and what leads to it', () => {
  expect(routes.filter(({ contract }) => contract.who === 'anyone').map(({ name }) => name)).toEqual([
    'get /session',
    'post /session',
    'post /forgotten',
    'post /reset',
    'delete /session',
    'get /set-up',
    'post /set-up',
    'post /join',
    'post /join/accept',
    'post /join/ask',
  ])
})

test('a write that does not come from the app is refused', async () => {
  await request(world.app).post('/api/session').send({ email: 'a@b.example', password: 'x' }).expect(403)
})

test('a body that is not JSON, or is too large, is answered as a problem', async () => {
  const post = () =>
    request(world.app)
      .post('/api/session')
      .set(buildHeader, String(build))
      .set('content-type', 'application/json')
  await post().send('{').expect(400)
  await post()
    .send(`"${'x'.repeat(2_100_000)}"`)
    .expect(413)
})

test('with the database away every answer is a plain problem, and nothing crashes', async () => {
  const away = openDatabase('postgres://young_oak_app@127.0.0.1:1/nothing')
  const app = makeApp(away, settings, '/nowhere')
  for (const path of ['/api/health', '/api/templates']) {
    const answer = await request(app).get(path).set('cookie', 'young-oak=s%3Aabc.def')
    expect([401, 503]).toContain(answer.status)
  }
  const answer = await request(app)
    .post('/api/session')
    .set(buildHeader, String(build))
    .send({ email: 'a@b.example', password: 'x' })
  expect(answer.status).toBe(503)
  expect(answer.body.detail).toBe('Nothing was lost. Try again in a moment.')
  await away.close()
})
