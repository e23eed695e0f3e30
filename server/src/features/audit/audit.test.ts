import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { audited, auditedNames, type AuditLine } from '@young-oak/api/audit'
import { contracts, type Contract, type Page } from '@young-oak/api/contracts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let gym: string
let owner: Agent
let coach: Agent
let writer: Seated
let mel: Seated
let una: Seated
let phone: Agent
const today = '2026-03-02'
beforeAll(async () => {
  world = await makeWorld()
}, 120_000)
afterAll(() => world.end())
beforeEach(async () => {
  gym = await world.addGym('Here')
  owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
  writer = await world.addStaff(gym, 'writer', 'Will')
  coach = await world.signIn(writer)
  mel = await world.addMember(gym, 'Mel', writer)
  una = await world.addMember(gym, 'Una', writer)
  phone = await world.signIn(mel)
})

const all = async (query = ''): Promise<Page<AuditLine>> =>
  (await owner.get(`/api/audit${query}`).expect(200)).body
const said = ({ items }: Page<AuditLine>) =>
  items.map(({ who, what, member, count }) => [who, what, member, count])
const own = async (by = phone): Promise<Page<AuditLine>> => (await by.get('/api/me/audit').expect(200)).body
const give = (by: Agent, path: string) =>
  by.post(`/api/${path}/facts`).send({ fact: { kind: 'checkIn', sleep: 3 }, today })

describe('the audit', () => {
  test('names the seat, the invitation or the group that a change was about, to owners alone', async () => {
    const wanda = await world.addStaff(gym, 'writer', 'Wanda')
    await owner.post(`/api/staff/${wanda.id}/leave`).expect(200)
    const people = [{ name: 'Nia', email: 'nia@test.example', role: 'member' }]
    const { body: invited } = await owner.post('/api/invitations').send({ people }).expect(200)
    await owner.delete(`/api/invitations/${invited[0].id}`).expect(204)
    const { body: group } = await coach.post('/api/groups').send({ name: 'Early', rule: null }).expect(200)
    await coach
      .post(`/api/groups/${group.id}/members`)
      .send({ members: [mel.id], isIn: true })
      .expect(200)
    const about = (page: Page<AuditLine>) => page.items.map((line) => [line.what, line.about])
    expect(about(await all())).toEqual([
      ['post /groups/:id/members', 'Early'],
      ['post /groups', null],
      ['delete /invitations/:id', 'Nia'],
      ['post /invitations', null],
      ['post /staff/:id/leave', 'Wanda'],
    ])
    expect(about(await own())).toEqual([['post /groups/:id/members', null]])
  })

  test('keeps that somebody looked at a member once a day, and each change, for the owner and the member', async () => {
    await coach.get(`/api/members/${mel.id}/progress?today=${today}`).expect(200)
    await coach.get(`/api/members/${mel.id}/progress?today=${today}`).expect(200)
    await coach.get(`/api/members/${una.id}/progress?today=${today}`).expect(200)
    await give(coach, `members/${mel.id}`).expect(200)
    await give(coach, `members/${mel.id}`).expect(200)
    const change = ['Will', 'post /members/:id/facts', 'Mel', null]
    const looked = (name: string) => ['Will', 'get /members/:id/progress', name, null]
    expect(said(await all())).toEqual([change, change, looked('Una'), looked('Mel')])
    expect(said(await own())).toEqual([change, change, looked('Mel')])
    await world.owner('audit').where({ gym_id: gym }).update({ day: '2026-01-05' })
    await coach.get(`/api/members/${mel.id}/progress?today=${today}`).expect(200)
    expect(said(await own()).slice(0, 2)).toEqual([looked('Mel'), change])
  })

  test('says nothing of what members do with their own, or of what was refused or did not come about', async () => {
    await phone.get(`/api/me/progress?today=${today}`).expect(200)
    await give(phone, 'me').expect(200)
    const other = await world.signIn(await world.addStaff(gym, 'writer', 'Wanda'))
    await give(other, `members/${mel.id}`).expect(403)
    await coach
      .post(`/api/members/${mel.id}/facts`)
      .send({ fact: { kind: 'checkIn', sleep: 9 }, today })
      .expect(422)
    expect(said(await all())).toEqual([])
  })

  test('keeps a list once a day with how many lines of it were seen, page by page', async () => {
    const accounts = await world
      .owner('account')
      .insert(
        Array.from({ length: 200 }, (_, i) => ({ email: `${gym}-${i}@test.example`, password_hash: 'x' })),
      )
      .returning('id')
    await world
      .owner('member')
      .insert(accounts.map(({ id }, i) => ({ gym_id: gym, account_id: id, name: `Zoe ${i + 100}` })))
    const page = async (after: string | null) =>
      (await owner.get(`/api/members${after === null ? '' : `?after=${after}`}`).expect(200)).body.next as
        string | null
    const second = await page(null)
    expect(said(await all())).toEqual([['Olga', 'get /members', null, 100]])
    await page(await page(second))
    // Seen to its end, it grows no more.
    await page(await page(null))
    expect(said(await all())).toEqual([['Olga', 'get /members', null, 202]])
  })

  test('names each member of a change of many', async () => {
    await owner
      .post('/api/memberships')
      .send({ members: [mel.id, una.id], isOver: true })
      .expect(204)
    const change = (name: string) => ['Olga', 'post /memberships', name, null]
    expect(said(await all()).sort()).toEqual([change('Mel'), change('Una')])
  })

  test('is searched by a name and by kind, in pages, and is the owner’s alone', async () => {
    await coach.get(`/api/members/${mel.id}/maxes?today=${today}`).expect(200)
    await give(coach, `members/${una.id}`).expect(200)
    await owner.get('/api/members').expect(200)
    expect(said(await all('?name=una')).map(([, , name]) => name)).toEqual(['Una'])
    expect(said(await all('?name=wil'))).toHaveLength(2)
    expect(said(await all('?kind=list')).map(([who]) => who)).toEqual(['Olga'])
    expect(said(await all('?name=%25'))).toEqual([])
    const [latest] = (await all()).items
    expect(said(await all(`?after=${latest?.id}`))).toHaveLength(2)
    await coach.get('/api/audit').expect(403)
    await phone.get('/api/audit').expect(403)
    await owner.get('/api/audit?kind=all').expect(422)
    const elsewhere = await world.addGym('There')
    const stranger = await world.signIn(await world.addStaff(elsewhere, 'owner', 'Ott'))
    expect((await stranger.get('/api/audit').expect(200)).body.items).toEqual([])
  })
})

test('everything that staff may do is in the audit, or says itself who did it', () => {
  const ownRecord = [
    // They name their writer and day.
    'post /templates',
    'post /templates/:id/edits',
    'post /templates/:id/looks',
    'delete /looks/:id',
    'post /templates/:id/publications',
    'post /publications/:id/withdrawal',
    // Nobody’s data: the library of the gym.
    'post /exercises',
    'post /exercises/:id',
    'post /exercises/:id/merge',
    // Of one’s own account.
    'post /session/seat',
    'post /session/password',
    'post /session/address',
  ]
  const all = Object.entries(contracts as Record<string, Contract>)
  for (const name of auditedNames) expect(all.map(([known]) => known)).toContain(name)
  const kept = (name: string) => ownRecord.includes(name) || name in audited
  const missing = all.filter(([name, { method, path, who }]) => {
    const isStaffs = who !== 'anyone' && who.some((one) => one !== 'member')
    return isStaffs && (method !== 'get' || path.startsWith('/members')) && !kept(name)
  })
  expect(missing.map(([name]) => name)).toEqual([])
})
