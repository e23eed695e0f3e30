import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import { operationFormat } from '@young-oak/api/operations'
import type { Operation, TodayView } from '@young-oak/api/training'
import type { PlannedSession } from '@young-oak/core/plan'
import { formatSetsShown } from '@young-oak/core/views'
import { makeProgram, type Program } from '../../testing/program.ts'
import { sessionAt, startOn } from '../../testing/training.ts'
import type { Agent, Seated } from '../../testing/world.ts'

let program: Program
let world: Program['world']
let gym: string
let writer: Program['writer']
let coach: Agent
let member: Seated
let phone: Agent
let enrolment: string
const day = '2026-03-02'
beforeAll(async () => {
  program = await makeProgram()
  ;({ world, gym, writer, coach } = program)
}, 120_000)
afterAll(() => world.end())
beforeEach(async () => {
  ;({ member, phone, enrolment } = await program.enrol('Mel', day))
})

const today = async (on = day): Promise<TodayView> =>
  (await phone.get(`/api/me/today?today=${on}`).expect(200)).body
const places = (view: TodayView): PlannedSession[] =>
  view.programs[0]?.plan.weeks.flatMap((week) => week.places) ?? []
const next = (view: TodayView) => places(view).find(({ status }) => status === 'next' || status === 'open')
const line = (session: PlannedSession | undefined, slot: string) =>
  formatSetsShown({}, session?.slots.find((one) => one.slot === slot)?.sets ?? [])
const send = async (...operations: object[]) =>
  (
    await phone
      .post('/api/me/operations')
      .send({ format: operationFormat, operations: operations.map((one) => ({ id: randomUUID(), ...one })) })
      .expect(200)
  ).body.answers
const start = (position = 1, date = day) => startOn(phone, date, position)
const session = (position = 1) => sessionAt(enrolment, position)
const set = (n: number, change: object = {}, rev = 1, slot = 'squat') => ({
  kind: 'set',
  session: session(),
  rev,
  set: {
    slot,
    n,
    exercise: slot === 'squat' ? 'backSquat' : 'benchPress',
    state: 'done',
    load: { value: 60, unit: 'kg' },
    reps: 5,
    ...change,
  },
})
const results = (answers: { result: string }[]) => answers.map(({ result }) => result)

describe('today', () => {
  test('is sent compressed', async () => {
    const { headers } = await phone
      .get(`/api/me/today?today=${day}`)
      .set('accept-encoding', 'gzip')
      .expect(200)
    expect(headers['content-encoding']).toBe('gzip')
  })
})

describe('a session', () => {
  test('is started, logged set by set and finished, and the next load has moved and says why', async () => {
    expect(line(next(await today()), 'squat')).toBe('2 × 5 @ 60 kg')
    expect(results(await send(await start(), set(1), set(2), { kind: 'close', session: session() }))).toEqual(
      ['stored', 'stored', 'stored', 'stored'],
    )
    const after = next(await today())
    expect(after?.position).toBe(2)
    expect(line(after, 'squat')).toBe('2 × 5 @ 62.5 kg')
    expect(after?.slots[0]?.sets[0]?.why[0]).toMatchObject({ id: 'steady.step', data: { date: day } })
  })

  test('of a phone whose clock is years ahead is kept, and counts once its day is confirmed', async () => {
    const wrong = '2087-03-02'
    const close = { kind: 'close', session: session() }
    const sets = [set(1), set(2)]
    const given = { ...(await start()), date: wrong }
    expect(results(await send(given, ...sets, close))).toEqual(['stored', 'stored', 'stored', 'stored'])
    for (const on of [day, wrong]) {
      const before = await today(on)
      expect(before.unconfirmed).toEqual([{ session: session(), name: 'Day', date: wrong }])
      expect(line(next(before), 'squat')).toBe('2 × 5 @ 60 kg')
      expect(before.findings.some(({ what }) => what.includes('not confirmed'))).toBe(true)
    }
    const [ahead] = await send({ kind: 'confirm', session: session(), date: '2087-02-02' })
    expect(ahead).toMatchObject({ result: 'refused', code: 'farAhead' })
    const confirm = { kind: 'confirm', session: session(), date: day }
    expect(results(await send(confirm, confirm))).toEqual(['stored', 'already had'])
    const after = await today()
    expect(after.unconfirmed).toEqual([])
    expect(next(after)?.position).toBe(2)
    expect(line(next(after), 'squat')).toBe('2 × 5 @ 62.5 kg')
    expect(results(await send({ ...confirm, session: session(2) }))).toEqual(['refused'])
  })

  test('keeps what was shown, whatever the template becomes', async () => {
    await send(await start(), set(1))
    const [row] = await world.owner('session_start').where({ session_id: session() }).select('shown')
    expect(row.shown).toMatchObject({
      format: 2,
      at: { week: 1 },
      slots: { squat: { sets: [{ load: { value: 60 } }] } },
    })
  })

  test('started on two phones is one session with two starts, and the earlier is its own', async () => {
    const [one, another] = [await start(), { ...(await start()), minute: 590 }]
    const [first, second] = await Promise.all([send(one), send(another)])
    expect([...results(first), ...results(second)]).toEqual(['stored', 'stored'])
    const [log, ...others] = (await today()).logs
    expect(others).toEqual([])
    expect(log).toMatchObject({ id: session(), minute: 590, starts: [{ minute: expect.any(Number) }, {}] })
  })
})

