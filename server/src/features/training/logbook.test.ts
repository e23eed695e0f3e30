import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
import type { TodayView } from '@young-oak/api/training'
import { planMember } from '@young-oak/core/plan'
import { nextLoadsOf, type NextLoads } from '../../planning/nextLoads.ts'
import { publish } from '../../testing/publish.ts'
import { makeProgram, type Program } from '../../testing/program.ts'
import { smallTemplate } from '../../testing/template.ts'
import { sessionAt, startOn } from '../../testing/training.ts'
import type { Agent, Seated } from '../../testing/world.ts'
import { scopesForJob } from '../members/memberScope.ts'
import { inputOf } from './planInput.ts'
import { planEach } from './planEach.ts'

// Sets are appended; copies, checkpoints and the order of arrival must make no difference to what is planned from them.

let program: Program
let world: Program['world']
beforeAll(async () => {
  program = await makeProgram()
  ;({ world } = program)
}, 120_000)
afterAll(() => world.end())

let member: Seated
let phone: Agent
let enrolment: string
const first = '2026-03-02'
const on = '2026-03-17'
const days = [first, '2026-03-04', '2026-03-09', '2026-03-11', '2026-03-16']

/** A phone in the hand of a member who is on four weeks. */
beforeEach(async () => {
  const small = smallTemplate()
  const slots = Object.fromEntries(
    Object.entries(small.slots).map(([id, slot]) => [id, { ...slot, rows: { p: slot.rows.p?.slice(0, 1) } }]),
  )
  const phases = small.phases.map((phase) => ({ ...phase, weeks: 4 }))
  const long = await program.coach
    .post('/api/templates')
    .send({ template: { ...small, slots, phases } })
    .expect(200)
  member = await world.addMember(program.gym, 'Lou', program.writer)
  await publish(world, program.coach, long.body.id, { members: [member.id], start: first })
  phone = await world.signIn(member)
  enrolment = (await today(first)).enrolments[0]?.id ?? ''
})

const today = async (day = on): Promise<TodayView> =>
  (await phone.get(`/api/me/today?today=${day}`).expect(200)).body
const send = async (...operations: object[]): Promise<{ result: string }[]> =>
  (
    await phone
      .post('/api/me/operations')
      .send({ format: operationFormat, operations: operations.map((one) => ({ id: randomUUID(), ...one })) })
      .expect(200)
  ).body.answers
const session = (position: number) => sessionAt(enrolment, position)
const set = (position: number, n: number, load: number, change: object = {}, rev = 1) => ({
  kind: 'set',
  session: session(position),
  rev,
  set: {
    slot: 'squat',
    n,
    exercise: 'backSquat',
    state: 'done',
    load: { value: load, unit: 'kg' },
    reps: 5,
    ...change,
  },
})
const close = (position: number) => ({ kind: 'close', session: session(position) })

/** Trains the first sessions as they are asked; with `closes` each is closed. */
async function train(count: number, closes = true): Promise<void> {
  for (const [i, date] of days.slice(0, count).entries()) {
    const position = i + 1
    const sets = [1, 2].map((n) => set(position, n, 60 + 2.5 * i))
    await send(await startOn(phone, date, position), ...sets, ...(closes ? [close(position)] : []))
    await today(date)
  }
}

/** A job's plan of the member's next sessions: their loads, and how many sessions were read for them. */
const job = (): Promise<{ loads: NextLoads[string]; sessions: number }[]> =>
  world.database.inGym(program.gym, async (scope) => {
    const planned = await planEach(await scopesForJob(scope, [member.id]), on, ({ file, checkpoint }) => {
      const planned = planMember(inputOf(scope, file, { today: on, through: 'next' }), checkpoint)
      return { found: nextLoadsOf(planned), planned, isWhole: planned.isResumed }
    })
    return planned.map(({ read, found }) => ({ loads: found, sessions: read.file.member.logs.length }))
  })

