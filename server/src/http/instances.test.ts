import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import { operationFormat } from '@young-oak/api/operations'
import type { TodayView } from '@young-oak/api/training'
import request from 'supertest'
import { openDatabase, type Database } from '../database/open.ts'
import { anExercise } from '../testing/exercise.ts'
import { makeProgram, type Program } from '../testing/program.ts'
import { sessionAt, startOn } from '../testing/training.ts'
import type { Agent } from '../testing/world.ts'

// Two servers on one database, as several processes or machines are: whichever answers, it answers the same.

let program: Program
let second: Database
const day = '2026-03-02'
beforeAll(async () => {
  program = await makeProgram()
  second = openDatabase(program.world.url)
}, 120_000)
afterAll(async () => {
  await second.close()
  await program.world.end()
})

/** The same person at both servers, by one sign-in. */
async function atBoth(email: string): Promise<[Agent, Agent]> {
  const { world } = program
  const one = request.agent(world.app).set(buildHeader, String(build))
  const answer = await one.post('/api/session').send({ email, password: world.password }).expect(200)
  const cookie = answer.headers['set-cookie']?.[0] as string
  const other = request.agent(world.appOn(second)).set({ [buildHeader]: String(build), cookie })
  return [one, other]
}

test('a session that is trained through both in turn is one session', async () => {
  const { member, enrolment } = await program.enrol('Mel', day)
  const [one, other] = await atBoth(member.email)
  const today = async (agent: Agent): Promise<TodayView> =>
    (await agent.get(`/api/me/today?today=${day}`).expect(200)).body
  const send = async (agent: Agent, operation: object) => {
    const operations = [{ id: randomUUID(), ...operation }]
    const { body } = await agent.post('/api/me/operations').send({ format: operationFormat, operations })
    return body.answers[0].result
  }
  const set = (n: number) => ({
    kind: 'set',
    session: sessionAt(enrolment),
    rev: 1,
    set: { slot: 'squat', n, exercise: 'backSquat', state: 'done', load: { value: 60, unit: 'kg' }, reps: 5 },
  })
  expect(await send(one, await startOn(one, day))).toBe('stored')
  const many = Array.from({ length: 12 }, (_, i) => send(i % 2 ? one : other, set(1 + Math.floor(i / 2))))
  const results = await Promise.all(many)
  expect(results.filter((result) => result === 'stored')).toHaveLength(6)
  expect(results.filter((result) => result === 'conflict')).toHaveLength(6)
  const [here, there] = [await today(one), await today(other)]
  expect(here.logs[0]?.sets).toHaveLength(6)
  expect(here).toEqual(there)
})

test('who signs out at one is signed out at the other', async () => {
  const { member } = await program.enrol('Lou', day)
  const [one, other] = await atBoth(member.email)
  await other.get(`/api/me/today?today=${day}`).expect(200)
  await one.delete('/api/session').expect(204)
  await other.get(`/api/me/today?today=${day}`).expect(401)
})

test('an exercise that is added at one is known to the other with the next request', async () => {
  const [one, other] = await atBoth(program.writer.email)
  const exercise = anExercise('Sled drag')
  const added = await one.post('/api/exercises').send({ exercise })
  expect(added.status).toBe(200)
  const { body } = await other.get('/api/exercises').expect(200)
  expect(Object.values(body.exercises)).toContainEqual(expect.objectContaining({ name: 'Sled drag' }))
})
