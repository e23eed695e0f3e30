import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { PublicationView, Publish } from '@young-oak/api/publications'
import type { TodayView } from '@young-oak/api/training'
import { formatSetsShown } from '@young-oak/core/views'
import type { Command } from '@young-oak/core/template'
import { addDays } from '@young-oak/core/units'
import { pino } from 'pino'
import { openQueue } from '../../jobs/queue.ts'
import { benchSets, edit } from '../../testing/draft.ts'
import { publish as publishBack, publishing } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import { sendOperations, sessionAt, startOn } from '../../testing/training.ts'
import { makeWorld, type Agent, type Seated, type World } from '../../testing/world.ts'
import { fillPublication, preparePublication } from './service.ts'
import { fillBatch } from './fillStore.ts'
import { holdPublication, type Held } from './store.ts'

let world: World
let writer: Seated
let agent: Agent
let gym: string
let today: string
beforeAll(async () => {
  world = await makeWorld()
  gym = await world.addGym('Here')
  writer = await world.addStaff(gym, 'writer', 'Will')
  agent = await world.signIn(writer)
  const { rows } = await world.owner.raw(`select (now() at time zone 'Europe/London')::date as today`)
  today = rows[0].today
}, 120_000)
afterAll(() => world.end())

const day = '2026-03-02'
const add = async (name = 'Small'): Promise<string> =>
  (
    await agent
      .post('/api/templates')
      .send({ template: { ...smallTemplate(), name } })
      .expect(200)
  ).body.id
const send = (id: string, ...commands: Command[]) => edit(agent, id, ...commands)
const someone = (name: string) => world.addMember(gym, name, writer)
/** Dated back to its day. */
const publish = (id: string, to: Seated[], change: Partial<Publish> = {}): Promise<PublicationView> =>
  publishBack(world, agent, id, { members: to.map((one) => one.id), start: day, ...change })
/** As it is answered, whatever that is. */
const tryTo = async (id: string, to: Seated[], change: Partial<Publish> = {}) =>
  agent
    .post(`/api/templates/${id}/publications`)
    .send(await publishing(agent, id, { members: to.map((one) => one.id), start: today, ...change }))
const takeBack = (id: string, by = agent) => by.post(`/api/publications/${id}/withdrawal`)
const todayOf = async (phone: Agent, on: string): Promise<TodayView> =>
  (await phone.get(`/api/me/today?today=${on}`).expect(200)).body
const namesOf = (view: TodayView): string[] => view.programs.map(({ name }) => name)
const linesOf = ({ programs }: TodayView, week: number): string[] =>
  programs[0]?.plan.weeks
    .find((one) => one.week === week)
    ?.places.map(({ slots }) =>
      slots.map(({ sets: prescriptions }) => formatSetsShown({}, prescriptions)).join(' / '),
    ) ?? []