describe('what was shown', () => {
  const withLoad = async (value: number) => {
    const one = await start()
    const { squat } = one.shown.slots
    const sets =
      squat?.sets.map((asked) => ({
        ...asked,
        target: kg(value),
        ruled: kg(value),
        load: kg(value),
      })) ?? []
    return { ...one, shown: { ...one.shown, slots: { ...one.shown.slots, squat: { ...squat, sets } } } }
  }
  const kg = (value: number) => ({ value, unit: 'kg' })
  const withSets = (shown: object, change: object): object => {
    const { slots } = shown as { slots: Record<string, { sets: object[] }> }
    const sets = slots.squat?.sets.map((asked) => ({ ...asked, ...change }))
    return { ...shown, slots: { ...slots, squat: { ...slots.squat, sets } } }
  }

  test('is kept as the phone sent it, though the server would have asked otherwise, and is judged by it', async () => {
    const sets = [1, 2].map((n) => set(n, { load: kg(75) }))
    await send(await withLoad(75), ...sets, { kind: 'close', session: session() })
    const view = await today()
    expect(line(places(view)[0], 'squat')).toBe('2 × 5 @ 75 kg')
    expect(places(view)[0]?.slots[0]?.verdict).toBe('hit')
    expect(line(places(view)[1], 'squat')).toBe('2 × 5 @ 77.5 kg')
  })
  test('is that of the start which a set names, of two phones', async () => {
    const [own, other] = [randomUUID(), randomUUID()]
    await send({ ...(await withLoad(75)), id: own }, { ...(await start()), id: other, minute: 599 })
    const sets = [1, 2].map((n) => ({ ...set(n, { load: kg(75) }), start: own }))
    await send(...sets, { kind: 'close', session: session() })
    const [first] = places(await today())
    expect([line(first, 'squat'), first?.slots[0]?.verdict]).toEqual(['2 × 5 @ 75 kg', 'hit'])
  })
  test('is worked out here for a page of an earlier build, which names a position', async () => {
    const old = { kind: 'start', enrolment, position: 1, date: day }
    const id = `${enrolment}:1:1`
    const { body } = await phone.post('/api/me/operations').send({
      operations: [
        { ...old, id: randomUUID() },
        { ...set(1), id: randomUUID(), session: id },
      ],
    })
    expect(results(body.answers)).toEqual(['stored', 'stored'])
    expect(places(await today())[0]).toMatchObject({ status: 'open', log: id })
  })
  test.each<[string, (shown: object) => object]>([
    ['of no shape', () => ({ format: 2 })],
    [
      'with a load that is text',
      (shown) => ({ ...shown, slots: { squat: { exercise: 'backSquat', sets: [{ load: 'x' }] } } }),
    ],
    ['at no place', (shown) => ({ ...shown, at: { phase: 'p' } })],
    ['with a load below nothing', (shown) => withSets(shown, { load: kg(-5) })],
    ['with more sets than there are numbers', (shown) => withSets(shown, { sets: 1e9 })],
    ['of endless steps', (shown) => ({ ...shown, engine: 'x'.repeat(300_000) })],
    ['of another gym’s version', (shown) => ({ ...shown, version: randomUUID() })],
  ])('%s is refused with a reason, and blocks nothing', async (_, change) => {
    const one = await start()
    const answers = await send({ ...one, shown: change(one.shown) }, one)
    expect(results(answers)).toEqual(['refused', 'stored'])
  })
})

