import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { ImpactLine, ImpactView, Publish } from '@young-oak/api/publications'
import type { ProgressView } from '@young-oak/api/progress'
import type { TodayView } from '@young-oak/api/training'
import { addDays } from '@young-oak/core/units'
import { publish as publishBack, publishing } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let gym: string
let coach: Agent
let template: string
let today: string
let writer: Seated
const people: Record<string, Seated> = {}
const phones: Record<string, Agent> = {}
// Ada has 2 days and a squat of 1.5 times her weight, Bo has 4 days, Cy has said nothing.
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  writer = await world.addStaff(gym, 'writer', 'Will')
  coach = await world.signIn(writer)
  const light = { id: 'l', do: { kind: 'scaleLoad', by: -10 }, where: {} } as const
  const tracks = { light: { name: 'Light', changes: [light] }, heavy: { name: 'Heavy', changes: [] } }
  const { body } = await coach
    .post('/api/templates')
    .send({ template: { ...smallTemplate(), tracks } })
    .expect(200)
  template = body.id
  const { rows } = await world.owner.raw(`select (now() at time zone 'Europe/London')::date as today`)
  today = rows[0].today
  for (const name of ['Ada', 'Bo', 'Cy']) {
    people[name] = await world.addMember(gym, name, writer)
    phones[name] = await world.signIn(people[name])
  }
  await tell('Ada', { kind: 'days', weekdays: [1, 4] })
  await tell('Bo', { kind: 'days', weekdays: [1, 2, 4, 5] })
  const dated = { date: today, today }
  await phones.Ada?.post('/api/me/body-weight')
    .send({ load: { value: 60, unit: 'kg' }, ...dated })
    .expect(200)
  await phones.Ada?.post('/api/me/maxes')
    .send({ exercise: 'backSquat', load: { value: 90, unit: 'kg' }, reps: 1, formula: 'epley', ...dated })
    .expect(200)
}, 120_000)
afterAll(() => world.end())

const tell = async (name: string, fact: object): Promise<ProgressView> =>
  ((await phones[name]?.post('/api/me/facts').send({ fact, today }).expect(200)) as { body: ProgressView })
    .body
const all = () => Object.values(people).map(({ id }) => id)
const publish = (change: Partial<Publish> = {}) =>
  publishBack(world, coach, template, {
    members: all(),
    start: today,
    again: true,
    others: 'replace',
    ...change,
  })
const todayOf = async (name: string, on = today): Promise<TodayView> =>
  ((await phones[name]?.get(`/api/me/today?today=${on}`).expect(200)) as { body: TodayView }).body
const trackOf = async (name: string): Promise<string | undefined> => (await todayOf(name)).programs[0]?.track
const tracks = () => Promise.all(Object.keys(people).map(trackOf))
const few = { kind: 'daysAvailable', days: 3, not: true } as const
const many = { kind: 'daysAvailable', days: 3 } as const
const strong = { kind: 'maxAtLeast', lift: 'backSquat', times: 1.5 } as const

