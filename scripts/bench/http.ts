// The member's screen and logging a set over HTTP, against a server of our own with the demo's members.
import { build, buildHeader } from '@young-oak/api/build'
import { operationFormat } from '@young-oak/api/operations'
import { placeShown, sessionLogId } from '@young-oak/core/member'
import { snapshot } from '@young-oak/core/plan'
import { randomUUID } from 'node:crypto'
import { Agent, request } from 'node:http'
import { gzipSync } from 'node:zlib'
import type { TodayView } from '@young-oak/api/training'
import type { Figure } from './figure.ts'

type Phone = { cookie: string; session: string; sets: object[]; next: number }
type Answer = { status: number; ms: number; body: string; cookie?: string }

const agent = new Agent({ keepAlive: true, maxSockets: 200 })
const day = new Date().toISOString().slice(0, 10)

/** Signs every member in, starts their session, and measures reading and logging at several loads. */
export async function benchHttp(base: string, emails: string[], password: string): Promise<Figure[]> {
  const phones: Phone[] = []
  for (const email of emails) {
    const phone = await open(base, email, password)
    if (phone) phones.push(phone)
  }
  const figures: Figure[] = []
  for (const atOnce of [1, 50, 100]) {
    const times = await together(atOnce, atOnce * 8, (i) => today(base, at(phones, i)))
    figures.push(...spread(`today’s screen, ${atOnce} at once`, times, atOnce === 1 ? 50 : undefined))
  }
  for (const atOnce of [1, 50, 100]) {
    const times = await together(atOnce, atOnce * 8, (i) => logSet(base, at(phones, i)))
    figures.push(...spread(`logging a set, ${atOnce} at once`, times, atOnce === 1 ? 50 : undefined))
  }
  const from = performance.now()
  const most = await together(100, 2000, (i) => logSet(base, at(phones, i)))
  const rate = (most.length / (performance.now() - from)) * 1000
  figures.push({
    what: 'acknowledged logs a second, 100 at once',
    value: rate,
    budget: 1000,
    unit: '/s',
    least: true,
  })
  const steady = await steadily(300, 8, (i) => logSet(base, at(phones, i)))
  figures.push(...spread('logging a set at a steady 300 a second', steady, 25))
  const opened = await steadily(20, 8, (i) => today(base, at(phones, i)))
  figures.push(...spread('today’s screen at a steady 20 a second', opened, 40))
  const sizes = await Promise.all(phones.map(async (phone) => Buffer.from((await today(base, phone)).body)))
  const mean = (of: (answer: Buffer) => number) =>
    sizes.reduce((sum, answer) => sum + of(answer), 0) / sizes.length / 1000
  figures.push(
    {
      what: 'today’s answer, compressed',
      value: mean((answer) => gzipSync(answer).length),
      budget: 5,
      unit: 'kB',
    },
    { what: 'today’s answer, as it is', value: mean(({ length }) => length), budget: 40, unit: 'kB' },
  )
  agent.destroy()
  return figures
}

const at = (phones: Phone[], i: number): Phone => phones[i % phones.length] as Phone

async function open(base: string, email: string, password: string): Promise<Phone | null> {
  const signedIn = await send(base, 'POST', '/api/session', '', { email, password })
  const cookie = signedIn.cookie ?? ''
  const view = JSON.parse((await send(base, 'GET', `/api/me/today?today=${day}`, cookie)).body) as TodayView
  const [program] = view.programs
  const place = program?.plan.weeks
    .flatMap(({ places }) => places)
    .find(({ position }) => position === program.plan.next)
  if (!program || !place) return null
  const { enrolment } = program
  const { position, attempt } = place
  const shown = snapshot(program.plan, place.position)
  const at = shown && placeShown(shown.at)
  if (!at) return null
  const session = sessionLogId(enrolment, at, attempt)
  await operate(base, cookie, { kind: 'start', enrolment, position, attempt, date: day, minute: 600, shown })
  const sets = place.slots.flatMap(({ slot, exercise, sets: prescriptions }) =>
    prescriptions.flatMap(({ sets: count, load }) =>
      Array.from({ length: count }, (_, n) => ({
        slot,
        n: n + 1,
        exercise,
        state: 'done',
        ...(load && { load }),
        reps: 5,
      })),
    ),
  )
  return { cookie, session, sets, next: 0 }
}

const today = (base: string, { cookie }: Phone) => send(base, 'GET', `/api/me/today?today=${day}`, cookie)

/** Each set in turn, then again as a correction under the next revision, as a phone would send it. */
function logSet(base: string, phone: Phone): Promise<Answer> {
  const i = phone.next++
  const set = phone.sets[i % phone.sets.length]
  const rev = Math.floor(i / phone.sets.length) + 1
  return operate(base, phone.cookie, { kind: 'set', session: phone.session, rev, set })
}

const operate = (base: string, cookie: string, operation: object) =>
  send(base, 'POST', '/api/me/operations', cookie, {
    format: operationFormat,
    operations: [{ id: randomUUID(), ...operation }],
  })

function send(base: string, method: string, path: string, cookie: string, body?: object): Promise<Answer> {
  const from = performance.now()
  return new Promise((resolve, reject) => {
    const made = request(`${base}${path}`, {
      method,
      agent,
      headers: {
        'content-type': 'application/json',
        [buildHeader]: String(build),
        ...(cookie && { cookie }),
      },
    })
    // A kept connection may be closed by the server just as it is used again: such a request is sent once more.
    made.once('error', (error: Error & { code?: string }) =>
      made.reusedSocket && error.code === 'ECONNRESET'
        ? send(base, method, path, cookie, body).then(resolve, reject)
        : reject(error),
    )
    made.once('response', (response) => {
      let text = ''
      response.setEncoding('utf8')
      response.on('data', (piece: string) => (text += piece))
      response.once('end', () => {
        const status = response.statusCode ?? 0
        if (status >= 400) return reject(new Error(`${method} ${path}: ${status} ${text.slice(0, 200)}`))
        const given = response.headers['set-cookie']?.[0]?.split(';')[0]
        resolve({ status, ms: performance.now() - from, body: text, ...(given && { cookie: given }) })
      })
    })
    made.end(body ? JSON.stringify(body) : undefined)
  })
}

/** So many requests, never more than `atOnce` on their way. */
async function together(
  atOnce: number,
  count: number,
  work: (i: number) => Promise<Answer>,
): Promise<number[]> {
  const times: number[] = []
  let next = 0
  const lane = async () => {
    while (next < count) times.push((await work(next++)).ms)
  }
  await Promise.all(Array.from({ length: atOnce }, lane))
  return times
}

/** So many requests a second for some seconds, whether or not the ones before are answered. */
async function steadily(
  rate: number,
  seconds: number,
  work: (i: number) => Promise<Answer>,
): Promise<number[]> {
  const pending: Promise<Answer>[] = []
  const from = performance.now()
  for (let i = 0; i < rate * seconds; i++) {
    const due = from + (i * 1000) / rate
    const wait = due - performance.now()
    if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait))
    pending.push(work(i))
  }
  return (await Promise.all(pending)).map(({ ms }) => ms)
}

function spread(what: string, times: number[], budget?: number): Figure[] {
  const sorted = [...times].sort((a, b) => a - b)
  const quantile = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] as number
  return [
    { what: `${what}, median`, value: quantile(0.5), unit: 'ms' },
    { what: `${what}, p99 of ${times.length}`, value: quantile(0.99), ...(budget && { budget }), unit: 'ms' },
  ]
}