describe('a set', () => {
  test('sent twice is stored once', async () => {
    await send(await start())
    const once: Operation = { id: randomUUID(), ...set(1) } as Operation
    expect(results(await send(once))).toEqual(['stored'])
    expect(results(await send(once, once))).toEqual(['already had', 'already had'])
    expect(await world.owner('set_entry').where({ session_id: session() })).toHaveLength(1)
    expect((await today()).logs[0]?.sets).toHaveLength(1)
  })

  test('corrected keeps both entries, and the correction counts', async () => {
    await send(await start(), set(1), set(1, { reps: 3 }, 2))
    expect((await today()).logs[0]?.sets).toMatchObject([{ reps: 3, rev: 2 }])
    expect(await world.owner('set_entry').where({ session_id: session() })).toHaveLength(2)
  })

  test('of one revision from two phones is a conflict: both are kept, the greater change id is shown', async () => {
    await send(await start())
    const [a, b] = ['11111111-1111-4111-8111-111111111111', '99999999-9999-4999-8999-999999999999']
    expect(results(await send({ ...set(1, { reps: 5 }), id: b }))).toEqual(['stored'])
    expect(results(await send({ ...set(1, { reps: 4 }), id: a }))).toEqual(['conflict'])
    expect((await today()).logs[0]?.sets).toMatchObject([{ reps: 5 }])
    expect(await world.owner('set_entry').where({ session_id: session() })).toHaveLength(2)
  })

  test.each<[string, object, RegExp]>([
    ['a negative load', { load: { value: -5, unit: 'kg' } }, /more than 0/],
    ['an absurd load', { load: { value: 5000, unit: 'kg' } }, /More than 500 kg is not taken/],
    ['a load that is text', { load: { value: 'heavy', unit: 'kg' } }, /number/],
    ['half a rep', { reps: 4.5 }, /whole/],
  ])('with %s is refused with the reason, and blocks nothing behind it', async (_, change, reason) => {
    await send(await start())
    const answers = await send(set(1, change), set(2))
    expect(results(answers)).toEqual(['refused', 'stored'])
    expect(answers[0].reason).toMatch(reason)
  })

  test('that cannot be stored, by no fault of its own, is an answer to itself and blocks none behind it', async () => {
    await send(await start())
    const second = await start(2)
    await world.owner.raw(`
      create function refuse() returns trigger language plpgsql as $$ begin raise exception 'no room'; end $$;
      create trigger refuse before insert on set_entry for each row when (new.body->>'reps' = '13') execute function refuse()`)
    const answers = await send(set(1, { reps: 13 }), set(2), second, { ...set(1), session: session(2) })
    await world.owner.raw('drop trigger refuse on set_entry; drop function refuse')
    expect(results(answers)).toEqual(['refused', 'stored', 'stored', 'stored'])
    expect(answers[0].reason).toBe('This could not be stored, which is our fault: tell your coach.')
  })

  test('many at once all count', async () => {
    await send(await start())
    await Promise.all(Array.from({ length: 12 }, (_, i) => send(set(i + 1))))
    expect((await today()).logs[0]?.sets).toHaveLength(12)
  })

  test('for another member’s session is refused', async () => {
    const started = await start()
    await send(started)
    const theirs = session()
    phone = await world.signIn(await world.addMember(gym, 'Eve', writer))
    expect(
      results(await send({ ...set(1), session: theirs }, { kind: 'close', session: theirs }, started)),
    ).toEqual(['refused', 'refused', 'refused'])
  })
})

describe('what has changed', () => {
  const since = async (revision?: number) =>
    (await phone.get(`/api/me/changes${revision === undefined ? '' : `?since=${revision}`}`).expect(200)).body
  const ids = (rows: { id: string }[]) => rows.map(({ id }) => id)

  test('since a revision is what was written after it, whoever wrote it, and nothing else', async () => {
    const empty = await since()
    expect([empty.facts, empty.sessions, empty.enrolments.length]).toEqual([[], [], 1])
    await send(await start(), set(1))
    const first = await since(empty.revision)
    expect(ids(first.sessions)).toEqual([session()])
    expect(first.sessions[0]).toMatchObject({ sets: [{ n: 1 }], shown: { slots: { squat: {} } } })
    expect((await since(first.revision)).sessions).toEqual([])
    await send(set(2))
    expect((await since(first.revision)).sessions[0].sets).toHaveLength(2)
    const second = await since()
    const given = { load: { value: 80, unit: 'kg' }, date: day, today: day }
    await coach.post(`/api/members/${member.id}/body-weight`).send(given).expect(200)
    const third = await since(second.revision)
    expect([third.sessions, third.facts]).toMatchObject([[], [{ kind: 'bodyWeight' }]])
    await phone.get('/api/me/changes?since=-1').expect(422)
  })
})

