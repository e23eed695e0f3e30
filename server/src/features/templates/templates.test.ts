import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
import type { TodayView } from '@young-oak/api/training'
import { formatSetsShown } from '@young-oak/core/views'
import type { Command } from '@young-oak/core/template'
import { smallTemplate } from '../../testing/template.ts'
import { sessionAt, startOn } from '../../testing/training.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'

let world: World
let writer: Seated
let agent: Agent
let member: Seated
let gym: string
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  writer = await world.addStaff(gym, 'writer', 'Will')
  member = await world.addMember(gym, 'Mel', writer)
  agent = await world.signIn(writer)
}, 120_000)
afterAll(() => world.end())

const add = async (): Promise<string> =>
  (await agent.post('/api/templates').send({ template: smallTemplate() }).expect(200)).body.id
const count = async () => Number((await world.owner('template').count('id as n'))[0]?.n)
const sets = (from: number, to: number, row = 0): Command => ({
  do: 'setCell',
  slot: 'bench',
  phase: 'p',
  row,
  prescription: 'a',
  field: 'sets',
  from,
  to,
})
const send = (id: string, ...commands: Command[]) =>
  agent
    .post(`/api/templates/${id}/edits`)
    .send({ since: 0, edits: commands.map((command) => ({ id: randomUUID(), command })) })

describe('importing', () => {
  test('a file with faults names each place and saves nothing', async () => {
    const before = await count()
    const bad = { ...smallTemplate(), colour: 'red', trainingMax: 400 }
    const { body } = await agent.post('/api/templates').send({ template: bad }).expect(422)
    expect(body.errors.map(({ path }: { path: string }) => path).sort()).toEqual(['colour', 'trainingMax'])
    expect(await count()).toBe(before)
  })
})

describe('the list', () => {
  test('counts a phase that a sign ends by its least weeks', async () => {
    const small = smallTemplate() as unknown as { phases: object[]; progressions: Record<string, object> }
    const [progression = ''] = Object.keys(small.progressions)
    const until = { trigger: 'stalled', misses: 2, of: 2, progression }
    const weeks = { least: 2, most: 2, until }
    const { body } = await agent
      .post('/api/templates')
      .send({ template: { ...small, phases: small.phases.map((phase) => ({ ...phase, weeks })) } })
      .expect(200)
    const list = (await agent.get('/api/templates').expect(200)).body.items as { id: string; weeks: number }[]
    expect(list.find(({ id }) => id === body.id)?.weeks).toBe(2)
  })
})

describe('editing', () => {
  test('stores each command once, however often it is sent', async () => {
    const id = await add()
    const edit = { id: randomUUID(), command: sets(1, 4) }
    for (let i = 0; i < 2; i++) {
      const { body } = await agent
        .post(`/api/templates/${id}/edits`)
        .send({ since: 0, edits: [edit] })
        .expect(200)
      expect(body).toEqual({
        revision: 1,
        answers: [{ id: edit.id, result: i ? 'had' : 'stored' }],
        edits: [edit],
      })
    }
    const { body } = await agent.get(`/api/templates/${id}`).expect(200)
    expect(body.draft.slots.bench.rows.p[0][0].sets).toBe(4)
  })

  test('answers a conflict where somebody changed the same value since, and stores what comes before and behind it', async () => {
    const id = await add()
    await send(id, sets(1, 2)).expect(200)
    const { body } = await send(
      id,
      { do: 'setName', from: 'Small', to: 'Smaller' },
      sets(1, 3),
      sets(1, 5, 1),
    ).expect(200)
    expect(body.answers.map(({ result }: { result: string }) => result)).toEqual([
      'stored',
      'conflict',
      'stored',
    ])
    expect(body.answers[1].message).toContain('changed since')
    expect(body.edits.map(({ command }: { command: Command }) => command.do)).toEqual([
      'setCell',
      'setName',
      'setCell',
    ])
    const { draft } = (await agent.get(`/api/templates/${id}`)).body
    expect([draft.name, draft.slots.bench.rows.p[0][0].sets]).toEqual(['Smaller', 2])
  })

  test('refuses a command whose result would not read, and leaves the draft as it was', async () => {
    const id = await add()
    expect((await send(id, { ...sets(1, 99) } as Command).expect(200)).body.answers[0]).toMatchObject({
      result: 'refused',
      message: expect.stringContaining('1 to 30'),
    })
    for (const bad of [
      { do: 'setParams', progression: 'squat', stage: 'one', from: {} },
      { do: 'setRule', progression: 'constructor', stage: 'one', from: {}, to: { rule: 'wave' } },
      { ...sets(1, 2), slot: 'constructor' },
      { do: 'several', commands: [{ ...sets(1, 2), slot: '__proto__' }] },
      { do: 'several' },
      { do: 'several', commands: [{ do: 'several', commands: [] }] },
    ]) {
      const { status, body } = await send(id, bad as unknown as Command)
      // Nothing in several commands is nothing done; the others are no edits, or edits of nothing.
      if (status !== 200) expect(status).toBe(422)
      else expect(['conflict', 'refused']).toContain(body.answers[0].result)
    }
    const view = (await agent.get(`/api/templates/${id}`)).body
    expect([view.revision, view.draft.slots.bench.rows.p[0][0].sets]).toEqual([0, 1])
  })

  test('of two writers at once one goes first and nothing is lost', async () => {
    const id = await add()
    const names = Array.from({ length: 8 }, (_, i) =>
      send(id, {
        do: 'setCell',
        slot: 'squat',
        phase: 'p',
        row: i % 2,
        prescription: 'a',
        field: 'rir',
        from: null,
        to: i,
      }),
    )
    const answers = await Promise.all(names)
    expect(answers.filter(({ body }) => body.answers[0].result === 'stored')).toHaveLength(2)
  })
})