/** The first session on a day, whole. */
const train = async (phone: Agent, on: string): Promise<string> => {
  const start = await startOn(phone, on)
  const { enrolment } = start
  const done = ['squat', 'squat', 'bench'].map((slot, i) => ({
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
  await sendOperations(phone, [start, ...done, { kind: 'close', session: sessionAt(enrolment, 1) }])
  return enrolment
}
/** A publication that is written down and not filled in, as where the server was killed. */
const prepared = async (id: string, to: Seated[], change: Partial<Publish> = {}): Promise<string> => {
  const asked = await publishing(agent, id, { members: to.map((one) => one.id), start: today, ...change })
  const seat = { kind: 'writer', id: writer.id, gym, name: 'Will', gymName: 'Here' } as never
  await world.database.inGym(gym, (scope) =>
    preparePublication({ ...scope, library: {} } as never, id, seat, asked),
  )
  return asked.id
}
/** One batch, and no more. */
const fillSome = (id: string) =>
  world.database.inGym(gym, async (scope) =>
    fillBatch(scope, id, (await holdPublication(scope, id, null)) as Held),
  )
const stateOf = async (id: string): Promise<PublicationView> =>
  (await agent.get(`/api/publications/${id}`).expect(200)).body

describe('publishing', () => {
  test('makes version 1, enrols the members from the start date, and later edits do not touch it', async () => {
    const id = await add()
    const mel = await someone('Mel')
    expect(await publish(id, [mel])).toMatchObject({
      version: 1,
      state: 'inForce',
      members: 1,
      filled: 1,
      started: 0,
      madeBy: 'Will',
      isTheirs: true,
    })
    await send(id, benchSets(1, 5)).expect(200)
    const file = (await agent.get(`/api/members/${mel.id}/file`).expect(200)).body
    const enrolment = file.enrolments.find((one: { id: string }) => file.templates[one.id] === id)
    expect(enrolment.segments[0].from).toBe(day)
    expect(file.versions[enrolment.segments[0].version].slots.bench.rows.p[0][0].sets).toBe(1)
  })

  test('a draft that has not changed is published as the version that it is', async () => {
    const id = await add()
    const [mel, una] = [await someone('Mel'), await someone('Una')]
    await publish(id, [mel])
    expect((await publish(id, [una])).version).toBe(1)
    await send(id, benchSets(1, 5)).expect(200)
    expect((await publish(id, [mel], { start: '2026-03-16' })).version).toBe(2)
    const { body } = await agent.get(`/api/templates/${id}`)
    expect(body.versions).toMatchObject([
      { number: 2, members: 1 },
      { number: 1, members: 2 },
    ])
    expect((await agent.get(`/api/templates/${id}/publications`)).body).toHaveLength(3)
  })

  test('to a member who is not assigned, or of another gym, publishes nothing to anybody', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const unassigned = await world.addMember(gym, 'Una')
    const foreign = await world.addMember(await world.addGym('There'), 'Fay')
    for (const stranger of [unassigned, foreign]) expect((await tryTo(id, [mel, stranger])).status).toBe(403)
    expect((await agent.get(`/api/templates/${id}`)).body.versions).toEqual([])
  })

  test('sent twice it is one, whatever the second says', async () => {
    const id = await add()
    const [mel, una] = [await someone('Mel'), await someone('Una')]
    const asked = await publishing(agent, id, { members: [mel.id], start: today })
    const post = (change: object) =>
      agent.post(`/api/templates/${id}/publications`).send({ ...asked, ...change })
    const [first, ...more] = await Promise.all([post({}), post({ members: [una.id] }), post({}), post({})])
    expect(first.body).toMatchObject({ state: 'inForce', members: 1 })
    expect(more.map(({ body }) => body.id)).toEqual([asked.id, asked.id, asked.id])
    expect((await agent.get(`/api/publications/${asked.id}/members`)).body.items).toHaveLength(1)
    const other = await add()
    const wrong = await agent.post(`/api/templates/${other}/publications`).send(asked).expect(409)
    expect(wrong.body.code).toBe('sentBefore')
  })

  test('a draft that has moved on since it was looked at is not published', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const asked = await publishing(agent, id, { members: [mel.id], start: today })
    await send(id, benchSets(1, 5)).expect(200)
    const { body } = await agent.post(`/api/templates/${id}/publications`).send(asked).expect(409)
    expect(body.code).toBe('draftMoved')
    expect((await agent.get(`/api/templates/${id}`)).body.versions).toEqual([])
  })

  test('a slip of the year is refused at its field', async () => {
    const id = await add()
    const mel = await someone('Mel')
    for (const start of ['9999-03-02', addDays(today, 731), addDays(today, -731)]) {
      const { status, body } = await tryTo(id, [mel], { start })
      expect([status, body.errors[0].path]).toEqual([422, 'start'])
    }
  })

  test('a start in the past begins today', async () => {
    const id = await add()
    const mel = await someone('Mel')
    expect((await tryTo(id, [mel], { start: addDays(today, -3) })).body.start).toBe(today)
    const view = await todayOf(await world.signIn(mel), today)
    expect(view.programs[0]?.plan.start).toBe(today)
  })
})

describe('two programs', () => {
  test('stand beside one another, or one ends as the other begins, as the writer says', async () => {
    const [first, beside, instead] = [await add('First'), await add('Beside'), await add('Instead')]
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(first, [mel])
    await publish(beside, [mel], { start: '2026-03-09' })
    expect(namesOf(await todayOf(phone, '2026-03-10'))).toEqual(['First', 'Beside'])
    const { id } = await publish(instead, [mel], { start: '2026-03-16', others: 'replace' })
    expect(namesOf(await todayOf(phone, '2026-03-16'))).toEqual(['Instead'])
    const list = (await agent.get('/api/members')).body.items as { id: string; programs: string[] }[]
    expect(list.find((one) => one.id === mel.id)?.programs).toEqual(['Instead'])
    await takeBack(id).expect(200)
    expect(namesOf(await todayOf(phone, '2026-03-16'))).toEqual(['First', 'Beside'])
  })

  test('one follows the other, once that is done', async () => {
    const [first, then] = [await add('First'), await add('Then')]
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(first, [mel])
    const { id } = await publish(then, [mel], { others: 'follow' })
    const shown = await todayOf(phone, day)
    expect(namesOf(shown)).toEqual(['First'])
    expect(shown.programs[0]?.next).toBe('Then')
    const [, follower] = shown.enrolments
    expect(follower?.after).toBe(shown.enrolments[0]?.id)
    const progress = (await phone.get(`/api/me/progress?today=${day}`).expect(200)).body
    expect(progress.following).toMatchObject([{ name: 'Then', after: 'First' }])
    const fact = { kind: 'endEnrolment', enrolment: shown.enrolments[0]?.id, reason: 'other' }
    await sendOperations(phone, [{ kind: 'fact', entry: 'over', given: { fact, today: '2026-03-05' } }])
    const after = await todayOf(phone, '2026-03-05')
    expect(namesOf(after)).toEqual(['Then'])
    expect(after.programs[0]?.plan).toMatchObject({ start: '2026-03-05', next: 1 })
    // Ended before it had begun, it is none.
    await takeBack(id).expect(200)
    expect(namesOf(await todayOf(phone, '2026-03-05'))).toEqual([])
  })

  test('a program that a member or the writer has ended is on nobody’s list', async () => {
    const id = await add('Short')
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(id, [mel])
    const [own] = (await todayOf(phone, day)).enrolments
    const fact = { kind: 'endEnrolment', enrolment: own?.id, reason: 'travel' }
    await sendOperations(phone, [{ kind: 'fact', entry: 'end', given: { fact, today: '2026-03-04' } }])
    expect(namesOf(await todayOf(phone, '2026-03-05'))).toEqual([])
    const list = (await agent.get('/api/members')).body.items as { id: string; programs: string[] }[]
    expect(list.find((one) => one.id === mel.id)?.programs).toEqual([])
    await sendOperations(phone, [{ kind: 'takeBack', entry: 'end', today: '2026-03-05' }])
    expect(namesOf(await todayOf(phone, '2026-03-05'))).toEqual(['Short'])
  })
})

test('a program is started over as a run of its own, in the place of the one before', async () => {
  const id = await add()
  const mel = await someone('Mel')
  const phone = await world.signIn(mel)
  await publish(id, [mel])
  const enrolment = await train(phone, day)
  await publish(id, [mel], { start: '2026-03-09', again: true })
  const view = await todayOf(phone, '2026-03-09')
  expect(view.programs).toHaveLength(1)
  expect(view.programs[0]?.enrolment).not.toBe(enrolment)
  expect(view.programs[0]?.plan).toMatchObject({ next: 1, start: '2026-03-09' })
})

describe('taking back', () => {
  test('puts those who have not started where they were, and leaves those who have', async () => {
    const id = await add()
    const [mel, una] = [await someone('Mel'), await someone('Una')]
    const { id: publication } = await publish(id, [mel, una])
    const phone = await world.signIn(mel)
    await train(phone, day)
    const { body } = await takeBack(publication).expect(200)
    expect(body).toMatchObject({
      state: 'withdrawn',
      members: 2,
      started: 1,
      endedBy: 'Will',
      endedOn: today,
    })
    expect((await agent.get(`/api/publications/${publication}/members`)).body.items).toEqual([
      { id: mel.id, name: 'Mel', start: day, hasStarted: true, lateStart: null },
      { id: una.id, name: 'Una', start: day, hasStarted: false, lateStart: null },
    ])
    expect(namesOf(await todayOf(phone, '2026-03-04'))).toEqual(['Small'])
    expect(namesOf(await todayOf(await world.signIn(una), '2026-03-04'))).toEqual([])
    expect((await takeBack(publication).expect(200)).body.state).toBe('withdrawn')
  })

  test('a version that nobody has started leaves the one before, as if it had never been', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(id, [mel])
    const before = await todayOf(phone, '2026-03-17')
    await send(id, benchSets(1, 4)).expect(200)
    const { id: second } = await publish(id, [mel], { start: '2026-03-16' })
    expect(linesOf(await todayOf(phone, '2026-03-17'), 1)[0]).toBe('2 × 5 @ 60 kg / 4 × 5 @ ?')
    await takeBack(second).expect(200)
    expect((await todayOf(phone, '2026-03-17')).programs).toEqual(before.programs)
  })

  test('a session that was started without signal under what was taken back is stored with its sets', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    const { id: publication } = await publish(id, [mel])
    const start = await startOn(phone, day)
    await takeBack(publication).expect(200)
    // It was taken back on the day before the session, as its gym counts days.
    await world.owner('publication').where({ id: publication }).update({ ended_on: '2026-03-01' })
    const session = sessionAt(start.enrolment)
    const set = {
      slot: 'squat',
      n: 1,
      exercise: 'backSquat',
      state: 'done',
      load: { value: 60, unit: 'kg' },
      reps: 5,
    }
    await sendOperations(phone, [start, { kind: 'set', session, rev: 1, set }])
    expect(namesOf(await todayOf(phone, day))).toEqual([])
    const file = (await agent.get(`/api/members/${mel.id}/file`).expect(200)).body
    expect(file.member.logs[0].sets).toHaveLength(1)
    expect(await stateOf(publication)).toMatchObject({ started: 0, late: 1 })
    const reached = async () =>
      (await agent.get(`/api/publications/${publication}/members`).expect(200)).body.items
    expect(await reached()).toEqual([
      { id: mel.id, name: 'Mel', start: day, hasStarted: false, lateStart: day },
    ])
    // Published anew, the session counts.
    await publish(id, [mel])
    expect((await reached())[0].lateStart).toBe(day)
  })

  test('is for whoever published, and for any writer once that one has left', async () => {
    const colleague = await world.addStaff(gym, 'writer', 'Wes')
    const theirs = await world.signIn(colleague)
    const { id } = await publish(await add(), [await someone('Mel')])
    await takeBack(id, theirs).expect(403)
    const elsewhere = await world.signIn(await world.addStaff(await world.addGym('Far'), 'writer', 'Wim'))
    await takeBack(id, elsewhere).expect(404)
    await elsewhere.get(`/api/publications/${id}`).expect(404)
    await elsewhere.get(`/api/publications/${id}/members`).expect(200, { items: [], next: null })
    await world.owner('staff').where({ id: writer.id }).update({ left_at: new Date() })
    try {
      expect((await takeBack(id, theirs).expect(200)).body).toMatchObject({
        state: 'withdrawn',
        endedBy: 'Wes',
      })
    } finally {
      await world.owner('staff').where({ id: writer.id }).update({ left_at: null })
    }
  })
})

