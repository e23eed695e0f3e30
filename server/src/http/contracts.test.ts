// Every route's real answer is read by its contract, and spoilt in every place: the contract must notice.
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { build, buildHeader } from '@young-oak/api/build'
import { operationFormat } from '@young-oak/api/operations'
import {
  contracts,
  faultIn,
  outlineOf,
  type Contract,
  type Outline,
  type RouteName,
} from '@young-oak/api/contracts'
import type { StaffLine } from '@young-oak/api/people'
import type { TemplateLine } from '@young-oak/api/templates'
import request, { type Response } from 'supertest'
import type { ObjectSchema } from 'yup'
import { offerSetUp } from '../features/gyms/setUp.ts'
import { routes } from '../features/routes.ts'
import { hashToken, newToken } from '../security/token.ts'
import { anExercise } from '../testing/exercise.ts'
import { makeProgram } from '../testing/program.ts'
import { smallTemplate } from '../testing/template.ts'
import { sessionAt, startOn } from '../testing/training.ts'
import { makeWorld, type Agent, type World } from '../testing/world.ts'

let world: World
let pages: { desk: Agent; phone: Agent }
const answers = {} as Record<RouteName, Response>
const day = '2026-03-02'
const kg = (value: number) => ({ value, unit: 'kg' as const })
const rack = { unit: 'kg', bar: 20, plates: [{ weight: 20, pairs: 2 }] }
const exercise = anExercise('Barge squat')

