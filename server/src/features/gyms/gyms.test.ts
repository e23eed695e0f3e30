import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import request from 'supertest'
import { hashToken, newToken } from '../../security/token.ts'
import { makeWorld, type Agent, type World } from '../../testing/world.ts'
import { offerSetUp } from './setUp.ts'

let world: World
beforeAll(async () => {
  world = await makeWorld({ signInAttempts: 1000 })
}, 120_000)
afterAll(() => world.end())

const browser = (): Agent => request.agent(world.app).set(buildHeader, String(build))
const given = (code: string) => ({
  code,
  gym: { name: 'Saltmarsh Rowing & Strength', zone: 'Europe/London', unit: 'kg' },
  owner: { name: 'Perrin Lock', email: 'perrin@test.example', password: 'a long password', writes: true },
})

test('the first gym is set up once, by the code of the newest start, and the owner is signed in', async () => {
  const old = (await offerSetUp(world.database)) ?? ''
  const code = (await offerSetUp(world.database)) ?? ''
  expect([old, code]).toEqual([
    expect.stringMatching(/^[2-9A-HJ-NP-Z]{4}-[2-9A-HJ-NP-Z]{4}$/),
    expect.anything(),
  ])
  expect((await browser().get('/api/set-up').expect(200)).body).toEqual({ isOpen: true })
  for (const wrong of [old, 'AAAA-AAAA']) {
    const { body } = await browser().post('/api/set-up').send(given(wrong)).expect(403)
    expect(body).toMatchObject({ code: 'wrongCode', errors: [{ path: 'code' }] })
  }
  const zone = { ...given(code), gym: { ...given(code).gym, zone: 'Europe/Saltmarsh' } }
  expect((await browser().post('/api/set-up').send(zone).expect(422)).body.errors).toMatchObject([
    { path: 'gym.zone' },
  ])
  // As it was typed: small letters, and a space for the dash. Sent twice at once it is one gym.
  const typed = code.toLowerCase().replace('-', ' ')
  const answers = await Promise.all([1, 2].map(() => browser().post('/api/set-up').send(given(typed))))
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 403])
  expect(await world.owner('gym').select('name')).toEqual([{ name: 'Saltmarsh Rowing & Strength' }])
  const { body } = answers.find(({ status }) => status === 200) as { body: { seats: { kind: string }[] } }
  expect(body.seats.map(({ kind }) => kind).sort()).toEqual(['owner', 'writer'])
  expect(await offerSetUp(world.database)).toBeNull()
  expect((await browser().get('/api/set-up').expect(200)).body).toEqual({ isOpen: false })
  await browser().post('/api/set-up').send(given(code)).expect(403)
})

test('an owner changes the gym’s name, zone and unit, and its members’ plans are made anew', async () => {
  const owner = await world.signIn(await world.addStaff(await world.addGym('Here'), 'owner', 'Olga'))
  const { gym } = (await owner.get('/api/session')).body.seat
  const revision = async () =>
    (await world.owner('gym').where({ id: gym }).first('revision')).revision as number
  const before = await revision()
  const changed = { name: 'Here and now', zone: 'America/Halifax', unit: 'lb', weekStart: 'sunday' }
  const shown = { ...changed, joinLink: null }
  expect((await owner.post('/api/gym').send(changed).expect(200)).body).toEqual(shown)
  expect((await owner.get('/api/gym').expect(200)).body).toEqual(shown)
  expect((await owner.get('/api/session').expect(200)).body.seat.gymName).toBe('Here and now')
  expect(await revision()).toBeGreaterThan(before)
  const { body } = await owner.post('/api/gym').send({ name: ' ', zone: 'nowhere', unit: 'st' }).expect(422)
  expect(body.errors.map(({ path }: { path: string }) => path).sort()).toEqual(['name', 'unit', 'zone'])
})

test('a letter gives another password once, and signs out whoever had the old one', async () => {
  const gym = await world.addGym('There')
  const member = await world.addMember(gym, 'Mel')
  const phone = await world.signIn(member)
  const letter = async (ends: string) => {
    const token = newToken()
    const row = { token_hash: hashToken(token), account_id: member.account, ends_at: world.owner.raw(ends) }
    await world.owner('account_letter').insert(row)
    return token
  }
  const reset = (token: string, next = 'another password') =>
    browser().post('/api/reset').send({ token, next })
  await reset(await letter(`now() - interval '1 second'`)).expect(410)
  const token = await letter(`now() + interval '1 hour'`)
  await reset(token, 'short').expect(422)
  await reset(token).expect(204)
  await phone.get('/api/me/today?today=2026-03-02').expect(401)
  const signIn = (password: string) => browser().post('/api/session').send({ email: member.email, password })
  await signIn(world.password).expect(401)
  await signIn('another password').expect(200)
  expect((await reset(token).expect(410)).body.code).toBe('linkOver')
})

test('the command makes a link for a new password, which works', async () => {
  const member = await world.addMember(await world.addGym('Yonder'), 'Oda')
  const url = Object.assign(new URL(process.env.TEST_DATABASE_URL ?? ''), {
    pathname: new URL(world.url).pathname,
  })
  const command = (...args: string[]) =>
    spawnSync(
      process.execPath,
      ['--import', 'tsx', 'server/src/features/accounts/passwordLink.ts', ...args],
      {
        cwd: fileURLToPath(new URL('../../../..', import.meta.url)),
        env: { PATH: process.env.PATH, DATABASE_OWNER_URL: url.href, PUBLIC_URL: 'https://oak.example' },
        encoding: 'utf8',
      },
    )
  expect(command('--email', 'nobody@test.example')).toMatchObject({
    status: 2,
    stderr: 'No link was made. Nobody signs in with nobody@test.example.\n',
  })
  const { stdout } = command('--email', member.email.toUpperCase())
  const token = /https:\/\/oak\.example\/reset#(\S+)/.exec(stdout)?.[1]
  await browser().post('/api/reset').send({ token, next: 'yet another one' }).expect(204)
})
