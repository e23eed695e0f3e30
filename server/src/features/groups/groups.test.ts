import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { Condition } from '@young-oak/api/conditions'
import type { GroupLine, GroupMembers } from '@young-oak/api/groups'
import type { MemberLine } from '@young-oak/api/members'
import { addDays } from '@young-oak/core/units'
import { publish } from '../../testing/publish.ts'
import type { SetLog } from '@young-oak/core/member'
import { logColumns, setColumns } from '../../database/columns.ts'
import { anExercise } from '../../testing/exercise.ts'
import { smallTemplate } from '../../testing/template.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let gym: string
let coach: Agent
let small: string
let other: string
const people: Record<string, Seated> = {}
let today: string
// Ada and Bo are Will's, Cy is nobody's. Ada runs Small (2 days a week), Bo and Cy run Other (3 days); Di, Will's too, runs nothing.
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  const writer = await world.addStaff(gym, 'writer', 'Will')
  coach = await world.signIn(writer)
  const add = async (name: string, perWeek: number): Promise<string> => {
    const template = smallTemplate()
    const phases = template.phases.map((phase) => ({ ...phase, perWeek }))
    return (
      await coach
        .post('/api/templates')
        .send({ template: { ...template, name, phases } })
        .expect(200)
    ).body.id
  }
  small = await add('Small', 2)
  other = await add('Other', 3)
  for (const name of ['Ada', 'Bo', 'Cy', 'Di']) people[name] = await world.addMember(gym, name, writer)
  const { rows } = await world.owner.raw(`select (now() at time zone 'Europe/London')::date as today`)
  today = rows[0].today
  const ids = (...names: string[]) => names.map((name) => people[name]?.id as string)
  await publish(world, coach, small, { members: ids('Ada'), start: today })
  await publish(world, coach, other, { members: ids('Bo', 'Cy'), start: today })
  await world.owner('assignment').where({ member_id: people.Cy?.id }).delete()
  await trained('Ada', 10)
  await trained('Cy', 20)
}, 120_000)
afterAll(() => world.end())

const outside = { rev: 1, enrolment: null, position: 0, attempt: 1, ordinal: 1, closed: true, sets: [] }
const done: Omit<SetLog, 'id'> = { rev: 1, slot: 'plank', n: 1, exercise: 'plank', state: 'done', reps: 1 }

/** A session of somebody with one set done, so many days ago. */
async function trained(name: string, daysAgo: number): Promise<void> {
  const own = { gym_id: gym, member_id: people[name]?.id, revision: 1 }
  const id = `${name} ${daysAgo}`
  const date = addDays(today, -daysAgo)
  await world.owner('session_log').insert({ ...own, id, ...logColumns({ ...outside, id, date }), copied: 1 })
  await world
    .owner('set_entry')
    .insert({ ...own, session_id: id, ...setColumns({ ...done, id, change: id }) })
}

const make = async (name: string, rule: Condition[] | null): Promise<GroupLine> =>
  (await coach.post('/api/groups').send({ name, rule }).expect(200)).body
const inGroup = async (id: string): Promise<{ names: string[]; others: number }> => {
  const { members, others } = (await coach.get(`/api/groups/${id}/members`).expect(200)).body as GroupMembers
  const names = Object.entries(people).flatMap(([name, seat]) => (members.includes(seat.id) ? [name] : []))
  return { names, others }
}

