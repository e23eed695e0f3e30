// Fills an empty database with the demo's gym, people, templates and eight weeks of training; leaves a filled one alone.
import { randomUUID } from 'node:crypto'
import type { Fact } from '@young-oak/core/facts'
import type { Enrolment, SessionLog } from '@young-oak/core/member'
import { readTemplate, type Template } from '@young-oak/core/template'
import { addDays, type Day, type Rack } from '@young-oak/core/units'
import {
  draftColumns,
  factColumns,
  logColumns,
  startColumns,
  setColumns,
  versionColumns,
} from '@young-oak/server/database/columns'
import { migrate } from '@young-oak/server/database/migrate'
import { connect } from '@young-oak/server/database/open'
import { demoAccounts } from '@young-oak/server/features/accounts/demoAccounts'
import { hashPassword } from '@young-oak/server/features/accounts/password'
import { readOwnerUrl } from '@young-oak/server/settings'
import { dice } from './dice.ts'
import {
  beginners,
  fixed,
  gym,
  hotel,
  hotelRacks,
  lifters,
  place,
  racers,
  racks,
  rowers,
  staff,
  type Person,
} from './gym.ts'
import { clubExercises } from './exercises.ts'
import { lifeOf } from './life.ts'
import { mudflatSets } from './mudflat.ts'
import { regattaLadder } from './regatta.ts'
import { placeFacts, simulate, startingFacts } from './simulate.ts'
import { estuaryWaves, tidewayBase } from './templates.ts'

const weeksOfLogs = 8
/** The club's test lies in the twelfth week. */
const daysToTest = 7 * 11 + 5
type Db = ReturnType<typeof connect>

async function main(): Promise<void> {
  const ownerUrl = readOwnerUrl()
  await migrate(ownerUrl)
  const db = connect(ownerUrl)
  try {
    if (await db('gym').first('id')) return
    process.stdout.write('Filling in the demo data…\n')
    await db.transaction((transaction) => fill(transaction as unknown as Db, localDay()))
  } finally {
    await db.destroy()
  }
}

async function fill(db: Db, today: Day): Promise<void> {
  const start = addDays(mondayOf(today), -7 * weeksOfLogs)
  const [{ id: gymId }] = await db('gym').insert(gym).returning('id')
  await db('location').insert({ gym_id: gymId, ...place })
  await db('location_equipment').insert({
    gym_id: gymId,
    location_id: place.id,
    acts_from: addDays(start, -30),
    racks: JSON.stringify(racks),
    fixed: JSON.stringify(fixed),
  })
  await db('location').insert({ gym_id: gymId, ...hotel })
  await db('location_equipment').insert({
    gym_id: gymId,
    location_id: hotel.id,
    acts_from: addDays(start, -30),
    racks: JSON.stringify(hotelRacks),
  })
  await db('exercise').insert(
    Object.entries(clubExercises).map(([id, body]) => ({ gym_id: gymId, id, body: JSON.stringify(body) })),
  )
  const password = await hashPassword(demoAccounts[0]?.password ?? '')
  const seats: Record<string, string> = {}
  for (const { email, name, role } of staff) {
    const account_id = await insertAccount(db, email, password)
    const [row] = await db('staff').insert({ gym_id: gymId, account_id, name, role }).returning('id')
    seats[email] = row.id
  }
  const prescriptions = [
    {
      people: beginners,
      template: tidewayBase,
      writer: seats['wren@demo.example'] as string,
      weekdays: [0, 2, 4],
      seed: 11,
    },
    {
      people: lifters,
      template: mudflatSets,
      writer: seats['wren@demo.example'] as string,
      weekdays: [0, 2, 4],
      seed: 53,
    },
    {
      people: rowers,
      template: estuaryWaves,
      writer: seats['odell@demo.example'] as string,
      weekdays: [0, 1, 3, 4],
      seed: 23,
    },
    {
      people: racers,
      template: regattaLadder,
      writer: seats['odell@demo.example'] as string,
      weekdays: [0, 2, 4],
      seed: 37,
      clock: 'calendar' as const,
      testDay: addDays(start, daysToTest),
    },
  ]
  for (const prescribed of prescriptions) await fillSets(db, gymId, { ...prescribed, start, today, password })
}

type Group = {
  people: Person[]
  template: Template
  writer: string
  weekdays: number[]
  seed: number
  clock?: 'calendar'
  testDay?: Day
  start: Day
  today: Day
  password: string
}

