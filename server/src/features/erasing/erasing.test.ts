import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { FormerLine } from '@young-oak/api/people'
import { operationFormat } from '@young-oak/api/operations'
import type { Database } from '../../database/open.ts'
import { tasks } from '../../jobs/tasks.ts'
import { makeProgram, type Program } from '../../testing/program.ts'
import { sessionAt, startOn } from '../../testing/training.ts'
import type { Agent, Seated, World } from '../../testing/world.ts'

let program: Program
let world: World
let gym: string
let owner: Agent
const first = '2026-03-02'
beforeAll(async () => {
  program = await makeProgram()
  ;({ world, gym } = program)
  owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
}, 120_000)
afterAll(() => world.end())

/** Runs the job of a day, as the queue would. */
const erase = (member: string, database: Database = world.database) => {
  const planners = () => {
    throw new Error('no planners are needed')
  }
  return tasks.erase({ database, planners, post: { mailer: null, publicUrl: '' } }, { gym, id: member })
}
const setDay = (member: string, inDays: number) =>
  world.owner.raw(
    `update member set erase_on = (now() at time zone 'Europe/London')::date + ?::int where id = ?`,
    [inDays, member],
  )
const send = (phone: Agent, ...operations: object[]) =>
  phone
    .post('/api/me/operations')
    .send({ format: operationFormat, operations: operations.map((one) => ({ id: randomUUID(), ...one })) })
    .expect(200)
const ask = (phone: Agent, current = world.password) => phone.post('/api/me/erasure').send({ current })

/** A member with a row in every table that knows members: two sessions in March, one in April. */
async function everywhere(): Promise<{ member: Seated; phone: Agent }> {
  const { member, phone, enrolment } = await program.enrol('Zenobia', first)
  for (const [i, date] of [first, '2026-03-04', '2026-04-01'].entries()) {
    const set = {
      slot: 'squat',
      n: 1,
      exercise: 'backSquat',
      state: 'done',
      load: { value: 60, unit: 'kg' },
      reps: 5,
    }
    await send(phone, await startOn(phone, date, i + 1), {
      kind: 'set',
      session: sessionAt(enrolment, i + 1),
      rev: 1,
      set,
    })
  }
  const load = { value: 70, unit: 'kg' }
  await phone.post('/api/me/body-weight').send({ load, date: first, today: first }).expect(200)
  const { id: group } = (
    await program.coach
      .post('/api/groups')
      .send({ name: member.id.slice(0, 8), rule: null })
      .expect(200)
  ).body as { id: string }
  await program.coach
    .post(`/api/groups/${group}/members`)
    .send({ members: [member.id], isIn: true })
    .expect(200)
  const kept = { through: first, body: '{}', revision: 1, gym_revision: 1, kind: 'next' }
  await world.owner('fold_checkpoint').insert({ gym_id: gym, member_id: member.id, ...kept })
  await world.owner('member_trait').insert({ gym_id: gym, member_id: member.id, name: 'days', amount: 3 })
  await world.owner('invitation').insert({
    gym_id: gym,
    role: 'member',
    name: 'Zenobia',
    email: member.email,
    token_hash: randomUUID(),
    made_by: program.writer.id,
    ends_at: '2030-01-01',
    used_at: '2026-01-01',
    used_by: member.account,
  })
  await world.owner('join_request').insert({ gym_id: gym, account_id: member.account, name: 'Zenobia' })
  await world.owner('account_letter').insert({
    token_hash: randomUUID(),
    account_id: member.account,
    ends_at: '2030-01-01',
  })
  await world.owner('impact_member').insert({
    gym_id: gym,
    look: 'a look',
    member_id: member.id,
    revision: 1,
    gym_revision: 1,
    is_what: 'same',
    jump: 0,
    needs: 0,
    short: 0,
    longer: 0,
    findings: 0,
    beside: 0,
    ends: 0,
    is_mid_week: false,
    is_paused: false,
    keeps_track: false,
    follows: 0,
    is_deload: false,
    body: '{}',
  })
  return { member, phone }
}