describe('a group by a rule', () => {
  test.each<[string, () => Condition[], string[], number]>([
    ['a program', () => [{ kind: 'onProgram', template: other }], ['Bo'], 1],
    ['no program', () => [{ kind: 'onNoProgram' }], ['Di'], 0],
    ['no session for 10 days', () => [{ kind: 'notTrainedFor', days: 10 }], ['Ada', 'Bo', 'Di'], 1],
    ['no session for 11 days', () => [{ kind: 'notTrainedFor', days: 11 }], ['Bo', 'Di'], 1],
    ['3 days a week', () => [{ kind: 'daysAWeek', days: 3 }], ['Bo'], 1],
    [
      'all of several',
      () => [
        { kind: 'onProgram', template: other },
        { kind: 'notTrainedFor', days: 20 },
      ],
      ['Bo'],
      1,
    ],
    ['what nobody fits', () => [{ kind: 'onNoProgram' }, { kind: 'onProgram', template: small }], [], 0],
  ])(
    'of %s has the asker’s own members who fit, and counts the others',
    async (name, rule, names, others) => {
      const { id } = await make(name, rule())
      expect(await inGroup(id)).toEqual({ names, others })
    },
  )

  test('is asked on the day: whoever trains leaves it, and nobody is put in by hand', async () => {
    const { id } = await make('Away', [{ kind: 'notTrainedFor', days: 5 }])
    expect((await inGroup(id)).names).toEqual(['Ada', 'Bo', 'Di'])
    await trained('Di', 1)
    expect((await inGroup(id)).names).toEqual(['Ada', 'Bo'])
    const { body } = await coach
      .post(`/api/groups/${id}/members`)
      .send({ members: [people.Di?.id], isIn: true })
      .expect(422)
    expect(body.code).toBe('notPossible')
  })

  describe('of what is known of members', () => {
    let masters: string
    const tell = (name: string, fact: object) =>
      coach.post(`/api/members/${people[name]?.id}/facts`).send({ fact, today }).expect(200)
    const max = (name: string, value: number, unit = 'kg') =>
      coach
        .post(`/api/members/${people[name]?.id}/maxes`)
        .send({ exercise: 'backSquat', load: { value, unit }, reps: 1, formula: 'epley', date: today, today })
        .expect(200)
    beforeAll(async () => {
      await tell('Ada', { kind: 'about', training: 'underOneYear' })
      await tell('Ada', { kind: 'days', weekdays: [1, 3, 5], minutes: 45 })
      await tell('Ada', { kind: 'enjoys', exercises: ['pullUp'] })
      await tell('Bo', { kind: 'days', weekdays: [2, 4] })
      await tell('Bo', { kind: 'level', exercise: 'backSquat', level: 'advanced' })
      await tell('Bo', { kind: 'priorities', muscles: ['back'], lifts: [] })
      await max('Ada', 80)
      // 265 lb are 120.2 kg.
      await max('Bo', 265, 'lb')
      for (const [name, value] of [
        ['Ada', 60],
        ['Bo', 80],
      ] as const)
        await coach
          .post(`/api/members/${people[name]?.id}/body-weight`)
          .send({ load: { value, unit: 'kg' }, date: today, today })
          .expect(200)
      masters = (await make('Masters by hand', null)).id
      await coach
        .post(`/api/groups/${masters}/members`)
        .send({ members: [people.Ada?.id], isIn: true })
        .expect(200)
      await world
        .owner('member')
        .where({ id: people.Di?.id })
        .update({ joined_at: `${addDays(today, -30)}T12:00Z` })
    })

    test.each<[string, () => Condition[], string[]]>([
      ['in a group', () => [{ kind: 'inGroup', group: masters }], ['Ada']],
      ['in no such group', () => [{ kind: 'inGroup', group: masters, not: true }], ['Bo', 'Di']],
      ['years of training', () => [{ kind: 'training', training: 'underOneYear' }], ['Ada']],
      ['2 days', () => [{ kind: 'daysAvailable', days: 2 }], ['Ada', 'Bo']],
      ['3 days', () => [{ kind: 'daysAvailable', days: 3 }], ['Ada']],
      ['at most 45 minutes', () => [{ kind: 'minutesAtMost', minutes: 45 }], ['Ada']],
      ['at most 44 minutes', () => [{ kind: 'minutesAtMost', minutes: 44 }], []],
      ['a level', () => [{ kind: 'level', lift: 'backSquat', level: 'advanced' }], ['Bo']],
      ['a level of another lift', () => [{ kind: 'level', lift: 'benchPress', level: 'advanced' }], []],
      ['a max', () => [{ kind: 'hasMax', lift: 'backSquat' }], ['Ada', 'Bo']],
      ['no max', () => [{ kind: 'hasMax', lift: 'backSquat', not: true }], ['Di']],
      // 80 of 60 kg are 1.33 times, 120 of 80 are 1.5 times.
      ['1.3 times body weight', () => [{ kind: 'maxAtLeast', lift: 'backSquat', times: 1.3 }], ['Ada', 'Bo']],
      ['1.4 times body weight', () => [{ kind: 'maxAtLeast', lift: 'backSquat', times: 1.4 }], ['Bo']],
      ['a priority', () => [{ kind: 'priority', muscle: 'back' }], ['Bo']],
      ['who enjoys a lift', () => [{ kind: 'enjoys', exercise: 'pullUp' }], ['Ada']],
      ['the location of all', () => [{ kind: 'location', location: 'home' }], ['Ada', 'Bo', 'Di']],
      ['another location', () => [{ kind: 'location', location: 'shed' }], []],
      ['one week trained', () => [{ kind: 'weeksTrained', weeks: 1 }], ['Ada', 'Di']],
      ['three weeks trained', () => [{ kind: 'weeksTrained', weeks: 3 }], []],
      ['joined today', () => [{ kind: 'joinedSince', day: today }], ['Ada', 'Bo']],
      ['joined before', () => [{ kind: 'joinedSince', day: today, not: true }], ['Di']],
    ])('%s', async (name, rule, names) => {
      const { id } = await make(`known: ${name}`, rule())
      expect((await inGroup(id)).names).toEqual(names)
    })

    test('goes by the latest word', async () => {
      const { id } = await make('Three days', [{ kind: 'daysAvailable', days: 3 }])
      expect((await inGroup(id)).names).toEqual(['Ada'])
      await tell('Bo', { kind: 'days', weekdays: [1, 2, 4] })
      await tell('Ada', { kind: 'days', weekdays: [] })
      expect((await inGroup(id)).names).toEqual(['Bo'])
    })
  })

  test('follows a max into the exercise that its own was merged into', async () => {
    const kg = { value: 90, unit: 'kg' }
    const { body } = await coach
      .post('/api/exercises')
      .send({ exercise: anExercise('Pier squat') })
      .expect(200)
    const [own] = Object.keys(body.exercises)
    const max = { exercise: own, load: kg, reps: 1, formula: 'epley', date: today, today }
    await coach.post(`/api/members/${people.Di?.id}/maxes`).send(max).expect(200)
    const { id } = await make('Front squatters', [{ kind: 'hasMax', lift: 'frontSquat' }])
    expect((await inGroup(id)).names).toEqual([])
    await coach.post(`/api/exercises/${own}/merge`).send({ into: 'frontSquat' }).expect(200)
    expect((await inGroup(id)).names).toEqual(['Di'])
    await coach.post(`/api/exercises/${own}/merge`).send({ into: null }).expect(200)
    expect((await inGroup(id)).names).toEqual([])
  })

  test('with a condition that there is none of is refused where it stands', async () => {
    for (const [condition, message] of [
      [{ kind: 'tall' }, /There is no such condition/],
      [{ kind: 'notTrainedFor', days: 0 }, /from 1 to 365/],
      [{ kind: 'daysAWeek', days: 2.5 }, /from 1 to 7/],
      [{ kind: 'onProgram', template: 'x' }, /Choose a program/],
      [{ kind: 'onNoProgram', days: 3 }, /no such field/],
      [{ kind: 'level', lift: 'a b', level: 'novice' }, /Choose a lift/],
      [{ kind: 'hasMax', lift: 'backSquat', not: false }, /true/],
      [null, /./],
    ] as const) {
      const { body } = await coach
        .post('/api/groups')
        .send({ name: 'Bad', rule: [condition] })
        .expect(422)
      expect(body.errors[0].path).toMatch(/^rule\[0\]/)
      expect(body.errors[0].message).toMatch(message)
    }
    await coach.post('/api/groups').send({ name: 'Bad', rule: [] }).expect(422)
  })
})