beforeAll(async () => {
  const program = await makeProgram()
  ;({ world } = program)
  const { gym, writer, coach, template } = program
  const { member, phone, enrolment } = await program.enrol('Mel', day)
  await world.owner('location').insert({ gym_id: gym, id: 'home', name: 'The hall' })

  const ask = async (
    name: RouteName,
    said: { params?: string[]; query?: string; body?: object } = {},
    by = phone,
  ) => {
    const { method, path, query }: Contract = contracts[name]
    const params = [...(said.params ?? [])]
    const url = path.replace(/:\w+/g, () => params.shift() ?? '')
    const isDated = query && 'today' in (query as unknown as ObjectSchema<object>).fields
    const call = by[method](`/api${url}${isDated ? `?today=${day}` : said.query ? `?${said.query}` : ''}`)
    answers[name] = await (said.body ? call.send(said.body) : call)
    return answers[name].body
  }
  const both = async (what: string, said: { params?: string[]; body?: object } = {}, method = 'post') => {
    await ask(`${method} /me/${what}` as RouteName, said)
    const params = [member.id, ...(said.params ?? [])]
    await ask(`${method} /members/:id/${what}` as RouteName, { ...said, params }, coach)
  }
  const state = (fact: object) => both('facts', { body: { fact, today: day } })

  await ask('post /locations', { body: { name: 'The shed' } }, coach)
  await ask(
    'post /locations/:id/equipment',
    { params: ['home'], body: { has: { racks: [rack] }, today: day } },
    coach,
  )
  await ask('get /locations', {}, coach)
  await both('equipment', {
    body: {
      has: { racks: [rack], fixed: [{ tool: 'dumbbells', unit: 'kg', loads: [10, 20] }] },
      today: day,
    },
  })
  await both('settings', { body: { home: 'home', today: day } })
  await both('equipment', {}, 'get')

  const max = { exercise: 'benchPress', load: kg(100), reps: 3, formula: 'epley', date: day, today: day }
  await both('maxes', { body: max })
  await both('body-weight', { body: { load: kg(80), date: day, today: day } })
  const { today: _, ...row } = { ...max, member: member.id, exercise: 'deadlift' }
  await ask('post /maxes', { body: { rows: [row], today: day } }, coach)

  const lacking = { rows: [{ member: member.id, lifts: [{ exercise: 'frontSquat' }] }], today: day }
  await ask('post /maxes/estimates', { body: lacking }, coach)
  await ask('post /maxes/letters', { body: lacking }, coach)

  const operate = (operation: object) =>
    ask('post /me/operations', {
      body: { format: operationFormat, operations: [{ id: randomUUID(), ...operation }] },
    })
  const session = sessionAt(enrolment)
  await operate(await startOn(phone, day))
  const set = { slot: 'squat', n: 1, exercise: 'backSquat', state: 'done', load: kg(60), reps: 5 }
  await operate({ kind: 'set', session, rev: 1, set })
  await operate({ kind: 'close', session })
  const said = { hard: 8, minutes: 50, worked: { quads: 'well' }, sore: { quads: 'not' } }
  await operate({ kind: 'answers', session, rev: 1, answers: said })

  await state({ kind: 'checkIn', sleep: 2, joints: 'achy', sore: ['quads'] })
  await state({ kind: 'event', what: 'trip', name: 'Regatta', on: '2026-03-20', to: '2026-03-24' })
  await state({ kind: 'goal', exercise: 'backSquat', to: kg(120), by: '2026-05-01' })
  await state({ kind: 'deload', changes: [{ kind: 'drop' }], shift: true, weeks: 2, reason: 'holiday' })
  await state({ kind: 'about', stress: true })
  await state({ kind: 'days', weekdays: [1, 4], most: 2, minutes: 60 })
  await state({ kind: 'level', exercise: 'backSquat', level: 'novice' })
  await state({ kind: 'priorities', muscles: ['back'], lifts: ['deadlift'] })
  await state({ kind: 'enjoys', exercises: ['pullUp'], keptUp: 'rowing' })
  await state({ kind: 'askFirst', reasons: ['medication'], isCleared: false })
  await state({ kind: 'mostSets', muscle: 'quads', sets: 12 })
  await state({ kind: 'adviceTaken', answer: 'deload', taken: false })
  const ownDeloads = {
    first: { from: '2026-01-05', to: '2026-02-01' },
    second: { from: '2026-02-02', to: '2026-03-01' },
  }
  await state({
    kind: 'trial',
    name: 'Rests',
    differs: 'longer',
    ...ownDeloads,
    lifts: [{ exercise: 'backSquat' }],
  })
  const { rows } = await ask(
    'post /facts',
    { body: { members: [member.id], fact: { kind: 'event', what: 'trip', on: day }, today: day } },
    coach,
  )
  await ask('post /facts/taken-back', { body: { rows, today: day } }, coach)
  await both('progress', {}, 'get')
  await both('maxes', {}, 'get')
  await ask('get /me/today')
  await ask('get /me/changes')
  await ask('get /maxes', {}, coach)
  await ask('get /members', {}, coach)
  await ask('get /members/:id/file', { params: [member.id] }, coach)
  const entry = answers['get /members/:id/file'].body.member.facts.find(
    ({ kind }: { kind: string }) => kind === 'event',
  ) as { id: string }
  await both('facts/:fact', { params: [entry.id] }, 'delete')

  const { id } = await ask('post /templates', { body: { template: smallTemplate() } }, coach)
  const edit = {
    id: randomUUID(),
    command: { do: 'setName', from: 'Small', to: 'Smaller' },
  }
  await ask('post /templates/:id/edits', { params: [id], body: { since: 0, edits: [edit] } }, coach)
  await ask('get /templates/:id/changes', { params: [template] }, coach)
  const { revision } = await ask('get /templates/:id', { params: [id] }, coach)
  const sent = { id: randomUUID(), revision, members: [member.id], start: '2026-04-06', note: 'Another.' }
  await ask('post /templates/:id/looks', { params: [id], body: sent }, coach)
  await ask('get /looks/:id', { params: [sent.id] }, coach)
  await ask('get /looks/:id/members', { params: [sent.id], query: 'kind=starts' }, coach)
  await ask('delete /looks/:id', { params: [sent.id] }, coach)
  await ask('post /templates/:id/publications', { params: [id], body: sent }, coach)
  await ask('get /templates/:id/publications', { params: [id] }, coach)
  await ask('get /publications/:id', { params: [sent.id] }, coach)
  await ask('get /publications/:id/members', { params: [sent.id] }, coach)
  await ask('post /publications/:id/withdrawal', { params: [sent.id] }, coach)
  await ask('get /templates', {}, coach)
  await ask('post /templates/:id/sharing', { params: [id], body: { editing: 'named', editors: [] } }, coach)
  const archived = { isArchived: true }
  await ask('post /templates/:id/archive', { params: [id], body: archived }, coach)
  await ask('delete /templates/:id', { params: [id] }, coach)

  const library = await ask('post /exercises', { body: { exercise } }, coach)
  const own = Object.keys(library.exercises)[0] ?? ''
  await ask('post /exercises/:id', { params: [own], body: { exercise: { ...exercise, cue: 'Up.' } } }, coach)
  await ask('post /exercises/:id/merge', { params: [own], body: { into: 'backSquat' } }, coach)
  await ask('get /exercises')

  const boss = await world.signIn(await world.addStaff(gym, 'owner', 'Olga'))
  await ask('get /gym', {}, boss)
  await ask('post /gym', { body: { name: 'Here', zone: 'Europe/London', unit: 'kg' } }, boss)
  const invited = async (name: string) => {
    const people = [{ name, email: `${name}@test.example`, role: 'member', writers: [writer.id] }]
    return (await ask('post /invitations', { body: { people } }, boss))[0] as { id: string; link: string }
  }
  const { id: dropped } = await invited('fay')
  await ask('delete /invitations/:id', { params: [dropped] }, boss)
  const { id: seatFor } = await invited('gus')
  await ask('get /invitations', {}, boss)
  const ola = await world.addMember(gym, 'Ola')
  await ask('post /memberships', { body: { members: [ola.id], isOver: true } }, boss)
  await ask('get /former-members', {}, boss)
  await ask('get /audit', {}, boss)
  await ask('get /me/audit')
  await ask('get /mail', {}, boss)
  const rule = [
    { kind: 'onProgram', template },
    { kind: 'notTrainedFor', days: 14 },
  ]
  const group = await ask('post /groups', { body: { name: 'Away', rule } }, coach)
  await ask('post /groups/:id', { params: [group.id], body: { name: 'Masters', rule: null } }, coach)
  await ask(
    'post /groups/:id/members',
    { params: [group.id], body: { members: [member.id], isIn: true } },
    coach,
  )
  await ask('get /groups/:id/members', { params: [group.id] }, coach)
  const ruled = await ask('post /groups', { body: { name: 'By rule', rule } }, coach)
  await ask('get /groups', {}, coach)
  await ask('delete /groups/:id', { params: [ruled.id] }, coach)
  await ask('post /forgotten', { body: { email: 'nobody@test.example' } })
  await ask('post /erasures', { body: { members: [ola.id], isAsked: true } }, boss)
  await ask('post /me/erasure', { body: { current: world.password } })
  await ask('get /me/erasure')
  await ask('delete /me/erasure')
  const leaving = await world.signIn(await world.addMember(gym, 'Pia'))
  await ask('post /me/leave', { body: { current: world.password } }, leaving)
  await ask('get /me/data')
  const empty = await makeWorld()
  const code = await offerSetUp(empty.database)
  const first = () => request.agent(empty.app).set(buildHeader, String(build))
  await ask('get /set-up', {}, first())
  const perrin = { name: 'Perrin', email: 'perrin@test.example', password: empty.password, writes: true }
  const firstGym = { name: 'First', zone: 'Europe/London', unit: 'kg' }
  await ask('post /set-up', { body: { code, gym: firstGym, owner: perrin } }, first())
  await empty.end()
  const { link } = await ask('post /invitations/:id/link', { params: [seatFor] }, boss)
  const token = link.split('#')[1]
  const asGus = { email: 'gus@test.example', password: world.password }
  const stranger = () => request.agent(world.app).set(buildHeader, String(build))
  await ask('post /join', { body: { token } }, stranger())
  await ask('post /join/accept', { body: { token, name: 'Gus', by: 'newAccount', ...asGus } }, stranger())
  await ask(
    'post /assignments',
    { body: { members: [member.id], writer: writer.id, isAssigned: true } },
    boss,
  )
  const { joinLink } = await ask('post /gym/join-link', { body: { isOpen: true } }, boss)
  const asking = { token: joinLink.split('#')[1], name: 'Rob', by: 'newAccount' }
  const asRob = { email: 'rob@test.example', password: world.password }
  await ask('post /join/ask', { body: { ...asking, ...asRob } }, stranger())
  const [waiting] = await ask('get /join-requests', {}, boss)
  await ask('post /join-requests/:id', { params: [waiting.id], body: { isTaken: true } }, boss)
  await ask('post /staff/writer', {}, boss)
  const staff = await ask('get /staff', {}, boss)
  const other = staff.find(({ role, isSelf }: StaffLine) => role === 'writer' && !isSelf) as StaffLine
  await ask('post /staff/:id/leave', { params: [other.id], body: {} }, boss)

  await ask('get /session')
  await ask('post /session/seat', { body: { gym, id: member.id } })
  await ask('post /session/address', { body: { current: world.password, email: member.email } })
  await ask('post /session/password', { body: { current: world.password, next: world.password } })
  await ask('post /session', { body: { email: member.email, password: world.password } })
  await ask('delete /session')
  const lost = newToken()
  await world.owner('account_letter').insert({
    token_hash: hashToken(lost),
    account_id: member.account,
    ends_at: world.owner.raw(`now() + interval '1 hour'`),
  })
  await ask('post /reset', { body: { token: lost, next: world.password } }, stranger())
  pages = { desk: coach, phone: await world.signIn(member) }
}, 120_000)
afterAll(() => world.end())

