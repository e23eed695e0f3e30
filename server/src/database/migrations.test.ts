import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import type { Knex } from 'knex'
import { smallTemplate } from '../testing/template.ts'
import { contentHash } from './columns.ts'
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

  await upTo('007_assignments')
  const rows = await db('assignment').select('gym_id', 'member_id', 'staff_id', 'until_at')
  expect(rows).toEqual([{ gym_id, member_id: mel, staff_id, until_at: null }])
  expect(await db.schema.hasColumn('member', 'writer_id')).toBe(false)
})

test('a database of format 1 keeps all its documents, and what a draft has changed since its version', async () => {
  const made = async (table: string, row: object): Promise<string> =>
    (await db(table).insert(row).returning('id'))[0].id
  const { id: gym_id } = await db('gym').first('id')
  const { id: staff_id } = await db('staff').first('id')
  const { id: member_id } = await db('member').orderBy('name').first('id')
  const old = (change: object) => {
    const { format: _, phases, sessions, slots, ...rest } = smallTemplate()
    const phases1 = phases.map(({ deloads, ...phase }) => ({ ...phase, light: deloads }))
    const sessions1 = Object.entries(sessions).map(([id, { sections, ...one }]) => [
      id,
      { ...one, parts: sections },
    ])
    const slots1 = Object.entries(slots).map(([id, { uses, ...one }]) => [id, { ...one, follows: uses }])
    const pieces = {
      phases: phases1,
      sessions: Object.fromEntries(sessions1),
      slots: Object.fromEntries(slots1),
    }
    return JSON.stringify({ format: 1, ...rest, ...pieces, ...change })
  }
  const template = (draft: string) => made('template', { gym_id, draft })
  const version = (template_id: string, body: string) =>
    made('template_version', { gym_id, template_id, number: 1, note: '', body, staff_id })
  const [same, changed] = [await template(old({})), await template(old({ name: 'Changed' }))]
  const version_id = await version(same, old({}))
  await version(changed, old({}))
  const command = { do: 'setLight', phase: 'p', from: [], to: [] }
  const edit = {
    gym_id,
    template_id: same,
    revision: 1,
    id: randomUUID(),
    staff_id,
    command: JSON.stringify(command),
  }
  await db('template_edit').insert(edit)
  const fact = (id: string, body: object) => ({
    gym_id,
    member_id,
    id,
    rev: 1,
    change: '',
    date: '2026-03-02',
    body: JSON.stringify(body),
  })
  await db('fact').insert([fact('a', { kind: 'light' }), fact('b', { kind: 'max' })])
  await db('place').insert({ gym_id, id: 'shed', name: 'The shed' })

  const enrolment_id = await made('enrolment', { gym_id, member_id, template_id: same })
  const session = { gym_id, id: 'e:1:1', member_id, enrolment_id, date: '2026-03-03' }
  const shown = { format: 1, version: version_id }
  const copy = JSON.stringify({ change: 'c', place: 'shed' })
  await db('session_log').insert({ ...session, copy, shown: JSON.stringify(shown) })

  const old_segment = { gym_id, enrolment_id, version_id }
  await db('enrolment_segment').insert({ ...old_segment, starts_on: '2026-03-02', track: 'light' })
  await db('enrolment_segment').insert({ ...old_segment, starts_on: '2026-03-16', begins: 'session' })

  expect(await migrate(url)).toEqual([
    '008_formats',
    '009_starts',
    '010_revisions',
    '011_json',
    '012_people',
    '013_publications',
    '014_checkpoints',
    '015_mail',
    '016_erasing',
    '017_week',
    '018_groups',
    '019_traits',
    '020_tracks',
    '021_authors',
    '022_audit',
    '023_first_days',
    '024_room',
    '025_audit_subject',
    '026_enjoyed',
  ])
  expect(
    await db('counting_publication')
      .orderBy('number')
      .select(
        'number',
        'member_id',
        'enrolment_id',
        'version_id',
        'starts_on',
        'begins',
        'track',
        'sets_track',
      ),
  ).toEqual(
    [
      { number: 1, starts_on: '2026-03-02', begins: 'week', track: 'light' },
      { number: 2, starts_on: '2026-03-16', begins: 'session', track: null },
    ].map((one) => ({ ...one, member_id, enrolment_id, version_id, sets_track: true })),
  )
  expect(
    await db('session_start').select(
      'session_id',
      'change',
      'date',
      'minute',
      'location',
      'version_id',
      'shown',
    ),
  ).toEqual([
    {
      session_id: 'e:1:1',
      change: 'c',
      date: '2026-03-03',
      minute: null,
      location: 'shed',
      version_id,
      shown,
    },
  ])
  expect(await db('fact').orderBy('id').select('kind', 'format')).toEqual([
    { kind: 'deload', format: 1 },
    { kind: 'max', format: 1 },
  ])
  expect(await db('template_edit').first('format', 'command')).toEqual({ format: 1, command })
  expect(await db('location').where({ gym_id }).select('id', 'name')).toContainEqual({
    id: 'shed',
    name: 'The shed',
  })
  const drafts = await db('template').select('id', 'name', 'weeks', 'per_week', 'slots', 'content_hash')
  const versions = await db('template_version').select('template_id', 'content_hash')
  const isSame = (id: string) =>
    drafts.find((one) => one.id === id).content_hash ===
    versions.find((one) => one.template_id === id).content_hash
  expect([isSame(same), isSame(changed)]).toEqual([true, false])
  // A draft of format 2 that says the same is the same.
  expect(drafts.find(({ id }) => id === same)).toMatchObject({
    name: smallTemplate().name,
    slots: Object.keys(smallTemplate().slots).length,
    content_hash: contentHash(smallTemplate()),
  })
  expect(await migrate(url)).toEqual([])
})