describe('a correction', () => {
  test('takes the place of what it corrects in one commit, on the same day', async () => {
    const id = await add()
    const [mel, una] = [await someone('Mel'), await someone('Una')]
    const first = (await tryTo(id, [mel, una])).body as PublicationView
    const begun = await world.signIn(mel)
    const enrolment = await train(begun, today)
    await send(id, benchSets(1, 4)).expect(200)
    const second = await tryTo(id, [mel, una], { replaces: first.id, begins: 'session' })
    expect(second.body).toMatchObject({ state: 'inForce', version: 2 })
    expect(await stateOf(first.id)).toMatchObject({ state: 'withdrawn', started: 1 })
    const own = await todayOf(begun, today)
    expect(own.enrolments.map((one) => one.id)).toEqual([enrolment])
    expect(linesOf(own, 1)).toEqual(['2 × 5 @ 60 kg / 1 × 5 @ ?', '2 × 5 @ 62.5 kg / 4 × 5 @ ?'])
    const fresh = await todayOf(await world.signIn(una), today)
    expect(linesOf(fresh, 1)[0]).toBe('2 × 5 @ 60 kg / 4 × 5 @ ?')
  })

  test('of what replaced another program still replaces it, and is refused where there is nothing to correct', async () => {
    const [old, id] = [await add('Old'), await add('New')]
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(old, [mel])
    const first = (await tryTo(id, [mel], { others: 'replace' })).body as PublicationView
    await send(id, benchSets(1, 4)).expect(200)
    const second = (await tryTo(id, [mel], { others: 'replace', replaces: first.id })).body as PublicationView
    expect(namesOf(await todayOf(phone, today))).toEqual(['New'])
    expect((await tryTo(id, [mel], { replaces: first.id })).body.code).toBe('notPossible')
    expect((await tryTo(old, [mel], { replaces: second.id })).status).toBe(404)
    await takeBack(second.id).expect(200)
    expect(namesOf(await todayOf(phone, today))).toEqual(['Old'])
  })

  test('of one that started members over has them change over, as if they had never been started over', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(id, [mel])
    const enrolment = await train(phone, day)
    const first = (await tryTo(id, [mel], { again: true })).body as PublicationView
    expect((await todayOf(phone, today)).programs[0]?.enrolment).not.toBe(enrolment)
    await tryTo(id, [mel], { replaces: first.id, begins: 'session' })
    const view = await todayOf(phone, today)
    expect(view.programs.map((one) => one.enrolment)).toEqual([enrolment])
    expect(view.programs[0]?.plan.next).toBe(2)
  })

  test('that no longer replaces other programs gives those back', async () => {
    const [old, id] = [await add('Old'), await add('New')]
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(old, [mel])
    const first = (await tryTo(id, [mel], { others: 'replace' })).body as PublicationView
    expect(namesOf(await todayOf(phone, today))).toEqual(['New'])
    await tryTo(id, [mel], { replaces: first.id })
    expect(namesOf(await todayOf(phone, today)).sort()).toEqual(['New', 'Old'])
  })
})