/** How many rows of each table with members in it are of one. */
async function rowsOf(member: string): Promise<Record<string, number>> {
  const { rows } = await world.owner.raw(
    `select c.table_name as name from information_schema.columns c join information_schema.tables t using (table_schema, table_name)
     where c.table_schema = 'public' and c.column_name = 'member_id' and t.table_type = 'BASE TABLE' order by 1`,
  )
  const counts: Record<string, number> = {}
  for (const { name } of rows as { name: string }[])
    counts[name] = Number((await world.owner(name).where({ member_id: member }).count('* as n'))[0]?.n)
  return counts
}

/** The tables in which a text stands anywhere. */
async function tablesWith(text: string): Promise<string[]> {
  const { rows } = await world.owner.raw(
    `select table_schema || '.' || table_name as name from information_schema.tables
     where table_schema in ('public', 'graphile_worker') and table_type = 'BASE TABLE'`,
  )
  const found: string[] = []
  for (const { name } of rows as { name: string }[]) {
    const { rows: hits } = await world.owner.raw(
      `select exists (select from ${name} row where row::text like ?) as hit`,
      [`%${text}%`],
    )
    if (hits[0].hit) found.push(name)
  }
  return found
}

describe('a member’s data', () => {
  test('is deleted from every table once the day has come; months of attendance and what was published stay without a name', async () => {
    const { member, phone } = await everywhere()
    const before = await rowsOf(member.id)
    // A table that is new here has to be filled above, and its rows to be thought about below.
    const { attendance_month: none, ...filled } = before
    expect(none).toBe(0)
    expect(Object.entries(filled).filter(([, count]) => count === 0)).toEqual([])

    await ask(phone).expect(200)
    await erase(member.id)
    expect(await rowsOf(member.id)).toEqual(before)
    await setDay(member.id, 0)
    await erase(member.id)

    const after = Object.entries(await rowsOf(member.id)).filter(([, count]) => count > 0)
    expect(Object.fromEntries(after)).toEqual({
      attendance_month: 2,
      // What staff did, by ids alone.
      audit: before.audit,
      enrolment: 1,
      publication_member: 1,
    })
    const months = await world.owner('attendance_month').where({ member_id: member.id }).orderBy('month')
    expect(months.map(({ month, sessions }) => [month, sessions])).toEqual([
      ['2026-03-01', 2],
      ['2026-04-01', 1],
    ])
    for (const text of ['Zenobia', member.email, member.account]) expect(await tablesWith(text)).toEqual([])
    // Nobody is signed in any more, and the address is free.
    await phone.get('/api/me/today?today=2026-06-01').expect(401)
    await world.owner('account').insert({ email: member.email, password_hash: '' })
    // Run again, it finds nothing to do.
    await erase(member.id)
    const reached = await program.coach.get('/api/members').expect(200)
    expect(JSON.stringify(reached.body)).not.toContain(member.id)
  })

  test('is deleted after 14 days, by a job of that day, and not where it was stopped', async () => {
    const { member, phone } = await program.enrol('Yara', first)
    await ask(phone, 'wrong').expect(401)
    expect((await phone.get('/api/me/erasure').expect(200)).body).toEqual({ eraseOn: null })
    const { eraseOn } = (await ask(phone).expect(200)).body as { eraseOn: string }
    const { rows } = await world.owner.raw(
      `select run_at = ?::date::timestamp at time zone 'Europe/London' as "isThen", (now() at time zone 'Europe/London')::date + 14 = ?::date as "isFar"
       from graphile_worker.jobs where key = ?`,
      [eraseOn, eraseOn, `erase ${gym} ${member.id}`],
    )
    expect(rows).toEqual([{ isThen: true, isFar: true }])
    // Asked again some days later, the day stays.
    await setDay(member.id, 3)
    const again = (await ask(phone).expect(200)).body as { eraseOn: string }
    expect(again.eraseOn < eraseOn).toBe(true)
    expect((await phone.delete('/api/me/erasure').expect(200)).body).toEqual({ eraseOn: null })
    await erase(member.id)
    expect((await phone.get('/api/me/today?today=2026-06-01').expect(200)).body.programs).toHaveLength(1)
  })

  test('goes from one gym alone, and the account stays while it has a seat anywhere', async () => {
    const { member, phone } = await program.enrol('Xenia', first)
    const elsewhere = await world.addGym('There')
    const seat = { gym_id: elsewhere, account_id: member.account, name: 'Xenia' }
    const [{ id: other }] = await world.owner('member').insert(seat).returning('id')
    await ask(phone).expect(200)
    await setDay(member.id, -1)
    await erase(member.id)
    expect(await world.owner('member').where({ id: other }).first('name', 'account_id')).toEqual({
      name: 'Xenia',
      account_id: member.account,
    })
    expect(await world.owner('account').where({ id: member.account }).first('email')).toEqual({
      email: member.email,
    })
    const there = await world.signIn(member)
    expect((await there.get('/api/session').expect(200)).body.seats).toHaveLength(1)
  })

  test('of somebody who has left is deleted at the owner’s word, and of nobody who is here', async () => {
    const { member } = await program.enrol('Wanda', first)
    const erasures = (isAsked: boolean, by = owner) =>
      by.post('/api/erasures').send({ members: [member.id], isAsked })
    const former = async () =>
      ((await owner.get('/api/former-members').expect(200)).body as { items: FormerLine[] }).items.find(
        ({ id }) => id === member.id,
      )
    await erasures(true, program.coach).expect(403)
    await erasures(true).expect(204)
    expect(await world.owner('member').where({ id: member.id }).first('erase_on')).toEqual({ erase_on: null })
    await owner
      .post('/api/memberships')
      .send({ members: [member.id], isOver: true })
      .expect(204)
    await erasures(true).expect(204)
    expect((await former())?.eraseOn).toMatch(/^\d{4}-\d\d-\d\d$/)
    await erasures(false).expect(204)
    expect((await former())?.eraseOn).toBeNull()
    await erasures(true).expect(204)
    await setDay(member.id, 0)
    await erase(member.id)
    expect(await former()).toBeUndefined()
    // Nobody can be taken back who is not known any more.
    await owner
      .post('/api/memberships')
      .send({ members: [member.id], isOver: false })
      .expect(204)
    expect((await world.owner('member').where({ id: member.id }).first('left_at')).left_at).not.toBeNull()
  })

  test('that a member asks to have deleted is the member’s alone to keep', async () => {
    const { member, phone } = await program.enrol('Ursel', first)
    const eraseOn = async () =>
      (await world.owner('member').where({ id: member.id }).first('erase_on')).erase_on
    const owners = (path: string, body: object) =>
      owner
        .post(`/api/${path}`)
        .send({ members: [member.id], ...body })
        .expect(204)
    await ask(phone).expect(200)
    await owners('erasures', { isAsked: false })
    await owners('memberships', { isOver: true })
    await owners('erasures', { isAsked: true })
    await owners('erasures', { isAsked: false })
    await owners('memberships', { isOver: false })
    expect(await eraseOn()).not.toBeNull()
    await phone.delete('/api/me/erasure').expect(200)
    expect(await eraseOn()).toBeNull()
    // The owner's own word goes where the member is taken back.
    await owners('memberships', { isOver: true })
    await owners('erasures', { isAsked: true })
    expect(await eraseOn()).not.toBeNull()
    await owners('memberships', { isOver: false })
    expect(await eraseOn()).toBeNull()
  })

  test('is nobody else’s to delete: not by the function of the database, in another gym or before the day', async () => {
    const { member } = await program.enrol('Vera', first)
    await setDay(member.id, 1)
    const elsewhere = await world.addGym('Far')
    for (const [where, inDays] of [
      [gym, 1],
      [elsewhere, 0],
    ] as const) {
      await setDay(member.id, inDays)
      const erased = await world.database.inGym(
        where,
        async ({ db }) => (await db.raw('select erase_member(?) as erased', [member.id])).rows[0].erased,
      )
      expect(erased).toBe(false)
    }
    expect((await rowsOf(member.id)).enrolment).toBe(1)
  })
})
