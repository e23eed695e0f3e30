import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import type { Page } from '@young-oak/api/contracts'
import type { MailLine } from '@young-oak/api/mail'
import type { InvitationLink } from '@young-oak/api/people'
import { simpleParser } from 'mailparser'
import request from 'supertest'
import { SMTPServer } from 'smtp-server'
import { tasks } from '../../jobs/tasks.ts'
import { openPost, type Post } from '../../mail/mailer.ts'
import { makeWorld, settings, type Agent, type Seated, type World } from '../../testing/world.ts'
import { makeApp } from '../../http/app.ts'

const publicUrl = 'http://oak.example'
type Got = { to: string; subject: string; text: string }

let world: World
let gym: string
let owner: Agent
let smtp: SMTPServer
let post: Post
const got: Got[] = []
let refused: string | null = null
beforeAll(async () => {
  smtp = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    onRcptTo: ({ address }, _session, done) =>
      done(
        refused === address ? Object.assign(new Error('nobody of that name'), { responseCode: 550 }) : null,
      ),
    onData: (stream, { envelope }, done) =>
      void simpleParser(stream).then(({ subject = '', text = '' }) => {
        got.push({ to: envelope.rcptTo.map(({ address }) => address).join(), subject, text })
        done()
      }, done),
  })
  await new Promise<void>((resolve) => smtp.listen(0, '127.0.0.1', resolve))
  const { port } = smtp.server.address() as AddressInfo
  post = openPost({ smtp: { url: `smtp://127.0.0.1:${port}`, from: 'gym@oak.example' }, publicUrl })
  world = await makeWorld({ publicUrl })
  gym = await world.addGym('Here')
  owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
}, 120_000)
afterAll(async () => {
  await world.end()
  await new Promise<void>((resolve) => smtp.close(resolve))
})
beforeEach(() => {
  got.length = 0
  refused = null
})

const planners = () => {
  throw new Error('no planners are needed')
}
/** Runs what waits of one kind in the queue, as a server that sends mail, or one that does not, would. */
async function work(name: 'mail' | 'letter', by: Post = post): Promise<void> {
  const { rows } = await world.owner.raw(
    `select j.payload from graphile_worker._private_jobs j join graphile_worker._private_tasks t on t.id = j.task_id where t.identifier = ?`,
    [name],
  )
  for (const { payload } of rows as { payload: { gym: string; id: string } }[])
    await tasks[name]({ database: world.database, planners, post: by }, payload)
}
const listed = async (by = owner): Promise<MailLine[]> => (await by.get('/api/mail').expect(200)).body.items
const invite = async (name: string, email?: string): Promise<InvitationLink> => {
  const people = [{ name, role: 'member', ...(email && { email }) }]
  return (await owner.post('/api/invitations').send({ people }).expect(200)).body[0]
}
const of = async (email: string): Promise<MailLine | undefined> =>
  (await listed()).find(({ toAddress }) => toAddress === email)