const kinds = async (): Promise<[string, string][]> =>
  (await world.owner('fold_checkpoint').where({ member_id: member.id }).orderBy('kind')).map(
    ({ kind, through }) => [kind, through],
  )
const checkpoint = () => world.owner('fold_checkpoint').where({ member_id: member.id }).first()
const copyOf = async (position: number) =>
  (
    await world
      .owner('session_log')
      .where({ id: session(position) })
      .first('copy')
  ).copy

/** What a replay of everything gives, from entries alone: no checkpoint, and no set in any copy. */
async function replayed(day = on): Promise<TodayView> {
  const before = await today(day)
  await world.owner('fold_checkpoint').where({ member_id: member.id }).del()
  await world.owner.raw(
    `update session_log set copied = -1, copy = jsonb_set(copy::jsonb, '{sets}', '[]')::json where member_id = ?`,
    [member.id],
  )
  const after = await today(day)
  expect(after.programs).toEqual(before.programs)
  expect(after.logs.map(({ sets }) => sets.length)).toEqual(before.logs.map(({ sets }) => sets.length))
  return after
}

describe('the checkpoint of a member', () => {
  test('can be dropped at any time', async () => {
    await train(5)
    const planned = await today()
    const kept = await checkpoint()
    expect(kept.body.states).toHaveProperty([enrolment])
    await world.owner('fold_checkpoint').del()
    expect(await today()).toEqual(planned)
    expect((await checkpoint()).through).toBe(kept.through)
    expect(await today()).toEqual(planned)
    await replayed()
  })

  test('holds while what is written is dated after it, and is made anew where it is not', async () => {
    await train(5)
    await today()
    const before = await checkpoint()
    await send({ ...set(5, 2, 70, { reps: 3 }, 2) })
    await today()
    expect((await checkpoint()).revision).toBe(before.revision)
    // A correction before it. The later hits stand for the loads they were made at, so the plan is the same.
    const planned = await today()
    await send(set(1, 1, 60, { reps: 2 }, 2))
    expect((await today()).programs).toEqual(planned.programs)
    const after = await checkpoint()
    expect(Number(after.revision)).toBeGreaterThan(Number(before.revision))
    expect(after.body.states).not.toEqual(before.body.states)
    await replayed()
  })

  test('made before the gym’s equipment was mended is not believed', async () => {
    await train(5)
    await today()
    const before = await checkpoint()
    await world.owner('gym').where({ id: program.gym }).increment('revision', 1)
    await today()
    const after = await checkpoint()
    expect(Number(after.gym_revision)).toBe(Number(before.gym_revision) + 1)
  })

  test('of a job lies at the last day before today: no session is read where none was trained since', async () => {
    await train(5)
    const [whole] = await job()
    // It goes on from where the screen has left off.
    expect(whole?.sessions).toBe(3)
    expect(await kinds()).toContainEqual(['next', days[4]])
    expect(await job()).toEqual([{ ...whole, sessions: 0 }])
  })

  test('of a screen and of a job do not vouch for each other: both feel a correction before them', async () => {
    await train(5)
    const [before] = await job()
    expect((await kinds()).map(([kind]) => kind)).toEqual(['near', 'next'])
    // The last session was no hit after all. What the screen keeps then clears the mark of that.
    await send(set(5, 1, 70, { reps: 2 }, 2), set(5, 2, 70, { reps: 2 }, 2))
    await world.owner('fold_checkpoint').where({ member_id: member.id, kind: 'near' }).del()
    await today()
    expect((await kinds()).map(([kind]) => kind)).toEqual(['near'])
    const [after] = await job()
    expect(after?.loads).not.toEqual(before?.loads)
    await world.owner('fold_checkpoint').where({ member_id: member.id }).del()
    expect((await job())[0]?.loads).toEqual(after?.loads)
  })

  test('is not kept where something was written since the member was read', async () => {
    await train(5)
    await world.owner('fold_checkpoint').where({ member_id: member.id }).del()
    // A writer of this member is under way: they hold the row, and have written a max of the first day.
    const held = await world.owner.transaction()
    await held('member').where({ id: member.id }).update({ dirty_from: first }).increment('revision', 1)
    await today()
    expect(await checkpoint()).toBeUndefined()
    await held.commit()
    await today()
    expect(await checkpoint()).toBeDefined()
    await replayed()
  })
})

