import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import type { Knex } from 'knex'
import { migrate } from './migrate.ts'
import { migrationSource } from './migrations/index.ts'
import { connect } from './open.ts'

const admin = process.env.TEST_DATABASE_URL ?? ''
const name = `t_old_${randomUUID().replaceAll('-', '')}`
const url = Object.assign(new URL(admin), { pathname: `/${name}` }).href
let root: Knex
let db: Knex
beforeAll(async () => {
  root = connect(admin)
  await root.raw(`create database ${name}`)
  db = connect(url)
}, 120_000)
afterAll(async () => {
  await db.destroy()
  await root.raw(`drop database ${name} with (force)`)
  await root.destroy()
})

/** The database as the migrations up to one of them leave it. */
async function upTo(last: string): Promise<void> {
  const names = await migrationSource.getMigrations([])
  const getMigrations = () => Promise.resolve(names.slice(0, names.indexOf(last) + 1))
  await db.migrate.latest({ migrationSource: { ...migrationSource, getMigrations } })
}

test('a database whose members have one writer each keeps them as assignments', async () => {
  await upTo('006_exercises')
  const made = async (table: string, row: object): Promise<string> =>
    (await db(table).insert(row).returning('id'))[0].id
  const gym_id = await made('gym', { name: 'Here', zone: 'Europe/London', unit: 'kg' })
  const account = (person: string) => made('account', { email: `${person}@test.example`, password_hash: 'x' })
  const account_id = await account('Will')
  const staff_id = await made('staff', { gym_id, account_id, name: 'Will', role: 'writer' })
  const member = async (person: string, writer_id: string | null) =>
    made('member', { gym_id, account_id: await account(person), name: person, writer_id })
  const [mel] = [await member('Mel', staff_id), await member('Una', null)]

  expect(await migrate(url)).toEqual(['007_assignments'])
  const rows = await db('assignment').select('gym_id', 'member_id', 'staff_id', 'until_at')
  expect(rows).toEqual([{ gym_id, member_id: mel, staff_id, until_at: null }])
  expect(await db.schema.hasColumn('member', 'writer_id')).toBe(false)
})
