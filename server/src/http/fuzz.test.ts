// Malformed input, from a seed, over every route as its contract describes it: whatever is sent is answered, and never as a fault of the server.
import { randomUUID } from 'node:crypto'
import { request as ask } from 'node:http'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import { contracts, type Contract } from '@young-oak/api/contracts'
import { operationFormat } from '@young-oak/api/operations'
import { diceOf } from '@young-oak/core/testing'
import type { AnySchema, SchemaDescription } from 'yup'
import { makeProgram, type Program } from '../testing/program.ts'
import { startOn } from '../testing/training.ts'

const seed = Number(process.env.FUZZ_SEED ?? 20_260_302)
const all: Contract[] = Object.values(contracts)
const day = '2026-03-02'

const { next: dice, among } = diceOf(seed)

const nested = (depth: number): string => '['.repeat(depth) + ']'.repeat(depth)
/** Values that have broken servers: each may stand where anything is expected. */
const nasty: unknown[] = [
  null,
  '',
  'a\0b',
  '\ud800',
  'constructor',
  '__proto__',
  'own:nothing',
  '0000-01-01',
  '9999-12-31',
  '2026-02-30',
  'x'.repeat(5000),
  -1,
  0,
  0.5,
  1e308,
  -1e308,
  2 ** 53,
  true,
  [],
  [null],
  [[]],
  {},
  { toString: 1 },
  { length: 3 },
  { constructor: { name: 'x' } },
  JSON.parse(nested(200)),
]

let program: Program
let server: Server
let port: number
let ids: string[] = []
const cookies: Record<string, string> = {}

type Sent = { method: string; path: string; who?: string; body?: string; headers?: Record<string, string> }
type Answer = { status: number; text: string }

/** One request as it stands, without a library that would mend it. */
const send = ({ method, path, who, body, headers }: Sent): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const cookie = who && cookies[who]
    const call = ask(
      {
        port,
        method: method.toUpperCase(),
        path,
        headers: {
          'content-type': 'application/json',
          [buildHeader]: String(build),
          ...(cookie && { cookie }),
          ...(body !== undefined && { 'content-length': String(Buffer.byteLength(body)) }),
          ...headers,
        },
      },
      (response) => {
        let text = ''
        response.on('data', (part: Buffer) => (text += part.toString()))
        response.on('end', () => resolve({ status: response.statusCode ?? 0, text }))
      },
    )
    call.on('error', reject)
    call.end(body)
  })

beforeAll(async () => {
  program = await makeProgram()
  const { world, gym, writer, template } = program
  const boss = await world.addStaff(gym, 'owner', 'Olive')
  const { member, phone, enrolment } = await program.enrol('Mel', day)
  await world.owner('location').insert({ gym_id: gym, id: 'home', name: 'The hall' })
  const started = { id: randomUUID(), ...(await startOn(phone, day)) }
  await phone
    .post('/api/me/operations')
    .send({ format: operationFormat, operations: [started] })
    .expect(200)
  ids = [member.id, writer.id, template, enrolment, randomUUID(), 'home', 'own:nothing']
  server = createServer(world.app)
  await new Promise<void>((resolve) => server.listen(0, resolve))
  port = (server.address() as AddressInfo).port
  for (const [role, { email }] of Object.entries({ owner: boss, writer, member })) {
    const signedIn = await world.signIn({ email })
    cookies[role] = (
      signedIn as unknown as { jar: { getCookies(access: object): { toValueString(): string } } }
    ).jar
      .getCookies({ path: '/', domain: '127.0.0.1', secure: false, script: false } as never)
      .toValueString()
  }
}, 120_000)
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve))
  await program.world.end()
})

/** Something that fits a schema more or less: what it is made of is read off its description. */
function likely(description: SchemaDescription, depth = 0): unknown {
  const { type, oneOf } = description as SchemaDescription & { oneOf: unknown[] }
  if (oneOf.length) return among(oneOf)
  if (type === 'object') {
    const { fields } = description as SchemaDescription & { fields: Record<string, SchemaDescription> }
    return Object.fromEntries(
      Object.entries(fields)
        .filter(([, field]) => !(field as SchemaDescription & { optional: boolean }).optional || dice() < 0.5)
        .map(([key, field]) => [key, likely(field, depth + 1)]),
    )
  }
  if (type === 'array') {
    const { innerType } = description as SchemaDescription & { innerType?: SchemaDescription }
    return innerType && depth < 6 ? [likely(innerType, depth + 1)] : []
  }
  if (type === 'string') return among([day, ...ids, 'squat', 'backSquat', 'kg', 'x@test.example'])
  if (type === 'number') return among([0, 1, 2, 5, 60])
  if (type === 'boolean') return dice() < 0.5
  return among([
    'backSquat',
    'kg',
    { value: 60, unit: 'kg' },
    {},
    { id: randomUUID(), kind: 'start' },
    { id: randomUUID(), kind: 'set', session: 'x', rev: 1, set: {} },
    { id: randomUUID(), command: { do: 'rename', from: 'a', to: 'b' } },
    { kind: 'checkIn', sleep: 3 },
  ])
}

