import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { Command } from '@young-oak/core/template'
import { benchSets, edit } from '../../testing/draft.ts'
import { smallTemplate } from '../../testing/template.ts'
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
const send = (id: string, ...commands: Command[]) => edit(agent, id, ...commands)

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
    const edit = { id: randomUUID(), command: benchSets(1, 4) }
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
    await send(id, benchSets(1, 2)).expect(200)
    const { body } = await send(
      id,
      { do: 'setName', from: 'Small', to: 'Smaller' },
      benchSets(1, 3),
      benchSets(1, 5, 1),
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
    expect((await send(id, { ...benchSets(1, 99) } as Command).expect(200)).body.answers[0]).toMatchObject({
      result: 'refused',
      message: expect.stringContaining('1 to 30'),
    })
    for (const bad of [
      { do: 'setParams', progression: 'squat', stage: 'one', from: {} },
      { do: 'setRule', progression: 'constructor', stage: 'one', from: {}, to: { rule: 'wave' } },
      { ...benchSets(1, 2), slot: 'constructor' },
      { do: 'several', commands: [{ ...benchSets(1, 2), slot: '__proto__' }] },
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

test('another gym’s template, and another writer’s member, are not there', async () => {
  const id = await add()
  const other = await world.addGym('Elsewhere')
  const stranger = await world.signIn(await world.addStaff(other, 'writer', 'Wim'))
  await stranger.get(`/api/templates/${id}`).expect(404)
  await stranger
    .post(`/api/templates/${id}/edits`)
    .send({ since: 0, edits: [{ id: randomUUID(), command: benchSets(1, 2) }] })
    .expect(404)
  await stranger.get(`/api/members/${member.id}/file`).expect(404)
  const colleague = await world.signIn(await world.addStaff(gym, 'writer', 'Wes'))
  await colleague.get(`/api/members/${member.id}/file`).expect(403)
  expect((await agent.get('/api/templates/not-an-id')).status).toBe(404)
})
