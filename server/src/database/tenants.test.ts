import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { makeWorld, type World } from '../testing/world.ts'
import { checkDatabase } from './check.ts'
import { openDatabase } from './open.ts'

let world: World
let here: string
let there: string
beforeAll(async () => {
  world = await makeWorld()
  here = await world.addGym('Here')
  there = await world.addGym('There')
  await world.addMember(here, 'Ada')
  await world.addMember(there, 'Bea')
}, 120_000)
afterAll(() => world.end())

describe('the second wall', () => {
  test('stands, forced and with a policy, on every table that has a gym', async () => {
    const { rows } = await world.owner.raw(`
      select c.relname, c.relrowsecurity and c.relforcerowsecurity as walled,
        exists (select from pg_policies p where p.tablename = c.relname and p.policyname = 'own_gym') as policy
      from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'gym_id'
      where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace`)
    expect(rows.length).toBeGreaterThanOrEqual(12)
    expect(rows.filter((row: { walled: boolean; policy: boolean }) => !row.walled || !row.policy)).toEqual([])
  })

  test('keeps every key of such a table composite with the gym', async () => {
    const { rows } = await world.owner.raw(`
      select conrelid::regclass::text as name, conname, pg_get_constraintdef(oid) as says from pg_constraint
      where contype in ('p', 'f') and connamespace = 'public'::regnamespace
        and exists (select from pg_attribute a where a.attrelid = conrelid and a.attname = 'gym_id')`)
    const toTenants = rows.filter(({ says }: { says: string }) => !/REFERENCES (gym|account)\(/.test(says))
    expect(toTenants.filter(({ says }: { says: string }) => !says.includes('(gym_id'))).toEqual([])
  })

  test('shows no rows where no gym is set, and only its own where one is', async () => {
    const names = (rows: { name: string }[]) => rows.map(({ name }) => name)
    await world.database.outside(async ({ db }) => expect(await db('member').select('name')).toEqual([]))
    await world.database.inGym(here, async ({ db }) =>
      expect(names(await db('member').select('name'))).toEqual(['Ada']),
    )
    await world.database.inGym(there, async ({ db }) =>
      expect(names(await db('member').select('name'))).toEqual(['Bea']),
    )
  })

  test('refuses a row of another gym', async () => {
    const write = world.database.inGym(here, ({ db }) => db('member').insert({ gym_id: there, name: 'Eve' }))
    await expect(write).rejects.toThrow(/row-level security/)
  })

  test('does not leak a gym from one transaction into the next', async () => {
    await world.database.inGym(here, ({ db }) => db('member').select('id'))
    const seen = await Promise.all(
      Array.from({ length: 20 }, () => world.database.outside(({ db }) => db('member').count('id as n'))),
    )
    for (const rows of seen) expect(Number(rows[0]?.n)).toBe(0)
  })

  test('binds the role that the app signs in as, which owns nothing and may not rewrite history', async () => {
    const owned = await world.owner('pg_tables').where({ tableowner: 'young_oak_app' }).select('tablename')
    expect(owned).toEqual([])
    for (const table of ['fact', 'set_entry', 'template_version', 'template_edit']) {
      const change = world.database.inGym(here, ({ db }) => db.raw(`delete from ${table}`))
      await expect(change).rejects.toThrow(/permission denied/)
    }
  })
})

test('a server signed in as a superuser refuses to start', async () => {
  const url = Object.assign(new URL(process.env.TEST_DATABASE_URL ?? ''), {
    pathname: new URL(world.database.pool.options.connectionString ?? '').pathname,
  }).href
  const asOwner = openDatabase(url)
  await expect(checkDatabase(asOwner)).rejects.toThrow(/the wall between gyms does not bind/)
  await asOwner.close()
  await expect(checkDatabase(world.database)).resolves.toBeUndefined()
})