describe('sets', () => {
  test('are planned from before their session is closed, and after', async () => {
    await send(await startOn(phone, first, 1), set(1, 1, 60), set(1, 2, 60))
    expect((await copyOf(1)).sets).toEqual([])
    const open = await replayed('2026-03-03')
    await send(close(1))
    expect((await copyOf(1)).sets).toHaveLength(2)
    expect((await today('2026-03-03')).programs).toEqual(open.programs)
    await replayed('2026-03-03')
  })

  test('that arrive after a reader has made their session’s copy count like the others', async () => {
    await train(5, false)
    await today()
    expect((await copyOf(1)).sets).toHaveLength(2)
    expect((await copyOf(5)).sets).toEqual([])
    await send(set(1, 2, 60, { reps: 1 }, 2), set(1, 3, 60))
    const { logs } = await replayed('2026-03-08')
    expect(logs.find(({ id }) => id === session(1))?.sets).toMatchObject([
      { n: 1, reps: 5 },
      { n: 2, reps: 1 },
      { n: 3, reps: 5 },
    ])
  })

  test('in whatever order they arrive, and however often, give one plan', async () => {
    await send(await startOn(phone, first, 1))
    const all = [set(1, 1, 60), set(1, 2, 60), set(1, 2, 60, { reps: 2 }, 2), set(1, 1, 62.5, {}, 2)].map(
      (one) => ({
        id: randomUUID(),
        ...one,
      }),
    )
    const [a, b, c, d] = all as [object, object, object, object]
    await send(d, c)
    await send(b, a, d)
    expect((await today(first)).logs[0]?.sets).toHaveLength(2)
    const byN = ({ logs }: TodayView) => [...(logs[0]?.sets ?? [])].sort((x, y) => x.n - y.n)
    expect(byN(await today(first))).toMatchObject([{ load: { value: 62.5 } }, { reps: 2 }])
    await replayed(first)
  })

  test('of many members at once are each answered, and a member whose row is held holds up nobody', async () => {
    const phones = await Promise.all(
      ['Ann', 'Bo', 'Cy', 'Di'].map(async (name) => {
        const own = await program.enrol(name, first)
        await own.phone
          .post('/api/me/operations')
          .send({
            format: operationFormat,
            operations: [{ id: randomUUID(), ...(await startOn(own.phone, first)) }],
          })
          .expect(200)
        return own
      }),
    )
    const [ann, ...others] = phones as [(typeof phones)[0], ...typeof phones]
    const log = async (own: (typeof phones)[0], n: number) => {
      const operation = { ...set(1, n, 60), id: randomUUID(), session: sessionAt(own.enrolment) }
      const { body } = await own.phone
        .post('/api/me/operations')
        .send({ format: operationFormat, operations: [operation] })
      return body.answers?.[0].result ?? body.code
    }
    const held = await world.owner.transaction()
    await held('member').where({ id: ann.member.id }).forUpdate().first()
    const waiting = log(ann, 1)
    const answers = await Promise.all(
      Array.from({ length: 24 }, (_, i) => log(others[i % 3] as (typeof phones)[0], 1 + Math.floor(i / 3))),
    )
    expect(new Set(answers)).toEqual(new Set(['stored']))
    await held.commit()
    expect(['stored', 'busy']).toContain(await waiting)
  })

  test('of somebody whose seat is gone are refused, and none is stored', async () => {
    await send(await startOn(phone, first, 1))
    await world.owner('member').where({ id: member.id }).update({ account_id: null })
    await phone
      .post('/api/me/operations')
      .send({ format: operationFormat, operations: [{ id: randomUUID(), ...set(1, 1, 60) }] })
      .expect(403)
    expect(await world.owner('set_entry').where({ session_id: session(1) })).toEqual([])
  })
})