describe('what is entered beside sets', () => {
  const kg = (value: number) => ({ value, unit: 'kg' })
  test('waits for signal like a set, and is one however often it is sent', async () => {
    const given = { exercise: 'backSquat', load: kg(120), reps: 1, formula: 'epley', date: day, today: day }
    const operations = [
      { id: randomUUID(), kind: 'max', entry: 'phone-1', given },
      {
        id: randomUUID(),
        kind: 'bodyWeight',
        entry: 'phone-2',
        given: { load: kg(80), date: day, today: day },
      },
      {
        id: randomUUID(),
        kind: 'fact',
        entry: 'phone-3',
        given: { fact: { kind: 'checkIn', sleep: 2 }, today: day },
      },
      { id: randomUUID(), kind: 'takeBack', entry: 'phone-3', today: day },
    ]
    expect(results(await send(...operations))).toEqual(['stored', 'stored', 'stored', 'stored'])
    expect(new Set(results(await send(...operations)))).toEqual(new Set(['already had']))
    const { body } = await phone.get(`/api/me/maxes?today=${day}`).expect(200)
    expect(body.maxes).toMatchObject([{ load: kg(120), before: [] }])
    expect(body.body.load).toEqual(kg(80))
    expect((await phone.get(`/api/me/progress?today=${day}`)).body.checkIn).toBeNull()
  })
  test('is refused by itself with a code and the reason, and blocks nothing', async () => {
    const answers = await send(
      { kind: 'fact', entry: 'phone-1', given: { fact: { kind: 'checkIn', sleep: 9 }, today: day } },
      { kind: 'bodyWeight', entry: 'phone-2', given: { load: kg(-1), date: day, today: day } },
      { kind: 'takeBack', entry: 'nowhere', today: day },
      { kind: 'bodyWeight', entry: 'phone-3', given: { load: kg(80), date: day, today: day } },
    )
    expect(answers.map(({ code, result }: { code?: string; result: string }) => code ?? result)).toEqual([
      'notPossible',
      'notAsExpected',
      'notPossible',
      'stored',
    ])
    const paths = answers.map(({ errors = [] }: { errors?: { path: string }[] }) =>
      errors.map(({ path }) => path),
    )
    expect(paths).toEqual([['sleep'], ['load.value'], [], []])
  })
})

describe('a max', () => {
  const give = (change: object = {}) =>
    phone.post('/api/me/maxes').send({
      exercise: 'benchPress',
      load: { value: 100, unit: 'kg' },
      reps: 1,
      formula: 'epley',
      date: day,
      today: day,
      ...change,
    })

  test('that a slot needs is asked for by the slot, while the others stand', async () => {
    const session = next(await today())
    expect(session?.slots.map(({ needs }) => needs.length)).toEqual([0, 1])
    expect([line(session, 'squat'), line(session, 'bench')]).toEqual(['2 × 5 @ 60 kg', '1 × 5 @ ?'])
    expect((await phone.get(`/api/me/maxes?today=${day}`)).body.needed).toEqual([{ exercise: 'benchPress' }])
  })

  test('given as a single gives the load; as a set it is an estimate, with its formula kept', async () => {
    await give().expect(200)
    expect(line(next(await today()), 'bench')).toBe('1 × 5 @ 75 kg')
    const { body } = await give({
      load: { value: 90, unit: 'kg' },
      reps: 6,
      formula: 'brzycki',
      date: '2026-03-03',
      today: '2026-03-03',
    }).expect(200)
    // Brzycki by hand: 90 × 36 / (37 − 6) = 104.5161; 75% is 78.387, nearest 77.5.
    expect(body.maxes).toMatchObject([{ load: { value: 104.5161 }, from: { reps: 6, formula: 'brzycki' } }])
    expect(line(next(await today('2026-03-03')), 'bench')).toBe('1 × 5 @ 77.5 kg')
  })

  test('keeps those before it, says when it is too old to trust, and is not lowered unasked', async () => {
    const benchAt = (date: string, value: number, change: object = {}) =>
      give({ date, load: { value, unit: 'kg' }, reps: 1, ...change }).expect(200)
    await benchAt('2025-10-01', 90)
    const old = (await benchAt('2025-10-06', 95)).body
    // 6 October 2025 is 21 weeks before 2 March 2026; 16 are trusted.
    expect(old.maxes).toMatchObject([
      { load: { value: 95 }, staleWeeks: 21, before: [{ load: { value: 90 } }] },
    ])
    const fresh = (await benchAt(day, 97.5)).body
    expect(fresh.maxes[0].staleWeeks).toBeUndefined()
    expect(fresh.maxes[0].before).toHaveLength(2)
    const lower = (await benchAt(day, 90)).body
    expect(lower.maxes[0].load.value).toBe(97.5)
    expect(lower.proposals).toMatchObject([{ how: 'lower test', load: { value: 90 } }])
    const taken = (await benchAt(day, 90, { accepted: true })).body
    expect(taken.proposals).toEqual([])
  })
  test.each<[string, object, string]>([
    ['without a load', { load: { unit: 'kg' } }, 'load.value'],
    ['of minus 20 kg', { load: { value: -20, unit: 'kg' } }, 'load.value'],
    ['of 40 reps', { reps: 40 }, 'reps'],
    ['of no reps', { reps: 0 }, 'reps'],
    ['of 900 kg', { load: { value: 900, unit: 'kg' } }, 'load.value'],
    ['dated next week', { date: '2026-03-09' }, 'date'],
  ])('%s is refused at its field', async (_, change, path) => {
    const { body } = await give(change).expect(422)
    expect(body.errors.map((one: { path: string }) => one.path)).toContain(path)
  })
})

