import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import type { InvitationLine, InvitationLink, StaffLine } from '@young-oak/api/people'
import request from 'supertest'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let gym: string
let boss: Seated
let owner: Agent
let writer: Seated
beforeAll(async () => {
  world = await makeWorld({ signInAttempts: 1000 })
  gym = await world.addGym('Here')
  boss = await world.addStaff(gym, 'owner', 'Olga')
  owner = await world.signIn(boss)
  writer = await world.addStaff(gym, 'writer', 'Will')
}, 120_000)
afterAll(() => world.end())

const browser = (): Agent => request.agent(world.app).set(buildHeader, String(build))
const tokenOf = ({ link }: InvitationLink): string => link.split('#')[1] ?? ''
const invite = async (person: object, by = owner): Promise<InvitationLink> =>
  (
    await by
      .post('/api/invitations')
      .send({ people: [person] })
      .expect(200)
  ).body[0]
const openOnes = async (by = owner): Promise<InvitationLine[]> =>
  (await by.get('/api/invitations').expect(200)).body.items
const newcomer = (token: string, name: string) => ({
  token,
  name,
  by: 'newAccount',
  email: `${name.toLowerCase()}@test.example`,
  password: 'a password of theirs',
})
const seatsOf = async (agent: Agent) =>
  (await agent.get('/api/session').expect(200)).body.seats.map(
    ({ kind, gymName }: { kind: string; gymName: string }) => `${kind} at ${gymName}`,
  )