describe('publishing', () => {
  const publish = (id: string, members: string[], start = '2026-03-02') =>
    agent.post(`/api/templates/${id}/versions`).send({ members, start, note: '' })

  test('makes version 1, enrols the members from the start date, and later edits do not touch it', async () => {
    const id = await add()
    expect((await publish(id, [member.id]).expect(200)).body).toEqual({ number: 1, members: 1 })
    await send(id, sets(1, 5)).expect(200)
    const file = (await agent.get(`/api/members/${member.id}/file`).expect(200)).body
    const enrolment = file.enrolments.find((one: { id: string }) => file.templates[one.id] === id)
    expect(enrolment.segments[0].from).toBe('2026-03-02')
    expect(file.versions[enrolment.segments[0].version].slots.bench.rows.p[0][0].sets).toBe(1)
  })

  test('a second version starts after the first and keeps its segment', async () => {
    const id = await add()
    await publish(id, [member.id]).expect(200)
    await send(id, sets(1, 5)).expect(200)
    const early = await publish(id, [member.id], '2026-03-02').expect(422)
    expect(early.body.errors[0].path).toBe('start')
    expect((await publish(id, [member.id], '2026-03-16').expect(200)).body.number).toBe(2)
    expect(
      (await agent.get(`/api/templates/${id}`)).body.versions.map(({ number }: { number: number }) => number),
    ).toEqual([2, 1])
  })

  test('to a member who is not assigned, or of another gym, publishes nothing to anybody', async () => {
    const id = await add()
    const unassigned = await world.addMember(gym, 'Una')
    const foreign = await world.addMember(await world.addGym('There'), 'Fay')
    for (const stranger of [unassigned, foreign]) await publish(id, [member.id, stranger.id]).expect(403)
    expect((await agent.get(`/api/templates/${id}`)).body.versions).toEqual([])
  })

  test('another gym’s template, and another writer’s member, are not there', async () => {
    const id = await add()
    const other = await world.addGym('Elsewhere')
    const stranger = await world.signIn(await world.addStaff(other, 'writer', 'Wim'))
    await stranger.get(`/api/templates/${id}`).expect(404)
    await stranger
      .post(`/api/templates/${id}/edits`)
      .send({ since: 0, edits: [{ id: randomUUID(), command: sets(1, 2) }] })
      .expect(404)
    await stranger.get(`/api/members/${member.id}/file`).expect(404)
    const colleague = await world.signIn(await world.addStaff(gym, 'writer', 'Wes'))
    await colleague.get(`/api/members/${member.id}/file`).expect(403)
    expect((await agent.get('/api/templates/not-an-id')).status).toBe(404)
  })
})