describe('filling in', () => {
  test('counts for nobody before it is whole, and goes on where a killed server left it', async () => {
    const id = await add()
    const people = [await someone('Mel'), await someone('Una')]
    const publication = await prepared(id, people)
    expect(await stateOf(publication)).toMatchObject({ state: 'preparing', filled: 0 })
    await fillSome(publication)
    expect(await stateOf(publication)).toMatchObject({ state: 'preparing', filled: 2 })
    const phones = await Promise.all(people.map((one) => world.signIn(one)))
    for (const phone of phones) expect(namesOf(await todayOf(phone, today))).toEqual([])
    await Promise.all([1, 2, 3].map(() => fillPublication(world.database, gym, publication)))
    expect(await stateOf(publication)).toMatchObject({ state: 'inForce', filled: 2 })
    for (const phone of phones) expect(namesOf(await todayOf(phone, today))).toEqual(['Small'])
    expect(await world.owner('enrolment').where({ template_id: id })).toHaveLength(2)
  })

  test('is called off by taking back, and then makes nothing count', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const publication = await prepared(id, [mel])
    expect((await takeBack(publication).expect(200)).body.state).toBe('cancelled')
    await fillPublication(world.database, gym, publication)
    expect((await stateOf(publication)).state).toBe('cancelled')
    expect(namesOf(await todayOf(await world.signIn(mel), today))).toEqual([])
    expect((await agent.get(`/api/templates/${id}`)).body.versions).toEqual([])
  })

  test('taken back at the very end is either called off or taken back, and nobody is left on it', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const publication = await prepared(id, [mel])
    const [, { body }] = await Promise.all([
      fillPublication(world.database, gym, publication),
      takeBack(publication),
    ])
    expect(['cancelled', 'withdrawn']).toContain(body.state)
    expect(namesOf(await todayOf(await world.signIn(mel), today))).toEqual([])
  })

  test('leaves out who has left or is another’s by then, and is called off where nobody is left', async () => {
    const id = await add()
    const [mel, una, ola] = [await someone('Mel'), await someone('Una'), await someone('Ola')]
    const publication = await prepared(id, [mel, una, ola])
    await world.owner('member').where({ id: mel.id }).update({ left_at: new Date() })
    await world.owner('assignment').where({ member_id: una.id }).update({ until_at: new Date() })
    await fillPublication(world.database, gym, publication)
    expect((await agent.get(`/api/publications/${publication}/members`)).body.items).toEqual([
      { id: ola.id, name: 'Ola', start: today, hasStarted: false, lateStart: null },
    ])
    const nobody = await prepared(id, [ola])
    await world.owner('assignment').where({ member_id: ola.id }).update({ until_at: new Date() })
    await fillPublication(world.database, gym, nobody)
    expect((await stateOf(nobody)).state).toBe('cancelled')
  })

  test('two at once of one template put nobody on it twice', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const both = [await prepared(id, [mel]), await prepared(id, [mel])]
    await fillSome(both[0] ?? '')
    await fillSome(both[1] ?? '')
    await Promise.all(both.map((one) => fillPublication(world.database, gym, one)))
    const view = await todayOf(await world.signIn(mel), today)
    expect(view.enrolments).toHaveLength(1)
    const numbers = await world.owner('publication').whereIn('id', both).select('number')
    expect(new Set(numbers.map(({ number }) => number)).size).toBe(2)
  })

  test('two at once that each take the place of other programs leave the one that came last', async () => {
    const [first, second] = [await add('First'), await add('Second')]
    const mel = await someone('Mel')
    const both = [
      await prepared(first, [mel], { others: 'replace' }),
      await prepared(second, [mel], { others: 'replace' }),
    ] as const
    for (const one of both) await fillSome(one)
    for (const one of both) await fillPublication(world.database, gym, one)
    expect(namesOf(await todayOf(await world.signIn(mel), today))).toEqual(['Second'])
  })

  test('on a day after their run has ended, members start a run of their own', async () => {
    const [id, other] = [await add('Ending'), await add('Other')]
    const mel = await someone('Mel')
    await publish(id, [mel])
    await tryTo(other, [mel], { start: addDays(today, 7), others: 'replace' })
    await tryTo(id, [mel], { start: addDays(today, 14) })
    const view = await todayOf(await world.signIn(mel), addDays(today, 14))
    expect(namesOf(view).sort()).toEqual(['Ending', 'Other'])
    expect(view.programs.find(({ name }) => name === 'Ending')?.plan.start).toBe(addDays(today, 14))
  })

  test('of many members is done by the queue, which runs it once', async () => {
    const id = await add()
    const people = await world
      .owner('member')
      .insert(Array.from({ length: 501 }, (_, i) => ({ gym_id: gym, name: `Many ${i}` })))
      .returning('id')
    const ids = people.map(({ id: one }) => one as string)
    await world
      .owner('assignment')
      .insert(ids.map((member_id) => ({ gym_id: gym, member_id, staff_id: writer.id })))
    const { body } = await tryTo(
      id,
      ids.map((one) => ({ id: one }) as Seated),
    )
    expect(body).toMatchObject({ state: 'preparing', filled: 0, members: 501 })
    const queues = await Promise.all(
      [1, 2].map(() => openQueue(world.url, world.database, pino({ level: 'silent' }))),
    )
    try {
      const isDone = async () => (await stateOf(body.id)).state !== 'preparing'
      while (!(await isDone())) await new Promise((resolve) => setTimeout(resolve, 20))
    } finally {
      await Promise.all(queues.map((queue) => queue.close()))
    }
    expect(await stateOf(body.id)).toMatchObject({ state: 'inForce', filled: 501 })
    expect(await world.owner('enrolment').where({ template_id: id })).toHaveLength(501)
  }, 60_000)

  test('of a server that was killed is taken up by the next one', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const publication = await prepared(id, [mel])
    // As the killed one left it: the task is held by a worker that is gone.
    await world.owner.raw(
      `update graphile_worker._private_jobs set locked_by = 'gone', locked_at = now(), attempts = 1 where key like ?`,
      [`%${publication}`],
    )
    const queue = await openQueue(world.url, world.database, pino({ level: 'silent' }))
    try {
      while ((await stateOf(publication)).state === 'preparing')
        await new Promise((resolve) => setTimeout(resolve, 20))
    } finally {
      await queue.close()
    }
    expect(await stateOf(publication)).toMatchObject({ state: 'inForce', filled: 1 })
  }, 60_000)
})