/** A template, its first version, and the members who train on it. */
async function fillSets(
  db: Db,
  gymId: string,
  { people, template, writer, weekdays, seed, clock, testDay, start, today, password }: Group,
): Promise<void> {
  const { template: body, issues } = readTemplate(template, clubExercises)
  if (!body) throw new Error(`invalid demo template "${template.name}": ${JSON.stringify(issues)}`)
  const [{ id: templateId }] = await db('template')
    .insert({ gym_id: gymId, author_id: writer, ...draftColumns(body) })
    .returning('id')
  const note = 'First version.'
  const [{ id: version }] = await db('template_version')
    .insert({
      gym_id: gymId,
      template_id: templateId,
      number: 1,
      note,
      ...versionColumns(body),
      staff_id: writer,
      published_at: addDays(start, -3),
    })
    .returning('id')
  const publication = randomUUID()
  const [{ number }] = await db('publication')
    .where({ gym_id: gymId })
    .select(db.raw('coalesce(max(number), 0) + 1 as number'))
  await db('publication').insert({
    gym_id: gymId,
    id: publication,
    number,
    after: number - 1,
    template_id: templateId,
    version_id: version,
    revision: 0,
    starts_on: start,
    begins: 'week',
    clock: clock ?? 'own',
    others: 'beside',
    note,
    state: 'inForce',
    audience: people.length,
    made_by: writer,
    made_at: addDays(start, -3),
    in_force_on: addDays(start, -3),
  })
  for (const [i, person] of people.entries()) {
    const account_id = await insertAccount(db, person.email, password)
    const [{ id: memberId }] = await db('member')
      .insert({ gym_id: gymId, account_id, name: person.name })
      .returning('id')
    await db('assignment').insert({
      gym_id: gymId,
      member_id: memberId,
      staff_id: writer,
      from_at: addDays(start, -3),
    })
    const { track } = person
    const segment = { from: start, version, ...(track && { track }) }
    const enrolment: Enrolment = { id: randomUUID(), ...(clock && { clock }), segments: [segment] }
    await db('enrolment').insert({
      gym_id: gymId,
      id: enrolment.id,
      member_id: memberId,
      template_id: templateId,
      clock,
    })
    await db('publication_member').insert({
      gym_id: gymId,
      publication_id: publication,
      member_id: memberId,
      enrolment_id: enrolment.id,
      sets_track: true,
      track: track ?? null,
    })
    const rack = racks.find(({ unit }) => unit === (person.unit ?? 'kg')) as Rack
    const facts = [
      ...startingFacts(person, rack, addDays(start, -3), testDay),
      ...lifeOf(person.name, start, today),
    ]
    await insertFacts(db, gymId, memberId, facts)
    const logs = simulate({
      person,
      facts: [...placeFacts(addDays(start, -30)), ...facts],
      enrolment,
      version: body,
      start,
      until: today,
      weekdays,
      dice: dice(seed + i),
    })
    await insertLogs(db, gymId, memberId, logs)
  }
}

async function insertAccount(db: Db, email: string, password_hash: string): Promise<string> {
  const [row] = await db('account').insert({ email, password_hash }).returning('id')
  return row.id
}

async function insertFacts(db: Db, gymId: string, memberId: string, facts: Fact[]): Promise<void> {
  await db('fact').insert(
    facts.map((fact) => ({
      gym_id: gymId,
      member_id: memberId,
      ...factColumns(fact),
    })),
  )
}

async function insertLogs(db: Db, gymId: string, memberId: string, logs: SessionLog[]): Promise<void> {
  if (!logs.length) return
  await db('session_log').insert(
    logs.map((log) => ({
      gym_id: gymId,
      id: log.id,
      member_id: memberId,
      enrolment_id: log.enrolment,
      ...logColumns(log),
    })),
  )
  const starts = logs.flatMap((log) => {
    const { id, change = id, date, minute, shown } = log
    return shown
      ? [
          {
            gym_id: gymId,
            member_id: memberId,
            session_id: id,
            ...startColumns({ change, date, minute, shown }),
          },
        ]
      : []
  })
  await db.batchInsert('session_start', starts, 100)
  const sets = logs.flatMap((log) =>
    log.sets.map((set) => ({
      gym_id: gymId,
      member_id: memberId,
      session_id: log.id,
      ...setColumns(set),
    })),
  )
  await db.batchInsert('set_entry', sets, 500)
}

function mondayOf(day: Day): Day {
  return addDays(day, -((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7))
}

function localDay(): Day {
  const now = new Date()
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10)
}

main().catch((error: Error & { code?: string }) => {
  // 53100 of PostgreSQL is a disk that is full.
  const sentence = error.code === '53100' ? 'The disk is full: make room, then start again.' : error.message
  process.stderr.write(`The demo data could not be filled in. ${sentence}\n`)
  process.exitCode = 1
})
