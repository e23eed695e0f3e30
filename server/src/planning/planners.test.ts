import { randomUUID } from 'node:crypto'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
import { makeProgram, type Program } from '../testing/program.ts'
import { publish } from '../testing/publish.ts'
import { sessionAt, startOn } from '../testing/training.ts'
import { openPlanners, type Planners } from './planners.ts'

let program: Program
let planners: Planners
const members: string[] = []
const day = '2026-03-02'
const next = '2026-03-04'
const most = 120
beforeAll(async () => {
  program = await makeProgram()
  const { world, gym, coach, template } = program
  planners = openPlanners(world.url, 2)
  const people = await world
    .owner('member')
    .insert(Array.from({ length: most - 1 }, (_, i) => ({ gym_id: gym, name: `Member ${i}` })))
    .returning('id')
  const ids = people.map(({ id }) => id as string)
  await world
    .owner('assignment')
    .insert(ids.map((member_id) => ({ gym_id: gym, member_id, staff_id: program.writer.id })))
  await publish(world, coach, template, { members: ids, start: day })
  const { member, phone, enrolment } = await program.enrol('Mel', day)
  const sets = [1, 2].map((n) => ({
    kind: 'set',
    session: sessionAt(enrolment),
    rev: 1,
    set: { slot: 'squat', n, exercise: 'backSquat', state: 'done', load: { value: 60, unit: 'kg' }, reps: 5 },
  }))
  const operations = [await startOn(phone, day), ...sets].map((one) => ({ id: randomUUID(), ...one }))
  await phone.post('/api/me/operations').send({ format: operationFormat, operations }).expect(200)
  members.push(member.id, ...ids)
}, 180_000)
afterAll(async () => {
  await planners.close()
  await program.world.end()
})

const asked = () => ({ gym: program.gym, members, today: next })
const squatOf = (own: Record<string, { load: string }> | undefined) =>
  Object.entries(own ?? {}).find(([at]) => at.includes('squat'))?.[1].load

test('next loads of many members are those of each alone, and it is said how far it has come', async () => {
  const said: number[] = []
  const all = await planners.nextLoads(asked(), { onProgress: (done, of) => said.push(done / of) })
  expect(Object.keys(all).sort()).toEqual([...members].sort())
  expect(squatOf(all[members[0] as string])).toBe('2 × 62.5 kg')
  expect(new Set(members.slice(1).map((id) => squatOf(all[id])))).toEqual(new Set(['2 × 60 kg']))
  expect([said.length, said.at(-1)]).toEqual([5, 1])
})

test('another engine plans from everything, and gives the same where it is the same', async () => {
  const core = fileURLToPath(new URL('../../../core/src', import.meta.url))
  const other = openPlanners(program.world.url, 1, core)
  const some = { ...asked(), members: members.slice(0, 3) }
  try {
    expect(await other.nextLoads(some)).toEqual(await planners.nextLoads(some))
  } finally {
    await other.close()
  }
})

test('it is stopped, and a member of another gym is not planned', async () => {
  const stop = new AbortController()
  const running = planners.nextLoads(asked(), { signal: stop.signal })
  stop.abort()
  await expect(running).rejects.toThrow(/abort/i)
  const elsewhere = await program.world.addGym('There')
  expect(await planners.nextLoads({ ...asked(), gym: elsewhere })).toEqual({})
  expect(Object.keys(await planners.nextLoads(asked()))).toHaveLength(most)
})
