import { afterAll, beforeAll, expect, test } from '@jest/globals'
import pino from 'pino'
import type { PublicationView } from '@young-oak/api/publications'
import type { Knex } from 'knex'
import { connect } from '../database/open.ts'
import { publishing } from '../testing/publish.ts'
import { smallTemplate } from '../testing/template.ts'
import { makeWorld, type Agent, type Seated, type World } from '../testing/world.ts'
import { openQueue } from './queue.ts'

let world: World
let root: Knex
let gym: string
let coach: Agent
let writer: Seated
beforeAll(async () => {
  root = connect(process.env.TEST_DATABASE_URL ?? '')
  world = await makeWorld()
  gym = await world.addGym('Here')
  writer = await world.addStaff(gym, 'writer', 'Will')
  coach = await world.signIn(writer)
}, 120_000)
afterAll(async () => {
  await world.end()
  await root.destroy()
})

/** As often as it takes. */
async function until(isSo: () => Promise<boolean> | boolean): Promise<void> {
  while (!(await isSo())) await new Promise((resolve) => setTimeout(resolve, 20))
}

/** A publication of so many members that a task fills it in. */
async function publishToMany(): Promise<string> {
  const people = await world
    .owner('member')
    .insert(Array.from({ length: 501 }, (_, i) => ({ gym_id: gym, name: `Many ${i}` })))
    .returning('id')
  const members = people.map(({ id }) => id as string)
  await world
    .owner('assignment')
    .insert(members.map((member_id) => ({ gym_id: gym, member_id, staff_id: writer.id })))
  const { body } = await coach.post('/api/templates').send({ template: smallTemplate() }).expect(200)
  const asked = await publishing(coach, body.id, { members, start: '2026-12-07' })
  await coach.post(`/api/templates/${body.id}/publications`).send(asked).expect(200)
  return asked.id
}

test('a database that goes away while a task runs ends no server, and the task is done once it is back', async () => {
  const lost: unknown[] = []
  const onLost = (error: unknown) => void lost.push(error)
  process.on('unhandledRejection', onLost)
  const said: string[] = []
  const log = pino({ level: 'error' }, { write: (line: string) => void said.push(line) })
  const database = new URL(world.url).pathname.slice(1)
  const role = new URL(world.url).username
  const queue = await openQueue(world.url, world.database, log)
  try {
    const id = await publishToMany()
    await world.owner.transaction(async (holder) => {
      await holder.raw('select 1 from publication where id = ? for update', [id])
      await until(async () => {
        const { rows } = await root.raw(
          `select count(*)::int as waiting from pg_stat_activity where datname = ? and usename = ? and wait_event_type = 'Lock'`,
          [database, role],
        )
        return rows[0].waiting > 0
      })
      await root.raw(`alter database ${database} allow_connections false`)
      await root.raw(
        'select pg_terminate_backend(pid) from pg_stat_activity where datname = ? and usename = ?',
        [database, role],
      )
    })
    await until(() => said.some((line) => line.includes('the queue has ended')))
    await root.raw(`alter database ${database} allow_connections true`)
    const state = async () =>
      ((await coach.get(`/api/publications/${id}`)) as { body: PublicationView }).body.state
    await until(async () => (await state()) === 'inForce')
    expect(lost).toEqual([])
  } finally {
    process.off('unhandledRejection', onLost)
    await queue.close()
  }
}, 120_000)