describe('an invitation', () => {
  test('gives its seat to a new person once, with the writers that it names', async () => {
    const made = await invite({
      name: 'Ada',
      email: 'Ada@Test.example',
      role: 'member',
      writers: [writer.id],
    })
    expect(made.link).toMatch(/^http:\/\/127\.0\.0\.1\/join#/)
    const token = tokenOf(made)
    const phone = browser()
    expect((await phone.post('/api/join').send({ token }).expect(200)).body).toEqual({
      kind: 'invitation',
      gymName: 'Here',
      role: 'member',
      name: 'Ada',
      from: 'Olga',
      signedInAs: null,
    })
    const { body } = await phone.post('/api/join/accept').send(newcomer(token, 'Ada')).expect(200)
    expect(body.seat).toMatchObject({ kind: 'member', name: 'Ada', gymName: 'Here' })
    await phone.get('/api/me/today?today=2026-03-02').expect(200)
    // Used: whoever comes later is told so, and no seat is made.
    const late = await browser().post('/api/join/accept').send(newcomer(token, 'Late')).expect(410)
    expect([late.body.code, late.body.detail]).toEqual(['linkOver', expect.stringMatching(/used already/)])
    expect(await world.owner('account').where({ email: 'late@test.example' })).toEqual([])
    expect((await openOnes()).map(({ name }) => name)).not.toContain('Ada')
    const lines = (await owner.get('/api/members').expect(200)).body.items
    expect(lines.find(({ name }: { name: string }) => name === 'Ada').writers).toEqual([
      { id: writer.id, name: 'Will' },
    ])
  })

  test('of two who use it at the same time one has the seat, and the other one leaves no account', async () => {
    const token = tokenOf(await invite({ name: 'Twin', role: 'member' }))
    const answers = await Promise.all(
      ['Castor', 'Pollux'].map((name) => browser().post('/api/join/accept').send(newcomer(token, name))),
    )
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 410])
    const accounts = await world
      .owner('account')
      .whereIn('email', ['castor@test.example', 'pollux@test.example'])
    expect(accounts).toHaveLength(1)
  })

  test('is over after its days, when it is withdrawn, and when there is a new link', async () => {
    const [late, gone, again] = await Promise.all(
      ['Late', 'Gone', 'Again'].map((name) => invite({ name, role: 'member' })),
    )
    await world.owner('invitation').where({ id: late?.id }).update({ ends_at: world.owner.fn.now() })
    await owner.delete(`/api/invitations/${gone?.id}`).expect(204)
    const renewed: InvitationLink = (await owner.post(`/api/invitations/${again?.id}/link`).expect(200)).body
    for (const one of [late, gone, again])
      await browser()
        .post('/api/join')
        .send({ token: tokenOf(one as InvitationLink) })
        .expect(410)
    await browser()
      .post('/api/join')
      .send({ token: tokenOf(renewed) })
      .expect(200)
    const lines = await openOnes()
    expect(lines.filter(({ name }) => ['Late', 'Gone', 'Again'].includes(name))).toMatchObject([
      { name: 'Again', isOver: false },
      { name: 'Late', isOver: true },
    ])
    await owner.delete(`/api/invitations/${gone?.id}`).expect(404)
  })

  test('that never was, or belongs to another gym, says the same', async () => {
    const made = await invite({ name: 'Nemo', role: 'member' })
    const secret = tokenOf(made).split('.')[1]
    const elsewhere = await world.addGym('Elsewhere')
    for (const token of ['x', `${gym}.x`, `${elsewhere}.${secret}`, `${gym}.${secret}.x.y`.slice(1)])
      expect((await browser().post('/api/join').send({ token }).expect(410)).body.code).toBe('linkOver')
  })

  test('is taken by whoever is signed in, or with an account that there is, and never twice', async () => {
    const there = await world.addGym('There')
    const mel = await world.addMember(there, 'Mel')
    const phone = await world.signIn(mel)
    const token = tokenOf(await invite({ name: 'Mel', role: 'member' }))
    const { body } = await phone.post('/api/join').send({ token }).expect(200)
    expect(body.signedInAs).toBe(mel.email)
    const joined = await phone.post('/api/join/accept').send({ token, name: 'Mel', by: 'seat' }).expect(200)
    expect(joined.body.seat).toMatchObject({ gymName: 'Here', kind: 'member' })
    expect((await seatsOf(phone)).sort()).toEqual(['member at Here', 'member at There'])
    // Once more by address and password, from another browser: the account is here already.
    const second = tokenOf(await invite({ name: 'Mel', role: 'member' }))
    const again = { token: second, name: 'Mel', by: 'account', email: mel.email, password: world.password }
    const wrong = await browser()
      .post('/api/join/accept')
      .send({ ...again, password: 'not that one' })
    expect([wrong.status, wrong.body.code]).toEqual([401, 'wrongPassword'])
    const here = await browser().post('/api/join/accept').send(again)
    expect([here.status, here.body.code]).toEqual([409, 'alreadyHere'])
    // The link was not used up by those.
    await browser().post('/api/join').send({ token: second }).expect(200)
    const taken = { ...newcomer(second, 'Mel'), email: mel.email.toUpperCase() }
    const refused = await browser().post('/api/join/accept').send(taken).expect(409)
    expect(refused.body).toMatchObject({ code: 'addressTaken', errors: [{ path: 'email' }] })
    await browser().post('/api/join/accept').send({ token: second, name: 'X', by: 'seat' }).expect(401)
  })

  test('of a list is for all or for nobody, and each fault names its line', async () => {
    const before = (await openOnes()).length
    const people = [
      { name: 'One', email: 'one@test.example', role: 'member' },
      { name: '=HYPERLINK("x")', email: 'no address', role: 'member' },
      { name: 'Two', email: 'one@test.example', role: 'member' },
    ]
    const { body } = await owner.post('/api/invitations').send({ people }).expect(422)
    expect(body.errors.map(({ path }: { path: string }) => path).sort()).toEqual([
      'people[1].email',
      'people[1].name',
    ])
    const twice = await owner
      .post('/api/invitations')
      .send({ people: [people[0], people[2]] })
      .expect(422)
    expect(twice.body).toMatchObject({ code: 'alreadyInvited', errors: [{ path: 'people[1].email' }] })
    await invite(people[0] as object)
    const once = await owner
      .post('/api/invitations')
      .send({ people: [people[0]] })
      .expect(422)
    expect(once.body.detail).toMatch(/one@test.example is invited already/)
    const crowd = Array.from({ length: 501 }, (_, i) => ({ name: `Person ${i}`, role: 'member' }))
    await owner.post('/api/invitations').send({ people: crowd }).expect(422)
    const many: InvitationLink[] = (
      await owner
        .post('/api/invitations')
        .send({ people: crowd.slice(0, 500) })
        .expect(200)
    ).body
    expect(new Set(many.map(({ link }) => link)).size).toBe(500)
    expect(
      await world.owner('invitation').where({ gym_id: gym }).andWhere('name', 'like', 'Person %'),
    ).toHaveLength(500)
    expect(before).toBeGreaterThan(0)
  })
})