describe('tracks by rule', () => {
  test('go to whoever fits the first of them, and all others have what is said for them', async () => {
    await publish({
      track: null,
      tracksByRule: [
        { rule: [many], track: 'heavy' },
        { rule: [few, strong], track: 'light' },
      ],
    })
    // Cy has said no days, and fits "fewer than 3" by that, but not the max.
    expect(await tracks()).toEqual(['Light', 'Heavy', undefined])
    await publish({
      track: 'heavy',
      tracksByRule: [
        { rule: [few], track: null },
        { rule: [few, strong], track: 'light' },
      ],
    })
    expect(await tracks()).toEqual([undefined, 'Heavy', undefined])
  })

  test('leave those who fit none on the track they have, where nothing else is said', async () => {
    await publish({ track: 'heavy' })
    await publish({ again: false, begins: 'session', tracksByRule: [{ rule: [strong], track: 'light' }] })
    expect(await tracks()).toEqual(['Light', 'Heavy', 'Heavy'])
  })

  test('are looked at as they would be published, and looked at anew when a group changes', async () => {
    await publish({ track: null })
    const { body: group } = await coach.post('/api/groups').send({ name: 'Light', rule: null }).expect(200)
    const rule = [{ kind: 'inGroup', group: group.id as string } as const]
    const moved = async (): Promise<string[]> => {
      const asked = await publishing(coach, template, {
        members: all(),
        start: today,
        begins: 'session',
        tracksByRule: [{ rule, track: 'light' }],
      })
      const { body } = await coach.post(`/api/templates/${template}/looks`).send(asked).expect(200)
      expect((body as ImpactView).looked).toBe(3)
      const { body: page } = await coach.get(`/api/looks/${body.id}/members?kind=moves`).expect(200)
      return page.items.map(({ name }: ImpactLine) => name)
    }
    expect(await moved()).toEqual([])
    const put = (isIn: boolean) =>
      coach
        .post(`/api/groups/${group.id}/members`)
        .send({ members: [people.Bo?.id], isIn })
        .expect(200)
    await put(true)
    expect(await moved()).toEqual(['Bo'])
    await put(false)
    expect(await moved()).toEqual([])
  })

  test('give way to the track that somebody is put on by hand, in the look as in what is published', async () => {
    const [ada, bo, cy] = all() as [string, string, string]
    const asked: Partial<Publish> = {
      track: null,
      tracksByRule: [{ rule: [many], track: 'heavy' }],
      ownTracks: [
        { track: 'light', members: [bo] },
        { track: 'heavy', members: [ada] },
      ],
    }
    await publish({ track: 'light' })
    const look = await publishing(coach, template, { members: all(), start: today, begins: 'session' })
    const { body } = await coach
      .post(`/api/templates/${template}/looks`)
      .send({ ...look, ...asked })
      .expect(200)
    const { body: page } = await coach.get(`/api/looks/${body.id}/members?kind=moves`).expect(200)
    expect(page.items.map(({ id }: ImpactLine) => id).sort()).toEqual([ada, cy].sort())
    await publish(asked)
    expect(await tracks()).toEqual(['Heavy', 'Light', undefined])
  })

  test('by hand are for members who are chosen, each on one that there is', async () => {
    const send = async (ownTracks: Publish['ownTracks'], members = all()) => {
      const sent = await publishing(coach, template, { members, start: today })
      const { body } = await coach
        .post(`/api/templates/${template}/publications`)
        .send({ ...sent, ownTracks })
      return [body.code, body.errors?.[0]?.path]
    }
    const [ada, bo] = all() as [string, string]
    expect(await send([{ track: 'gone', members: [ada] }])).toEqual(['noSuchTrack', 'ownTracks[0].track'])
    expect(await send([{ track: 'light', members: [ada] }], [bo])).toEqual([
      'notPossible',
      'ownTracks[0].members',
    ])
    expect(
      await send([
        { track: 'light', members: [bo] },
        { track: null, members: [ada, bo] },
      ]),
    ).toEqual(['notPossible', 'ownTracks[1].members'])
    expect(await send([{ track: 'light', members: [] }])).toEqual(['notAsExpected', 'ownTracks[0].members'])
  })

  test('name tracks that there are, and conditions that can be', async () => {
    const send = async (tracksByRule: unknown) =>
      coach
        .post(`/api/templates/${template}/publications`)
        .send({ ...(await publishing(coach, template, { members: all(), start: today })), tracksByRule })
    const gone = await send([{ rule: [many], track: 'gone' }])
    expect([gone.status, gone.body.code, gone.body.errors[0].path]).toEqual([
      422,
      'noSuchTrack',
      'tracksByRule[0].track',
    ])
    const odd = await send([{ rule: [{ kind: 'daysAvailable', days: 9 }], track: null }])
    expect(odd.body.errors[0].path).toBe('tracksByRule[0].rule[0].days')
  })
})