describe('a message', () => {
  test('of an invitation is sent once, with its link, which is kept nowhere afterwards', async () => {
    const { link } = await invite('Ada', 'ada@test.example')
    expect(await of('ada@test.example')).toMatchObject({ toName: 'Ada', link, sentAt: null, fault: null })
    await work('mail')
    await work('mail')
    const mine = got.filter(({ to }) => to === 'ada@test.example')
    expect(mine.map(({ subject }) => subject)).toEqual(['Olga invites you to Here'])
    expect(mine[0]?.text).toContain(link)
    const sent = await of('ada@test.example')
    expect([sent?.link, typeof sent?.sentAt]).toEqual([null, 'string'])
    const { rows } = await world.owner.raw('select row::text as text from mail row')
    expect(JSON.stringify(rows)).not.toContain(link.split('#')[1])
  })

  test('stays in the owner’s list where the server sends no mail, until its link is used or withdrawn', async () => {
    const { id, link } = await invite('Bo', 'bo@test.example')
    await work('mail', { mailer: null, publicUrl })
    expect(await of('bo@test.example')).toMatchObject({ link, sentAt: null, fault: null })
    const again = (await owner.post(`/api/invitations/${id}/link`).expect(200)).body as InvitationLink
    const both = (await listed()).filter(({ toAddress }) => toAddress === 'bo@test.example')
    expect(both.map((one) => one.link).sort()).toEqual([again.link, null].sort())
    await owner.delete(`/api/invitations/${id}`).expect(204)
    await work('mail')
    expect(got.filter(({ to }) => to === 'bo@test.example')).toEqual([])
    expect((await of('bo@test.example'))?.link).toBeNull()
  })

  test('has no link any more once its invitation is over, or whoever made it has left', async () => {
    const late = await invite('Hal', 'hal@test.example')
    await world.owner('invitation').where({ id: late.id }).update({ ends_at: '2026-01-01' })
    expect((await of('hal@test.example'))?.link).toBeNull()
    const leaving = await world.addStaff(gym, 'writer', 'Wes')
    const people = [{ name: 'Ida', role: 'member', email: 'ida@test.example' }]
    await (await world.signIn(leaving)).post('/api/invitations').send({ people }).expect(200)
    expect((await of('ida@test.example'))?.link).not.toBeNull()
    await owner.post(`/api/staff/${leaving.id}/leave`).send({}).expect(200)
    expect((await of('ida@test.example'))?.link).toBeNull()
    await work('mail')
    expect(got).toEqual([])
  })

  test('is in a list of many once, also of those that were written at one moment', async () => {
    const people = Array.from({ length: 150 }, (_, i) => ({
      name: `Many ${i}`,
      role: 'member',
      email: `many-${i}@test.example`,
    }))
    await owner.post('/api/invitations').send({ people }).expect(200)
    const seen: string[] = []
    for (let after: string | null = ''; after !== null;) {
      const { items, next } = (await owner.get(`/api/mail${after && `?after=${after}`}`).expect(200))
        .body as Page<MailLine>
      seen.push(...items.map(({ toAddress }) => toAddress).filter((address) => address.startsWith('many-')))
      after = next
    }
    expect(seen).toHaveLength(150)
    expect(new Set(seen).size).toBe(150)
  })

  test('that the mail server does not take says why, and is sent when it is tried again', async () => {
    refused = 'cy@test.example'
    await invite('Cy', refused)
    await expect(work('mail')).rejects.toThrow()
    expect(await of('cy@test.example')).toMatchObject({
      sentAt: null,
      fault: 'The mail server refuses this address.',
    })
    refused = null
    await work('mail')
    expect(await of('cy@test.example')).toMatchObject({ fault: null, link: null })
    const away = openPost({ smtp: { url: 'smtp://127.0.0.1:1', from: 'gym@oak.example' }, publicUrl })
    await invite('Di', 'di@test.example')
    await expect(work('mail', away)).rejects.toThrow()
    expect((await of('di@test.example'))?.fault).toBe('The mail server cannot be reached.')
  })

  test('is written for nobody without an address, and seen by the owner of this gym alone', async () => {
    const before = (await listed()).length
    await invite('Eve')
    expect(await listed()).toHaveLength(before)
    const there = await world.addGym('There')
    const other = await world.signIn(await world.addStaff(there, 'owner', 'Otto'))
    expect(await listed(other)).toEqual([])
    const writer = await world.signIn(await world.addStaff(gym, 'writer', 'Will'))
    await writer.get('/api/mail').expect(403)
  })

  test('tells owners once a day that somebody asks to join, and whoever is let in', async () => {
    await owner.post('/api/gym/join-link').send({ isOpen: true }).expect(200)
    const link = (await owner.get('/api/gym').expect(200)).body.joinLink as string
    const token = link.split('#')[1]
    const ask = (name: string) =>
      request
        .agent(world.app)
        .set(buildHeader, String(build))
        .post('/api/join/ask')
        .send({ token, name, by: 'newAccount', email: `${name}@test.example`, password: world.password })
    await ask('fay')
    await ask('gus')
    const asked = (await listed()).filter(({ subject }) => subject === 'Somebody asks to join Here')
    expect(asked.map(({ toName, link: to }) => [toName, to])).toEqual([['Olga', `${publicUrl}/people`]])
    const [first] = (await owner.get('/api/join-requests').expect(200)).body as { id: string; name: string }[]
    await owner.post(`/api/join-requests/${first?.id}`).send({ isTaken: true }).expect(204)
    expect((await of(`${first?.name}@test.example`))?.subject).toBe('You are a member of Here')
  })
})

describe('a link for a new password', () => {
  let member: Seated
  const sending = { ...settings, publicUrl, smtp: { url: 'smtp://mail.example', from: 'gym@oak.example' } }
  const forget = (email: string, on = sending) =>
    request
      .agent(makeApp(world.database, on, '/nowhere'))
      .set(buildHeader, String(build))
      .post('/api/forgotten')
      .send({ email })
      .expect(204)
  beforeAll(async () => {
    member = await world.addMember(gym, 'Mel')
  })

  test('is sent to whom it belongs, works once, and stands in no list of a gym', async () => {
    await forget(member.email.toUpperCase())
    await forget('nobody@test.example')
    await work('letter')
    expect(got.map(({ to }) => to)).toEqual([member.email])
    const token = /reset#(\S+)/.exec(got[0]?.text ?? '')?.[1]
    const agent = () => request.agent(world.app).set(buildHeader, String(build))
    await agent().post('/api/reset').send({ token, next: 'a boat on the mud' }).expect(204)
    await agent().post('/api/reset').send({ token, next: 'a boat on the sea' }).expect(410)
    await agent()
      .post('/api/session')
      .send({ email: member.email, password: 'a boat on the mud' })
      .expect(200)
    expect((await listed()).filter(({ toAddress }) => toAddress === member.email)).toEqual([])
  })

  test('is sent at most three times an hour, and never by a server without mail', async () => {
    await world.owner('account_letter').where({ account_id: member.account }).delete()
    await forget(member.email)
    for (let i = 0; i < 5; i++) await work('letter')
    expect(got).toHaveLength(3)
    const other = await world.addMember(gym, 'Ned')
    await forget(other.email, { ...sending, smtp: null } as never)
    await work('letter')
    expect(got.filter(({ to }) => to === other.email)).toEqual([])
  })
})