test('a writer invites members, who are assigned to the writer, and sees no other invitation', async () => {
  const coach = await world.signIn(writer)
  const refused = await coach
    .post('/api/invitations')
    .send({ people: [{ name: 'Rival', role: 'owner' }] })
    .expect(422)
  expect(refused.body.errors).toMatchObject([{ path: 'people[0].role' }])
  const forWriters = await invite({ name: 'New writer', role: 'writer' })
  await coach.delete(`/api/invitations/${forWriters.id}`).expect(404)
  await coach.post(`/api/invitations/${forWriters.id}/link`).expect(404)
  const made = await invite({ name: 'Bee', role: 'member' }, coach)
  expect((await openOnes(coach)).every(({ role }) => role === 'member')).toBe(true)
  await browser()
    .post('/api/join/accept')
    .send(newcomer(tokenOf(made), 'Bee'))
    .expect(200)
  const lines = (await coach.get('/api/members').expect(200)).body.items
  expect(lines.find(({ name }: { name: string }) => name === 'Bee')).toMatchObject({ isMine: true })
})

describe('the staff', () => {
  const staff = async (): Promise<StaffLine[]> => (await owner.get('/api/staff').expect(200)).body

  test('an owner may write too, with one account in two seats', async () => {
    await owner.post('/api/staff/writer').expect(200)
    expect(await seatsOf(owner)).toEqual(expect.arrayContaining(['owner at Here', 'writer at Here']))
    const { body } = await owner.post('/api/staff/writer').expect(409)
    expect(body.code).toBe('alreadyHere')
    const own = (await staff()).find(({ role, email }) => role === 'writer' && email === boss.email)
    await owner.post(`/api/staff/${own?.id}/leave`).send({}).expect(200)
    // The seat is taken up again, under the same id.
    await owner.post('/api/staff/writer').expect(200)
    expect((await staff()).some(({ id }) => id === own?.id)).toBe(true)
  })

  test('a writer who leaves hands the members on, and reads nothing from then on', async () => {
    const leaving = await world.addStaff(gym, 'writer', 'Lea')
    const member = await world.addMember(gym, 'Cy', leaving)
    const coach = await world.signIn(leaving)
    await coach.get(`/api/members/${member.id}/file`).expect(200)
    await owner.post(`/api/staff/${leaving.id}/leave`).send({ handTo: leaving.id }).expect(422)
    await owner.post(`/api/staff/${leaving.id}/leave`).send({ handTo: writer.id }).expect(200)
    await coach.get(`/api/members/${member.id}/file`).expect(403)
    await coach.get('/api/session').expect(401)
    const next = await world.signIn(writer)
    await next.get(`/api/members/${member.id}/file`).expect(200)
    expect((await staff()).map(({ name }) => name)).not.toContain('Lea')
    await owner.post(`/api/staff/${leaving.id}/leave`).send({}).expect(404)
  })

  test('whoever leaves keeps no way back in: the invitations they made are withdrawn', async () => {
    const second = await world.addStaff(gym, 'owner', 'Oz')
    const own = tokenOf(await invite({ name: 'Oz again', role: 'owner' }, await world.signIn(second)))
    const other = tokenOf(await invite({ name: 'Pat', role: 'member' }))
    await owner.post(`/api/staff/${second.id}/leave`).send({}).expect(200)
    await browser().post('/api/join').send({ token: own }).expect(410)
    await browser().post('/api/join').send({ token: other }).expect(200)
  })

  test('a gym is never left without an owner, though two owners end each other at once', async () => {
    const lone = await world.addGym('Lone')
    const two = await Promise.all(['A', 'B'].map((name) => world.addStaff(lone, 'owner', name)))
    const agents = await Promise.all(two.map((one) => world.signIn(one)))
    const answers = await Promise.all(
      agents.map((agent, i) => agent.post(`/api/staff/${two[1 - i]?.id}/leave`).send({})),
    )
    const left = await world.owner('staff').where({ gym_id: lone, left_at: null })
    expect([left.length, answers.filter(({ status }) => status === 200).length]).toEqual([1, 1])
    const last = await world.signIn(two.find(({ id }) => id === left[0].id) as Seated)
    const { body } = await last.post(`/api/staff/${left[0].id}/leave`).send({}).expect(422)
    expect(body.code).toBe('lastOwner')
  })
})