describe('a version for members who are on the template', () => {
  const day = '2026-03-02'
  const publish = (id: string, to: Seated, change: object) =>
    agent.post(`/api/templates/${id}/versions`).send({ members: [to.id], start: day, note: '', ...change })
  const todayOf = async (phone: Agent, on: string): Promise<TodayView> =>
    (await phone.get(`/api/me/today?today=${on}`).expect(200)).body
  const linesOf = ({ programs }: TodayView, week: number): string[] =>
    programs[0]?.plan.weeks
      .find((one) => one.week === week)
      ?.places.map(({ slots }) =>
        slots.map(({ sets: prescriptions }) => formatSetsShown({}, prescriptions)).join(' / '),
      ) ?? []
  /** A member who has trained the first place of the first week. */
  const begun = async (id: string) => {
    const someone = await world.addMember(gym, 'Sam', writer)
    await publish(id, someone, {}).expect(200)
    const phone = await world.signIn(someone)
    const enrolment = (await todayOf(phone, day)).enrolments[0]?.id ?? ''
    const sets = ['squat', 'squat', 'bench'].map((slot, i) => ({
      kind: 'set',
      session: sessionAt(enrolment, 1),
      rev: 1,
      set: {
        slot,
        n: i === 1 ? 2 : 1,
        exercise: slot === 'squat' ? 'backSquat' : 'benchPress',
        state: 'done',
        load: { value: 60, unit: 'kg' },
        reps: 5,
      },
    }))
    const operations = [
      await startOn(phone, day),
      ...sets,
      { kind: 'close', session: sessionAt(enrolment, 1) },
    ]
    const { body } = await phone
      .post('/api/me/operations')
      .send({ format: operationFormat, operations: operations.map((one) => ({ id: randomUUID(), ...one })) })
      .expect(200)
    expect(body.answers.every(({ result }: { result: string }) => result === 'stored')).toBe(true)
    return { someone, phone, enrolment }
  }
  const heavier: Command = {
    do: 'setParams',
    progression: 'squat',
    stage: 'one',
    from: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
    to: { startLoad: { kg: 60, lb: 135 }, step: { kg: 5, lb: 10 }, misses: 3, resetBy: 10 },
  }

  test('begins with their next week; the week that is begun is finished as it was', async () => {
    const id = await add()
    const { someone, phone } = await begun(id)
    await send(id, sets(1, 3), sets(1, 3, 1), heavier).expect(200)
    await publish(id, someone, { start: '2026-03-03' }).expect(200)
    const view = await todayOf(phone, '2026-03-04')
    expect(linesOf(view, 1)).toEqual(['2 × 5 @ 60 kg / 1 × 5 @ ?', '2 × 5 @ 62.5 kg / 1 × 5 @ ?'])
    expect(linesOf(view, 2)[0]).toBe('2 × 5 @ 65 kg / 3 × 5 @ ?')
  })

  test('begins with the next session where the writer says so', async () => {
    const id = await add()
    const { someone, phone } = await begun(id)
    await send(id, sets(1, 3)).expect(200)
    await publish(id, someone, { start: '2026-03-03', begins: 'session' }).expect(200)
    const [trained, next] = linesOf(await todayOf(phone, '2026-03-04'), 1)
    expect(trained).toBe('2 × 5 @ 60 kg / 1 × 5 @ ?')
    expect(next).toBe('2 × 5 @ 62.5 kg / 3 × 5 @ ?')
  })

  test('is compared with the one before, and with nothing before the first', async () => {
    const id = await add()
    const read = async () => (await agent.get(`/api/templates/${id}/changes`).expect(200)).body
    expect(await read()).toEqual({ since: null, changes: [] })
    await publish(id, await world.addMember(gym, 'Cy', writer), {}).expect(200)
    await send(id, sets(1, 3)).expect(200)
    expect(await read()).toEqual({
      since: 1,
      changes: [{ where: 'Bench press (Day), Block, week 1', what: 'sets 1 → 3' }],
    })
  })

  test('puts new members on the clock and track that are chosen, and leaves the track of the others', async () => {
    const tracked = {
      ...smallTemplate(),
      tracks: {
        light: { name: 'Light', changes: [{ id: 'b', do: { kind: 'drop' }, where: { slots: ['bench'] } }] },
      },
    }
    const { body } = await agent.post('/api/templates').send({ template: tracked }).expect(200)
    const someone = await world.addMember(gym, 'Ty', writer)
    const refused = await publish(body.id, someone, { track: 'dark' }).expect(422)
    expect(refused.body.errors[0].path).toBe('track')
    await publish(body.id, someone, { track: 'light', clock: 'calendar' }).expect(200)
    const phone = await world.signIn(someone)
    const first = await todayOf(phone, day)
    expect(first.programs[0]).toMatchObject({ track: 'Light', plan: { track: 'light' } })
    expect(first.programs[0]?.plan.weeks[0]).toMatchObject({ from: day })
    expect(linesOf(first, 1)[0]).toBe('2 × 5 @ 60 kg')
    expect(first.programs[0]?.plan.weeks[0]?.places[0]?.changes[0]).toMatchObject({ slot: 'bench' })
    await publish(body.id, someone, { start: '2026-03-09' }).expect(200)
    expect((await todayOf(phone, '2026-03-10')).programs[0]?.track).toBe('Light')
    await publish(body.id, someone, { start: '2026-03-16', track: null }).expect(200)
    expect((await todayOf(phone, '2026-03-17')).programs[0]?.track).toBeUndefined()
  })
})