describe('a group by hand', () => {
  test('has whom a writer puts in of their own, until they are taken out or leave the gym', async () => {
    const { id } = await make('Masters', null)
    const put = (names: string[], isIn = true) =>
      coach.post(`/api/groups/${id}/members`).send({ members: names.map((name) => people[name]?.id), isIn })
    await put(['Ada', 'Bo']).expect(200)
    await put(['Ada']).expect(200)
    expect(await inGroup(id)).toEqual({ names: ['Ada', 'Bo'], others: 0 })
    const { body: list } = await coach.get('/api/members').expect(200)
    const beside = Object.fromEntries(list.items.map((one: MemberLine) => [one.name, one.groups]))
    expect([beside.Ada, beside.Bo, beside.Cy, beside.Di]).toEqual([
      ['Masters', 'Masters by hand'],
      ['Masters'],
      [],
      [],
    ])
    await put(['Cy']).expect(403)
    await put(['Bo'], false).expect(200)
    expect(await inGroup(id)).toEqual({ names: ['Ada'], others: 0 })
    await world.owner('member').where({ id: people.Ada?.id }).update({ left_at: world.owner.fn.now() })
    expect(await inGroup(id)).toEqual({ names: [], others: 0 })
    await world.owner('member').where({ id: people.Ada?.id }).update({ left_at: null })
    // A rule goes before whoever was put in by hand, and gives them back when it goes.
    await coach
      .post(`/api/groups/${id}`)
      .send({ name: 'Masters', rule: [{ kind: 'onNoProgram' }] })
      .expect(200)
    expect((await inGroup(id)).names).toEqual(['Di'])
    await coach.post(`/api/groups/${id}`).send({ name: 'Masters', rule: null }).expect(200)
    expect((await inGroup(id)).names).toEqual(['Ada'])
  })

  test('has a name of its own, is deleted with nobody hurt, and is the gym’s alone', async () => {
    const { id } = await make('Juniors', null)
    await coach.post('/api/groups').send({ name: 'juniors', rule: null }).expect(409)
    const twice = await Promise.all(
      [1, 2].map(() => coach.post('/api/groups').send({ name: 'Twice', rule: null })),
    )
    expect(twice.map(({ status }) => status).sort()).toEqual([200, 409])
    await coach.post(`/api/groups/${id}`).send({ name: 'JUNIORS', rule: null }).expect(200)
    await coach
      .post(`/api/groups/${id}/members`)
      .send({ members: [people.Ada?.id], isIn: true })
      .expect(200)
    const there = await world.addGym('There')
    const stranger = await world.signIn(await world.addStaff(there, 'writer', 'Wim'))
    expect((await stranger.get('/api/groups').expect(200)).body).toEqual([])
    await stranger.get(`/api/groups/${id}/members`).expect(404)
    await stranger.delete(`/api/groups/${id}`).expect(404)
    await coach.delete(`/api/groups/${id}`).expect(204)
    await coach.get(`/api/groups/${id}/members`).expect(404)
    expect(await world.owner('member').where({ id: people.Ada?.id }).first('name')).toEqual({ name: 'Ada' })
  })
})
