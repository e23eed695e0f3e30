import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, test } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
import type { SetLog } from '@young-oak/core/member'
import type { Database } from '../database/open.ts'
import { openLogbook } from '../features/training/logbook.ts'
import { makeProgram, type Program } from '../testing/program.ts'
import { hearStatements } from '../testing/statements.ts'
import { sessionAt, startOn } from '../testing/training.ts'
import type { Agent } from '../testing/world.ts'

// What a request asks of the database, which is what a busy evening is made of.

let statements: ReturnType<typeof hearStatements>
let program: Program
let phone: Agent
let session: string
const day = '2026-03-02'
beforeAll(async () => {
  program = await makeProgram()
  const own = await program.enrol('Mel', day)
  ;({ phone } = own)
  session = sessionAt(own.enrolment)
  await send(await startOn(phone, day))
  await send(set(1))
  statements = hearStatements()
}, 120_000)
afterAll(async () => {
  statements.stop()
  await program.world.end()
})

const send = (...operations: object[]) =>
  phone
    .post('/api/me/operations')
    .send({ format: operationFormat, operations: operations.map((one) => ({ id: randomUUID(), ...one })) })
    .expect(200)
const set = (n: number) => ({
  kind: 'set',
  session,
  rev: 1,
  set: { slot: 'squat', n, exercise: 'backSquat', state: 'done', load: { value: 60, unit: 'kg' }, reps: 5 },
})

async function statementsOf(work: () => Promise<unknown>): Promise<string[]> {
  statements.heard.length = 0
  await work()
  return [...statements.heard]
}

test('a set that is logged is two statements: who is signed in, and the set', async () => {
  expect(await statementsOf(() => send(set(2)))).toEqual(['select sid,', 'select log_sets($1,'])
})

test('forty sets of one request are as many', async () => {
  const sets = Array.from({ length: 40 }, (_, i) => set(10 + i))
  expect(await statementsOf(() => send(...sets))).toHaveLength(2)
})

test('sets of many requests that arrive while one is being stored go together in the next statement', async () => {
  const batches: object[][] = []
  let release: () => void = () => undefined
  const held = new Promise<void>((resolve) => (release = resolve))
  const logbook = openLogbook({
    logSets: async (_gym: string, sets: object[]) => {
      batches.push(sets)
      await held
      return { answers: sets.map((_, i) => ({ n: i + 1, said: 'stored' })), library: 7 }
    },
  } as unknown as Database)
  const log = (gym: string, n: number) => {
    const { set: logged } = set(n)
    const sets = [{ session, set: { ...logged, id: `${n}`, rev: 1 } as SetLog }]
    return logbook({ gym, member: `member ${n}`, account: 'account' }, sets)
  }
  const answers = [
    log('here', 0),
    ...Array.from({ length: 39 }, (_, i) => log('here', i + 1)),
    log('there', 40),
  ]
  release()
  expect(new Set((await Promise.all(answers)).map(({ said }) => said.join()))).toEqual(new Set(['stored']))
  expect(batches.map((batch) => batch.length)).toEqual([1, 1, 39])
})

test('today’s screen is read in one statement, inside a transaction that knows its gym and checks the seat', async () => {
  const today = () => phone.get(`/api/me/today?today=${day}`).expect(200)
  await today()
  expect(await statementsOf(today)).toEqual([
    'select sid,',
    'BEGIN;',
    'select set_config($1,',
    'select "g"."library"',
    'with own',
    'COMMIT;',
  ])
})