test('every contract is kept by one route, and every route keeps one', () => {
  expect(routes.map(({ name }) => name).sort()).toEqual(Object.keys(contracts).sort())
})

type Json = null | string | number | boolean | Json[] | { [key: string]: Json }
type Spoilt = { at: string; what: string; value: Json }

/** The answer with one key fewer, or with one that nobody declared, at every object whose keys are declared. */
function* spoil(outline: Outline, value: Json, at = ''): Generator<Spoilt> {
  if (value === null || typeof value !== 'object' || typeof outline === 'string') return
  if ('oneOf' in outline) {
    for (const one of outline.oneOf) if (fits(one, value)) return yield* spoil(one, value, at)
    return
  }
  if (Array.isArray(value)) {
    const of = 'listOf' in outline ? outline.listOf : 'text'
    for (const [i, one] of value.entries())
      for (const spoilt of spoil(of, one, `${at}[${i}]`))
        yield { ...spoilt, value: value.with(i, spoilt.value) }
    return
  }
  const of = (key: string): Outline =>
    'byKey' in outline ? outline.byKey : 'keys' in outline ? (outline.keys[key]?.outline ?? 'text') : 'text'
  for (const [key, one] of Object.entries(value))
    for (const spoilt of spoil(of(key), one, `${at}.${key}`))
      yield { ...spoilt, value: { ...value, [key]: spoilt.value } }
  if (!('keys' in outline)) return
  yield { at, what: 'a key that nobody declared', value: { ...value, stranger: 1 } }
  for (const key of Object.keys(value).filter((one) => !outline.keys[one]?.isLeft)) {
    const { [key]: _, ...rest } = value
    yield { at, what: `no ${key}`, value: rest }
  }
}
const fits = (outline: Outline, value: object): boolean =>
  typeof outline === 'object' &&
  ('keys' in outline
    ? Object.keys(value).every((key) => key in outline.keys)
    : 'listOf' in outline === Array.isArray(value))