describe('a version for members who are on the template', () => {
  /** A member who has trained the first place of the first week. */
  const begun = async (id: string) => {
    const sam = await someone('Sam')
    await publish(id, [sam])
    const phone = await world.signIn(sam)
    await train(phone, day)
    return { sam, phone }
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
    const { sam, phone } = await begun(id)
    await send(id, benchSets(1, 3), benchSets(1, 3, 1), heavier).expect(200)
    await publish(id, [sam], { start: '2026-03-03' })
    const view = await todayOf(phone, '2026-03-04')
    expect(linesOf(view, 1)).toEqual(['2 × 5 @ 60 kg / 1 × 5 @ ?', '2 × 5 @ 62.5 kg / 1 × 5 @ ?'])
    expect(linesOf(view, 2)[0]).toBe('2 × 5 @ 65 kg / 3 × 5 @ ?')
  })

  test('is said to its members with its note, for two weeks', async () => {
    const id = await add()
    const mel = await someone('Mel')
    const phone = await world.signIn(mel)
    await publish(id, [mel], { note: 'First.' })
    const changedOn = async (on: string) => (await todayOf(phone, on)).programs[0]?.changed
    expect(await changedOn('2026-03-05')).toBeUndefined()
    await send(id, benchSets(1, 4)).expect(200)
    await publish(id, [mel], { start: '2026-03-16', begins: 'session', note: 'More bench.' })
    const said = { version: 2, from: '2026-03-16', note: 'More bench.' }
    expect(await changedOn('2026-03-15')).toBeUndefined()
    expect(await changedOn('2026-03-16')).toEqual(said)
    expect(await changedOn('2026-03-29')).toEqual(said)
    expect(await changedOn('2026-03-30')).toBeUndefined()
    const { body } = await agent.get(`/api/members/${mel.id}/progress?today=2026-03-17`).expect(200)
    expect(body.programs[0].changed).toEqual(said)
  })

  test('begins with the next session where the writer says so', async () => {
    const id = await add()
    const { sam, phone } = await begun(id)
    await send(id, benchSets(1, 3)).expect(200)
    await publish(id, [sam], { start: '2026-03-03', begins: 'session' })
    const [trained, next] = linesOf(await todayOf(phone, '2026-03-04'), 1)
    expect(trained).toBe('2 × 5 @ 60 kg / 1 × 5 @ ?')
    expect(next).toBe('2 × 5 @ 62.5 kg / 3 × 5 @ ?')
  })

  test('is compared with the one before, and with nothing before the first', async () => {
    const id = await add()
    const read = async () => (await agent.get(`/api/templates/${id}/changes`).expect(200)).body
    expect(await read()).toEqual({ next: 1, since: null, changes: [] })
    await publish(id, [await someone('Cy')])
    await send(id, benchSets(1, 3)).expect(200)
    expect(await read()).toEqual({
      next: 2,
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
    const ty = await someone('Ty')
    const refused = await tryTo(body.id, [ty], { track: 'dark' })
    expect(refused.body.errors[0].path).toBe('track')
    await publish(body.id, [ty], { track: 'light', clock: 'calendar' })
    const phone = await world.signIn(ty)
    const first = await todayOf(phone, day)
    expect(first.programs[0]).toMatchObject({ track: 'Light', plan: { track: 'light' } })
    expect(first.programs[0]?.plan.weeks[0]).toMatchObject({ from: day })
    expect(linesOf(first, 1)[0]).toBe('2 × 5 @ 60 kg')
    expect(first.programs[0]?.plan.weeks[0]?.places[0]?.changes[0]).toMatchObject({ slot: 'bench' })
    await publish(body.id, [ty], { start: '2026-03-09' })
    expect((await todayOf(phone, '2026-03-10')).programs[0]?.track).toBe('Light')
    await publish(body.id, [ty], { start: '2026-03-16', track: null })
    expect((await todayOf(phone, '2026-03-17')).programs[0]?.track).toBeUndefined()
  })
})
