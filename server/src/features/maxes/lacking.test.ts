import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import type { MaxesView } from '@young-oak/api/maxes'
import { operationFormat } from '@young-oak/api/operations'
import { makeProgram, type Program } from '../../testing/program.ts'
import { sessionAt, startOn } from '../../testing/training.ts'
import type { Agent, Seated } from '../../testing/world.ts'

let program: Program
const day = '2026-03-02'
beforeAll(async () => {
  program = await makeProgram()
}, 120_000)
afterAll(() => program.world.end())

/** A member who has done a set of squats: five at 60 kg, with two left, are about 74 kg. */
async function trained(name: string): Promise<{ member: Seated; phone: Agent }> {
  const { member, phone, enrolment } = await program.enrol(name, day)
  const set = {
    slot: 'squat',
    n: 1,
    exercise: 'backSquat',
    state: 'done',
    load: { value: 60, unit: 'kg' },
    reps: 5,
    rir: 2,
  }
  const session = sessionAt(enrolment)
  const operations = [
    await startOn(phone, day),
    { kind: 'set', session, rev: 1, set },
    { kind: 'close', session },
  ].map((one) => ({ id: randomUUID(), ...one }))
  await phone.post('/api/me/operations').send({ format: operationFormat, operations }).expect(200)
  return { member, phone }
}

const lifts = [{ exercise: 'backSquat' }, { exercise: 'benchPress' }]
const send = (what: 'estimates' | 'letters', members: Seated[], by = program.coach) =>
  by.post(`/api/maxes/${what}`).send({ rows: members.map(({ id }) => ({ member: id, lifts })), today: day })
const maxesOf = async (phone: Agent): Promise<MaxesView['maxes']> =>
  (await phone.get(`/api/me/maxes?today=${day}`).expect(200)).body.maxes

test('estimates are accepted for who has no max of a lift, and a max that is there stays', async () => {
  const mel = await trained('Mel')
  const una = await trained('Una')
  const given = { load: { value: 100, unit: 'kg' }, reps: 1, formula: 'epley', date: day, today: day }
  await una.phone
    .post('/api/me/maxes')
    .send({ exercise: 'backSquat', ...given })
    .expect(200)
  const members = [mel.member, una.member]
  // Nobody has done a bench press.
  expect((await send('estimates', members).expect(200)).body).toEqual({ stored: 1, without: 2 })
  expect(await maxesOf(mel.phone)).toMatchObject([
    { exercise: 'backSquat', from: { load: { value: 60 }, reps: 5, rir: 2 } },
  ])
  expect(await maxesOf(una.phone)).toMatchObject([{ exercise: 'backSquat', load: { value: 100 } }])
  expect((await send('estimates', members).expect(200)).body).toEqual({ stored: 0, without: 2 })
})

test('members are asked for their maxes once a day, in a message without figures', async () => {
  const { member } = await trained('Nia')
  expect((await send('letters', [member]).expect(200)).body).toEqual({ asked: 1 })
  await send('letters', [member]).expect(200)
  const mails = await program.world.owner('mail').where({ to_address: member.email })
  expect(mails).toMatchObject([{ to_name: 'Nia', path: '/maxes' }])
  expect(mails[0].body).not.toMatch(/kg|squat|bench/i)
})

test('another writer’s members are neither asked nor given maxes', async () => {
  const { member } = await trained('Ola')
  const other = await program.world.signIn(await program.world.addStaff(program.gym, 'writer', 'Wanda'))
  await send('estimates', [member], other).expect(403)
  await send('letters', [member], other).expect(403)
  expect(await program.world.owner('mail').where({ to_address: member.email })).toEqual([])
})