describe.each(Object.keys(contracts) as RouteName[])('%s', (name) => {
  const { answer } = contracts[name]
  test('answers as its contract says', () => {
    expect([name, answers[name]?.status, answers[name]?.body]).toEqual([
      name,
      answer ? 200 : 204,
      answer ? expect.anything() : {},
    ])
    if (answer) expect(faultIn(answer, answers[name].body)).toBeNull()
  })
  if (!answer) return
  test('and a key more or less anywhere in it breaks the contract', () => {
    const seen = new Set<string>()
    for (const { at, what, value } of spoil(outlineOf(answer), answers[name].body as Json)) {
      // Of a list one line tells as much as all of them.
      const place = `${what} at "${at.replace(/\[\d+\]/g, '[]')}"`
      if (seen.has(place)) continue
      seen.add(place)
      if (faultIn(answer, value) === null) throw new Error(`nobody noticed ${place}`)
    }
    expect(seen.size).toBeGreaterThan(1)
  })
})

describe('a page of an older build', () => {
  const older = (name: RouteName, body?: object) => {
    const { method, path } = contracts[name]
    const by = name.startsWith('post /me') ? pages.phone : pages.desk
    const call = by[method](`/api${path}?today=${day}`).set(buildHeader, '1')
    return body ? call.send(body) : call
  }
  test('is told to load again where an answer has another shape now', async () => {
    const answer = await older('get /members').expect(409)
    expect([answer.body.code, answer.body.detail]).toEqual([
      'pageTooOld',
      expect.stringMatching(/Load it again/),
    ])
  })
  test('gets its waiting sets and edits taken, in the words of its day, before it is told so', async () => {
    const close = { id: randomUUID(), kind: 'close', session: 'none:1:1' }
    const { answers: said } = (await older('post /me/operations', { operations: [close] }).expect(200)).body
    expect(said).toMatchObject([{ id: close.id, result: 'refused' }])
    const lines: TemplateLine[] = (await pages.desk.get('/api/templates').expect(200)).body.items
    const { id } = lines.find(({ name }) => name === 'Small') as TemplateLine
    const edits = [
      { id: randomUUID(), command: { do: 'setName', from: 'Small', to: 'From an old page' } },
      { id: randomUUID(), command: { do: 'setHead', field: 'lightPolicy', from: null, to: 'planned' } },
    ]
    const url = `/api/templates/${id}/edits`
    const told = await pages.desk.post(url).set(buildHeader, '2').send({ since: 0, edits }).expect(409)
    expect(told.body.code).toBe('pageTooOld')
    const { body } = await pages.desk.post(url).send({ since: 0, edits }).expect(200)
    expect(body.answers).toEqual(edits.map((edit) => ({ id: edit.id, result: 'had' })))
    const { draft } = (await pages.desk.get(`/api/templates/${id}`).expect(200)).body
    expect(draft).toMatchObject({ name: 'From an old page', deloadPolicy: 'planned' })
  })
})

/** Bodies that fit no contract: each is refused with what is wrong, and none is a fault of the server. */
const strange = [
  null,
  7,
  'text',
  [],
  {},
  { edits: 'x', operations: 'x' },
  { since: 0, edits: [null] },
  { since: 0, edits: [{ id: 'x', command: 3 }] },
  { since: 0, format: 'a', edits: [{ id: randomUUID(), command: { do: 'setCell' } }] },
  { operations: [null], format: 1 },
  { operations: [{ kind: 'start' }], format: 99 },
]
test.each(strange)(
  'a strange body is refused, or answered, by every route and breaks none: %j',
  async (body) => {
    for (const name of Object.keys(contracts) as RouteName[]) {
      const one = contracts[name]
      if (!('body' in one) || name === 'post /session') continue
      const { method, path } = one
      const by = path.startsWith('/me/') ? pages.phone : pages.desk
      const url = `/api${path.replace(/:\w+/g, () => randomUUID())}?today=${day}`
      const { status } = await by[method](url)
        .set('content-type', 'application/json')
        .send(JSON.stringify(body))
      expect([name, status >= 500]).toEqual([name, false])
    }
  },
)