/** The same with one nasty value somewhere in it. */
function spoiled(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || dice() < 0.15) return among(nasty)
  if (Array.isArray(value)) {
    if (!value.length) return [among(nasty)]
    const at = Math.floor(dice() * value.length)
    return value.map((one, i) => (i === at ? spoiled(one) : one))
  }
  const keys = Object.keys(value)
  if (!keys.length || dice() < 0.1)
    return { ...value, [among(['constructor', '__proto__', 'a\0', 'id'])]: among(nasty) }
  const key = among(keys)
  return { ...value, [key]: spoiled((value as Record<string, unknown>)[key]) }
}

const params = () =>
  among([...ids, ...ids, 'constructor', '%00', '%ED%A0%80', 'x'.repeat(300), '0000-01-01', '%20'])
const addressOf = ({ path, query }: Contract, isSpoiled: boolean): string => {
  const own = `/api${path.replace(/:\w+/g, params)}`
  if (!query) return own
  const fields = Object.keys((query as unknown as { fields?: object }).fields ?? {})
  const said = fields.flatMap((key) => {
    const value =
      isSpoiled && dice() < 0.5 ? among(['', '%00', '0000-01-01', 'constructor', '[]', '9999-12-31']) : day
    const plain = key === 'today' ? value : isSpoiled ? among(['%00', 'x', value]) : undefined
    return plain === undefined ? [] : [`${key}=${plain}`]
  })
  return said.length ? `${own}?${said.join('&')}` : own
}
const whoFor = ({ who }: Contract): string | undefined =>
  who === 'anyone' ? among(['member', undefined]) : among(who)

const said = ({ method, path, who, body }: Sent): string =>
  `FUZZ_SEED=${seed}: ${method} ${path} as ${who ?? 'nobody'}: ${body?.slice(0, 300)}`

async function neverOurFault(sent: Sent): Promise<number> {
  const { status, text } = await send(sent)
  if (status >= 500) throw new Error(`${status} ${text.slice(0, 200)}\n${said(sent)}`)
  return status
}

const isReading = ({ path }: Contract): boolean => !/session/.test(path)

describe('whatever is sent', () => {
  test.each(all.map((one) => [`${one.method} ${one.path}`, one] as const))(
    '%s answers it',
    async (_, one) => {
      const { method, body } = one
      for (let i = 0; i < 24; i++) {
        const who = whoFor(one)
        const path = addressOf(one, i % 2 === 1)
        const made = body && likely((body as AnySchema).describe() as SchemaDescription)
        const written = body ? JSON.stringify(i % 3 ? spoiled(made) : made) : undefined
        // A member who signs out is no member for the rest.
        const isOwn = isReading(one) ? who : undefined
        await neverOurFault({
          method,
          path,
          ...(isOwn && { who: isOwn }),
          ...(written !== undefined && { body: written }),
        })
      }
    },
    60_000,
  )

  test('bodies that are none are refused in words', async () => {
    const posts = all.filter(({ method }) => method === 'post')
    for (const one of posts) {
      const base = {
        method: 'post',
        path: addressOf(one, false),
        who: isReading(one) ? whoFor(one) : undefined,
      }
      const sent = { ...base, ...(base.who && { who: base.who }) } as Sent
      for (const body of ['', 'null', '"x"', '7', '[]', '{', nested(5000), '{"a":'.repeat(3000)])
        await neverOurFault({ ...sent, body })
      await neverOurFault({ ...sent, body: 'x', headers: { 'content-type': 'text/plain' } })
      const coded = await neverOurFault({
        ...sent,
        body: '{}',
        headers: { 'content-encoding': 'zstd-of-nobody' },
      })
      expect(coded).toBe(415)
    }
  }, 60_000)

  test('addresses that are none are not found, and neither is what they hide', async () => {
    for (const path of [
      '/api/%',
      '/api/members/%E0%A4%A/file',
      '/%',
      '/api/me/facts/%00',
      '/api/constructor',
      '/%2e%2e/x',
    ])
      await neverOurFault({ method: 'get', path, who: 'writer' })
  })

  test('an address that is no text does not sign in', async () => {
    for (const email of [{ toString: 1 }, ['a'], null, 7, 'a\0@test.example', '\ud800@test.example'])
      await neverOurFault({
        method: 'post',
        path: '/api/session',
        body: JSON.stringify({ email, password: 'x' }),
      })
  })
})