describe('what a set may say', () => {
  const stored = async () => (await today()).logs[0]?.sets
  test('is kept: reps left, help, pain, an amount', async () => {
    const said = { rir: 2, assisted: 1, partial: true, pain: true, bands: '1 green' }
    const amount = { value: 45, unit: 's' }
    await send(await start(), set(1, said), set(2, { reps: undefined, load: undefined, amount }))
    expect(await stored()).toMatchObject([said, { amount }])
  })
  test('is refused by itself where it is absurd, and the others stand', async () => {
    const bad = [
      { rir: 12 },
      { amount: { value: -1, unit: 's' } },
      { amount: { value: 3, unit: 'leagues' } },
      { load: { value: 0, unit: 'kg' } },
      { help: true },
      { style: 'wild' },
    ]
    await send(await start())
    const answers = await send(...bad.map((change, i) => set(i + 1, change)), set(9))
    expect(results(answers)).toEqual([...bad.map(() => 'refused'), 'stored'])
    expect(await stored()).toMatchObject([{ n: 9 }])
  })
  test('beside body weight may be nothing on top, or help', async () => {
    await send(await start())
    const pullUp = { exercise: 'pullUp', load: { value: 0, unit: 'kg' } }
    const answers = await send(
      set(1, pullUp),
      set(2, { ...pullUp, load: { value: 15, unit: 'kg' }, help: true }),
    )
    expect(results(answers)).toEqual(['stored', 'stored'])
  })
})

test('a session is shown on the plates of the place where it is trained, and keeps the place', async () => {
  await world.owner('location').insert({ gym_id: gym, id: 'shed', name: 'The shed' })
  const racks = JSON.stringify([{ unit: 'kg', bar: 20, plates: [{ weight: 15, pairs: 1 }] }])
  await world.owner('location_equipment').insert({ gym_id: gym, location_id: 'shed', acts_from: day, racks })
  expect((await today()).locations).toContainEqual({ id: 'shed', name: 'The shed' })
  await send(await startOn(phone, day, 1, 'shed'))
  const view = await today()
  expect(view.logs[0]).toMatchObject({ location: 'shed' })
  expect(line(next(view), 'squat')).toBe('2 × 5 @ 50 kg')
  expect(line(places(view)[1], 'squat')).toBe('2 × 5 @ 60 kg')
})

test('what training tells of a lift whose max the plan lacks is offered with the session', async () => {
  await send(
    await start(),
    set(1, { slot: 'bench', exercise: 'benchPress', load: { value: 50, unit: 'kg' }, rir: 2 }),
  )
  // 50 kg × 5 with two left by Epley: 50 × (1 + 7/30) = 61.6667.
  expect((await today()).proposals).toMatchObject([
    { exercise: 'benchPress', load: { value: 61.6667 }, from: { rir: 2 } },
  ])
})