test('members are assigned to several writers, many at once, and taken away again', async () => {
  const other = await world.addStaff(gym, 'writer', 'Wyn')
  const members = await Promise.all(['M1', 'M2', 'M3'].map((name) => world.addMember(gym, name, writer)))
  const ids = members.map(({ id }) => id)
  const writersOf = async (id: string) =>
    (await world.owner('assignment').where({ member_id: id, until_at: null }).select('staff_id'))
      .map(({ staff_id }) => staff_id)
      .sort()
  const send = (body: object) => owner.post('/api/assignments').send(body)
  await send({ members: ids, writer: other.id, isAssigned: true }).expect(204)
  await send({ members: ids, writer: other.id, isAssigned: true }).expect(204)
  for (const id of ids) expect(await writersOf(id)).toEqual([writer.id, other.id].sort())
  await send({ members: ids, writer: writer.id, isAssigned: false }).expect(204)
  for (const id of ids) expect(await writersOf(id)).toEqual([other.id])
  const coach = await world.signIn(writer)
  await coach.get(`/api/members/${ids[0]}/file`).expect(403)
  await send({ members: ids, writer: boss.id, isAssigned: true }).expect(422)
  // Members of another gym are none of this owner's.
  const stranger = await world.addMember(await world.addGym('Far'), 'Far')
  await send({ members: [stranger.id], writer: other.id, isAssigned: true }).expect(204)
  expect(await writersOf(stranger.id)).toEqual([])
})

describe('a member who leaves', () => {
  const names = async (path: string): Promise<string[]> =>
    (await owner.get(path).expect(200)).body.items.map(({ name }: { name: string }) => name)
  const writersOf = (id: string) => world.owner('assignment').where({ member_id: id, until_at: null })

  test('is signed out, is on no list, and comes back as they were, without a writer', async () => {
    const member = await world.addMember(gym, 'Ida', writer)
    const phone = await world.signIn(member)
    const coach = await world.signIn(writer)
    await phone.post('/api/me/leave').send({ current: 'not that one' }).expect(401)
    await phone.get('/api/me/equipment?today=2026-03-02').expect(200)
    await phone.post('/api/me/leave').send({ current: world.password }).expect(204)
    await phone.get('/api/me/equipment?today=2026-03-02').expect(401)
    const { email } = member
    const again = await browser().post('/api/session').send({ email, password: world.password })
    expect([again.status, again.body.code]).toEqual([403, 'noGym'])
    await coach.get(`/api/members/${member.id}/file`).expect(403)
    expect(await names('/api/members')).not.toContain('Ida')
    expect(await names('/api/former-members')).toEqual(['Ida'])
    // An assignment of somebody who is not here is none.
    await owner
      .post('/api/assignments')
      .send({ members: [member.id], writer: writer.id, isAssigned: true })
      .expect(204)
    expect(await writersOf(member.id)).toEqual([])

    await owner
      .post('/api/memberships')
      .send({ members: [member.id], isOver: false })
      .expect(204)
    expect(await names('/api/members')).toContain('Ida')
    const back = await world.signIn(member)
    await back.get('/api/me/equipment?today=2026-03-02').expect(200)
    expect(await writersOf(member.id)).toEqual([])
  })

  test('comes back by an invitation under the same id', async () => {
    const member = await world.addMember(gym, 'Jo', writer)
    await owner
      .post('/api/memberships')
      .send({ members: [member.id], isOver: true })
      .expect(204)
    const token = tokenOf(await invite({ name: 'Jo', role: 'member', writers: [writer.id] }))
    const way = { token, name: 'Jo Rill', by: 'account', email: member.email, password: world.password }
    const { body } = await browser().post('/api/join/accept').send(way).expect(200)
    expect(body.seat).toMatchObject({ id: member.id, name: 'Jo Rill' })
    expect(await writersOf(member.id)).toHaveLength(1)
  })

  test('logs nothing through a page that is still open', async () => {
    const member = await world.addMember(gym, 'Kit', writer)
    await owner
      .post('/api/memberships')
      .send({ members: [member.id], isOver: true })
      .expect(204)
    const set = { slot: 'squat', n: 1, exercise: 'backSquat', state: 'done', reps: 5 }
    const row = {
      member: member.id,
      account: member.account,
      session: 'x',
      id: 'x:squat:1',
      rev: 1,
      change: 'c',
    }
    const rows = [{ ...row, state: 'done', format: 1, body: set }]
    const { answers } = await world.database.logSets(gym, rows, true)
    expect(answers).toEqual([{ n: 1, said: 'noSeat' }])
  })
})

