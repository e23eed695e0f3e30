// What breaks between the server and its database: silence, a row that somebody holds, a database that is gone.
import { randomUUID } from 'node:crypto'
import { connect as dial, createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import { operationFormat } from '@young-oak/api/operations'
import request from 'supertest'
import { makeProgram, type Program } from '../testing/program.ts'
import { startOn } from '../testing/training.ts'
import { asProblem } from '../http/asProblem.ts'
import { openDatabase, type Database } from './open.ts'

const day = '2026-03-02'
/** Short enough to wait for, and long enough for a slow machine to answer within. */
const limits = { statement: 3000, lock: 500, silence: 4000, turn: 60_000 }
let program: Program
let line: Line
let database: Database
let phone: ReturnType<typeof request.agent>

/** A line to the database that can fall silent, as a broken network does: nothing comes, and nobody is told. */
type Line = { port: number; silent: boolean; sockets: Set<Socket>; server: Server }

async function lineTo(host: string, port: number): Promise<Line> {
  const made = { silent: false, sockets: new Set<Socket>() } as Line
  made.server = createServer((near) => {
    const far = dial(port, host)
    const isDead = () => near.destroyed || (near as Socket & { isCut?: boolean }).isCut
    for (const socket of [near, far]) {
      made.sockets.add(socket)
      socket.on('error', () => undefined)
      socket.on('close', () => made.sockets.delete(socket))
    }
    if (made.silent) Object.assign(near, { isCut: true })
    near.on('data', (part) => void (isDead() || far.write(part)))
    far.on('data', (part) => void (isDead() || near.write(part)))
    near.on('close', () => far.destroy())
  })
  await new Promise<void>((resolve) => made.server.listen(0, '127.0.0.1', resolve))
  made.port = (made.server.address() as AddressInfo).port
  return made
}

/** Every connection that there is falls silent; new ones too, until the line is mended. */
function cut(own: Line): void {
  own.silent = true
  for (const socket of own.sockets) Object.assign(socket, { isCut: true })
}

beforeAll(async () => {
  program = await makeProgram()
  const { world } = program
  const direct = new URL(world.url)
  line = await lineTo(direct.hostname, Number(direct.port || 5432))
  const through = Object.assign(new URL(world.url), { hostname: '127.0.0.1', port: String(line.port) }).href
  database = openDatabase(through, limits)
  const { member } = await program.enrol('Mel', day)
  phone = request.agent(world.appOn(database)).set(buildHeader, String(build))
  await phone.post('/api/session').send({ email: member.email, password: world.password }).expect(200)
}, 120_000)
afterEach(() => {
  line.silent = false
})
afterAll(async () => {
  for (const socket of line.sockets) socket.destroy()
  await database.close()
  await new Promise((resolve) => line.server.close(resolve))
  await program.world.end()
})

const today = () => phone.get(`/api/me/today?today=${day}`)
/** Asked again until it is answered with this. */
async function until(status: number, call: () => request.Test): Promise<void> {
  for (let i = 0; i < 100; i++) {
    const { status: answered } = await call()
    if (answered === status) return
    expect(answered).toBe(503)
  }
  throw new Error(`never answered by ${status}`)
}

describe('a line that falls silent', () => {
  test('is answered as a database that is away, by the health check too, and forgotten once it is mended', async () => {
    await today().expect(200)
    cut(line)
    const { body } = await today().expect(503)
    expect(body).toMatchObject({ code: 'databaseAway', detail: 'Nothing was lost. Try again in a moment.' })
    await phone.get('/api/health').expect(503)
    line.silent = false
    await until(200, () => phone.get('/api/health'))
    await until(200, today)
  }, 240_000)
})

test('a line that is silent before anybody is connected is a database that is away, by whichever connections', async () => {
  const through = Object.assign(new URL(program.world.url), {
    hostname: '127.0.0.1',
    port: String(line.port),
  }).href
  const fresh = openDatabase(through, limits)
  cut(line)
  const asked = [fresh.outside(({ db }) => db.raw('select 1')), fresh.pool.query('select 1')]
  for (const answer of await Promise.allSettled(asked)) {
    expect(answer.status).toBe('rejected')
    expect(asProblem((answer as PromiseRejectedResult).reason).code).toBe('databaseAway')
  }
  await fresh.close()
}, 240_000)

describe('a row that somebody else holds', () => {
  test('is said to be busy, loses nothing, and starves nobody', async () => {
    const { world } = program
    const { member, phone: held, enrolment } = await program.enrol('Hal', day)
    const start = { id: randomUUID(), ...(await startOn(held, day)), enrolment }
    const own = request.agent(world.appOn(database)).set(buildHeader, String(build))
    await own.post('/api/session').send({ email: member.email, password: world.password }).expect(200)
    const logs = () => own.post('/api/me/operations').send({ format: operationFormat, operations: [start] })
    await world.owner.transaction(async (holder) => {
      await holder.raw('select 1 from member where id = ? for update', [member.id])
      const waiting = Array.from({ length: 6 }, () => logs().then((answer) => answer))
      await today().expect(200)
      for (const { status, body } of await Promise.all(waiting)) {
        expect(status).toBe(503)
        expect(body.code).toBe('busy')
      }
    })
    const { body } = await logs().expect(200)
    expect(body.answers).toEqual([{ id: start.id, result: 'stored' }])
  }, 240_000)
})

test('three hundred who look at today at once are all answered', async () => {
  // However long the last of them waits for its turn.
  const wide = openDatabase(program.world.url, {
    ...limits,
    silence: 300_000,
    statement: 60_000,
    turn: 300_000,
  })
  const listening = program.world.appOn(wide).listen(0)
  const agent = request.agent(listening).set(buildHeader, String(build))
  const { member } = await program.enrol('Una', day)
  await agent.post('/api/session').send({ email: member.email, password: program.world.password }).expect(200)
  const all = await Promise.all(
    Array.from({ length: 300 }, () => agent.get(`/api/me/today?today=${day}`).then(({ status }) => status)),
  )
  expect(all.filter((status) => status !== 200)).toEqual([])
  listening.close()
  await wide.close()
}, 400_000)