describe('a track of the member’s own', () => {
  test('goes before what is published from the next week on, is counted in a look, and is given back', async () => {
    await publish({ track: 'heavy', choosesTrack: true })
    const before = await tell('Bo', { kind: 'days', weekdays: [1, 2, 4, 5] })
    const [program] = before.programs
    expect(program).toMatchObject({
      track: 'heavy',
      choosesTrack: true,
      tracks: [
        { id: 'heavy', name: 'Heavy' },
        { id: 'light', name: 'Light' },
      ],
    })
    await tell('Bo', { kind: 'track', enrolment: program?.enrolment, track: 'light' })
    expect(await trackOf('Bo')).toBe('Light')
    await publish({ again: false, begins: 'session', track: 'heavy' })
    expect(await trackOf('Bo')).toBe('Light')
    const asked = await publishing(coach, template, { members: all(), start: today, track: null })
    const { body } = await coach.post(`/api/templates/${template}/looks`).send(asked).expect(200)
    expect((body as ImpactView).kinds).toContainEqual({ kind: 'keepsTrack', members: 1 })
    await tell('Bo', { kind: 'track', enrolment: program?.enrolment })
    expect(await trackOf('Bo')).toBe('Heavy')
  })
})

describe('weeks', () => {
  test('are seen as far ahead as the publication says, and planned as ever', async () => {
    const weeks = async () => (await todayOf('Cy')).programs[0]?.plan
    await publish()
    expect((await weeks())?.weeks.map(({ week }) => week)).toEqual([1, 2])
    await publish({ opens: 0 })
    const cut = await weeks()
    expect(cut?.weeks.map(({ week }) => week)).toEqual([1])
    expect(cut?.lastWeek).toBe(2)
    await publish({ opens: 1 })
    expect((await weeks())?.weeks.map(({ week }) => week)).toEqual([1, 2])
  })
})

describe('a pause', () => {
  test('is said on the plan and in a look, its reason to nobody but the member and the writer, and it ends', async () => {
    await publish()
    const [program] = (await tell('Cy', { kind: 'days', weekdays: [] })).programs
    const own = { kind: 'pause', enrolment: program?.enrolment, reason: 'injury', back: -20 }
    const { programs } = await tell('Cy', own)
    expect(programs[0]?.paused).toMatchObject({ from: today, to: null, reason: 'injury', back: -20 })
    expect((await todayOf('Cy')).programs[0]?.plan.paused).toMatchObject({ reason: 'injury' })
    const { body: list } = await coach.get('/api/members').expect(200)
    expect(JSON.stringify(list)).not.toContain('injury')
    const asked = await publishing(coach, template, { members: all(), start: today })
    const { body } = await coach.post(`/api/templates/${template}/looks`).send(asked).expect(200)
    expect((body as ImpactView).kinds).toContainEqual({ kind: 'paused', members: 1 })
    const { body: group } = await coach
      .post('/api/groups')
      .send({ name: 'Paused', rule: [{ kind: 'paused' }] })
      .expect(200)
    const inIt = async () => (await coach.get(`/api/groups/${group.id}/members`).expect(200)).body.members
    expect(await inIt()).toEqual([people.Cy?.id])
    const after = await tell('Cy', { kind: 'resume', pause: programs[0]?.paused?.id })
    expect(after.programs[0]?.paused).toBeUndefined()
    expect(await inIt()).toEqual([])
  })

  test('that ends before it begins is refused at its place', async () => {
    const fact = { kind: 'pause', reason: 'holiday', to: addDays(today, -1) }
    const { body } = (await phones.Cy?.post('/api/me/facts').send({ fact, today }).expect(422)) as {
      body: { errors: { message: string }[] }
    }
    expect(body.errors[0]?.message).toMatch(/later than the pause begins/)
  })
})