describe('the gym’s own link', () => {
  const open = async (isOpen: boolean): Promise<string> =>
    ((await owner.post('/api/gym/join-link').send({ isOpen }).expect(200)).body.joinLink ?? '').split(
      '#',
    )[1] ?? ''
  const requests = async (): Promise<{ id: string; name: string; email: string }[]> =>
    (await owner.get('/api/join-requests').expect(200)).body

  test('lets anybody ask, and the owner let them in with a writer, or refuse them', async () => {
    const token = await open(true)
    expect((await browser().post('/api/join').send({ token }).expect(200)).body).toMatchObject({
      kind: 'request',
      gymName: 'Here',
    })
    for (const name of ['Lou', 'Moe'])
      await browser().post('/api/join/ask').send(newcomer(token, name)).expect(204)
    // It gives no seat, and is none of an invitation's.
    const lou = { email: 'lou@test.example', password: 'a password of theirs' }
    await browser().post('/api/session').send(lou).expect(403)
    await browser()
      .post('/api/join/accept')
      .send({ token, name: 'Lou', by: 'account', ...lou })
      .expect(410)
    // Asked twice it is one request.
    await browser()
      .post('/api/join/ask')
      .send({ token, name: 'Lou', by: 'account', ...lou })
      .expect(204)
    const [first, second, ...rest] = await requests()
    expect([first?.name, second?.name, rest]).toEqual(['Lou', 'Moe', []])
    const answer = (id: string | undefined, body: object) => owner.post(`/api/join-requests/${id}`).send(body)
    await answer(first?.id, { isTaken: true, writers: [boss.id] }).expect(422)
    await answer(first?.id, { isTaken: true, writers: [writer.id] }).expect(204)
    await answer(second?.id, { isTaken: false }).expect(204)
    await answer(second?.id, { isTaken: true }).expect(404)
    expect(await requests()).toEqual([])
    const { body } = await browser().post('/api/session').send(lou).expect(200)
    expect(body.seat).toMatchObject({ kind: 'member', name: 'Lou' })
    const here = { token, name: 'Lou', by: 'account', ...lou }
    expect((await browser().post('/api/join/ask').send(here).expect(409)).body.code).toBe('alreadyHere')
  })

  test('takes nobody more while five hundred wait, and makes no account for them', async () => {
    const token = await open(true)
    const accounts = await world
      .owner('account')
      .insert(
        Array.from({ length: 500 }, (_, i) => ({ email: `wait-${i}@test.example`, password_hash: 'x' })),
      )
      .returning('id')
    const rows = accounts.map(({ id }, i) => ({ gym_id: gym, account_id: id, name: `Waiting ${i}` }))
    await world.owner('join_request').insert(rows)
    const { body } = await browser().post('/api/join/ask').send(newcomer(token, 'Oz')).expect(422)
    expect(body.code).toBe('tooMany')
    expect(await world.owner('account').where({ email: 'oz@test.example' })).toEqual([])
    await world.owner('join_request').where({ gym_id: gym }).delete()
  })

  test('is worth nothing once there is another one, or none', async () => {
    const first = await open(true)
    const second = await open(true)
    await browser().post('/api/join').send({ token: first }).expect(410)
    await open(false)
    await browser().post('/api/join/ask').send(newcomer(second, 'Ned')).expect(410)
    expect(await world.owner('account').where({ email: 'ned@test.example' })).toEqual([])
  })
})
