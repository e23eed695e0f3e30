import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { ProgressView } from '@young-oak/api/progress'
import { operationFormat } from '@young-oak/api/operations'
import type { TodayView } from '@young-oak/api/training'
import type { Slot } from '@young-oak/core/template'
import { sessionAt, startOn } from '../../testing/training.ts'
import { makeProgram, type Program } from '../../testing/program.ts'
import { publish } from '../../testing/publish.ts'
import { smallTemplate } from '../../testing/template.ts'
import type { Agent, Seated } from '../../testing/world.ts'

let program: Program
let phone: Agent
let member: Seated
let enrolment: string
const day = '2026-03-02'
beforeAll(async () => {
  program = await makeProgram()
}, 120_000)
afterAll(() => program.world.end())
beforeEach(async () => {
  ;({ member, phone, enrolment } = await program.enrol('Mel', day))
})

const progress = async (on = day, who = phone, whose = '/api/me'): Promise<ProgressView> =>
  (await who.get(`${whose}/progress?today=${on}`).expect(200)).body
const give = (fact: object, who = phone, whose = '/api/me') =>
  who.post(`${whose}/facts`).send({ fact, today: day })

test('of the exercises that a slot offers the member trains the one that they or their writer chose', async () => {
  const { world, coach, gym, writer } = program
  const own = smallTemplate()
  const bench = { ...(own.slots.bench as Slot), choices: [{ exercise: 'overheadPress' as const }] }
  const file = { ...own, name: 'Either', slots: { ...own.slots, bench } }
  const { body } = await coach.post('/api/templates').send({ template: file }).expect(200)
  const ann = await world.addMember(gym, 'Ann', writer)
  await publish(world, coach, body.id, { members: [ann.id], start: day })
  const hand = await world.signIn(ann)
  const whose = `/api/members/${ann.id}`
  const seen = async () => {
    const [is] = (await progress(day, coach, whose)).programs
    const today: TodayView = (await hand.get(`/api/me/today?today=${day}`).expect(200)).body
    const places = today.programs[0]?.plan.weeks.flatMap((week) => week.places) ?? []
    const slot = places[0]?.slots.find((one) => one.slot === 'bench')
    return {
      enrolment: is?.enrolment ?? '',
      offers: is?.choices[0],
      trains: slot?.exercise,
      of: slot?.choices,
    }
  }
  const of = [{ exercise: 'benchPress' }, { exercise: 'overheadPress' }]
  const { enrolment, ...first } = await seen()
  const offers = { slot: 'bench', session: 'Day', of }
  expect(first).toEqual({ offers: { ...offers, chosen: of[0] }, trains: 'benchPress', of })
  const choice = { kind: 'choice', enrolment, slot: 'bench' }
  await give({ ...choice, exercise: 'overheadPress' }, coach, whose).expect(200)
  expect(await seen()).toMatchObject({ offers: { chosen: of[1] }, trains: 'overheadPress' })
  await give({ ...choice, exercise: 'benchPress' }, hand).expect(200)
  expect(await seen()).toMatchObject({ offers: { chosen: of[0] }, trains: 'benchPress' })
  await give({ ...choice, exercise: 'nothing' }, hand).expect(422)
})

describe('progress', () => {
  test('of somebody new says that there is too little to go by, and nothing else', async () => {
    const view = await progress()
    expect(view.programs.map(({ advice }) => advice.answer)).toEqual(['askAgain'])
    expect([view.lifts, view.trials, view.offers, view.checkIn]).toEqual([[], [], [], null])
  })

  test('is the member’s and their writer’s: another writer and the owner are refused', async () => {
    await give({ kind: 'checkIn', sleep: 1 }).expect(200)
    const { world, gym, coach } = program
    const other = await world.signIn(await world.addStaff(gym, 'writer', 'Wanda'))
    const owner = await world.signIn(await world.addStaff(gym, 'owner', 'Olive'))
    const path = `/api/members/${member.id}`
    expect((await progress(day, coach, path)).checkIn?.sleep).toBe(1)
    await other.get(`${path}/progress?today=${day}`).expect(403)
    await owner.get(`${path}/progress?today=${day}`).expect(403)
    await give({ kind: 'checkIn', sleep: 5 }, other, path).expect(403)
    const elsewhere = await world.signIn(await world.addStaff(await world.addGym('There'), 'writer', 'Wim'))
    await elsewhere.get(`${path}/progress?today=${day}`).expect(404)
  })

  test('takes what was said: an event, a goal, a deload with its return, a trial and its decision', async () => {
    await give({ kind: 'event', what: 'trip', on: '2026-03-20', to: '2026-03-24' }).expect(200)
    await give({
      kind: 'goal',
      exercise: 'backSquat',
      to: { value: 120, unit: 'kg' },
      by: '2026-05-01',
    }).expect(200)
    await give({
      kind: 'deload',
      changes: [{ kind: 'drop' }],
      shift: true,
      weeks: 2,
      back: [-10],
      reason: 'holiday',
    }).expect(200)
    const ownDeload = { from: '2026-01-05', to: '2026-02-01' }
    await give({
      kind: 'trial',
      name: 'Rests',
      differs: 'three minutes, then five',
      first: ownDeload,
      second: { from: '2026-02-02', to: '2026-03-01' },
      lifts: [{ exercise: 'backSquat' }],
    }).expect(200)
    await give({ kind: 'mostSets', muscle: 'quads', sets: 12 }).expect(200)
    const view = await progress()
    expect(view.mostSets).toEqual({ quads: 12 })
    expect(view.events).toMatchObject([{ what: 'trip', on: '2026-03-20' }])
    expect(view.lifts).toMatchObject([
      { targets: [{ verdict: 'cannot tell', goal: { to: { value: 120 } } }] },
    ])
    expect(view.spells).toMatchObject([{ weeks: 2, back: [-10], reason: 'holiday', says: 'left out' }])
    expect(view.trials).toMatchObject([{ name: 'Rests', result: { better: 'cannot tell' } }])
    await give({ kind: 'decision', trial: view.trials[0]?.id, chosen: 'neither' }).expect(200)
    expect((await progress()).trials[0]?.decision?.chosen).toBe('neither')
  })

  test('takes a goal as a gain, one for the sum of lifts, and an event that makes maxes doubtful', async () => {
    const lifts = [{ exercise: 'backSquat' }, { exercise: 'benchPress' }]
    await give({ kind: 'goal', exercise: 'backSquat', gain: 500 }).expect(422)
    await give({ kind: 'goal', exercise: 'backSquat', gain: 5, to: { value: 120, unit: 'kg' } }).expect(422)
    await give({ kind: 'totalGoal', lifts: lifts.slice(1), to: { value: 200, unit: 'kg' } }).expect(422)
    await give({ kind: 'totalGoal', lifts, to: { value: 200, unit: 'kg' }, by: '2026-05-01' }).expect(200)
    await give({ kind: 'event', what: 'new equipment', on: '2026-03-20', lifts }).expect(200)
    const view = await progress()
    expect(view.totals).toMatchObject([{ goal: { lifts, to: { value: 200 } } }])
    expect(view.events).toContainEqual(expect.objectContaining({ what: 'new equipment', lifts }))
    await give({ kind: 'totalGoal', lifts, to: null }).expect(200)
    expect((await progress()).totals).toEqual([])
  })

  test('keeps a goal for each block beside one by a day, and each is given up by itself', async () => {
    const goal = { kind: 'goal', exercise: 'backSquat' }
    const [block] = (await progress()).blocks
    expect(block).toMatchObject({ name: 'Block', ends: '2026-03-15' })
    const forBlock = { ...goal, block: { enrolment, phase: block?.phase } }
    await give({ ...goal, to: { value: 120, unit: 'kg' }, by: '2026-05-01' }).expect(200)
    await give({ ...forBlock, to: { value: 100, unit: 'kg' } }).expect(200)
    await give({ ...forBlock, to: { value: 105, unit: 'kg' } }).expect(200)
    expect((await progress()).lifts[0]?.targets).toMatchObject([
      { goal: { to: { value: 120 }, by: '2026-05-01' } },
      { goal: { to: { value: 105 }, by: '2026-03-15' }, block: { name: 'Block' } },
    ])
    await give({ ...forBlock, to: { value: 1, unit: 'kg' }, by: '2026-05-01' }).expect(422)
    await give({ ...goal, to: null }).expect(200)
    expect((await progress()).lifts[0]?.targets).toMatchObject([{ block: { name: 'Block' } }])
  })

  test('refuses what cannot be, at its place, and keeps nothing of it', async () => {
    for (const [fact, path] of [
      [{ kind: 'checkIn', sleep: 9 }, 'sleep'],
      [{ kind: 'event', what: 'trip', on: '2026-13-40' }, 'on'],
      [{ kind: 'deload', changes: [{ kind: 'scaleLoad', by: -200 }], shift: true }, 'changes[0].by'],
      [{ kind: 'max', exercise: 'backSquat', load: { value: 900, unit: 'kg' }, reps: 1 }, 'kind'],
      [{ kind: 'equipment', location: 'home', racks: [] }, 'kind'],
    ] as const) {
      const { body } = await give(fact).expect(422)
      expect(body.errors[0].path).toBe(path)
    }
    expect((await progress()).checkIn).toBeNull()
  })

  test('the same is entered for several members at once, of the writer’s own and of kinds that name no program', async () => {
    const { member: sam } = await program.enrol('Sam', day)
    const send = (members: string[], fact: object, by = program.coach) =>
      by.post('/api/facts').send({ members, fact, today: day })
    const closed = { kind: 'pause', to: '2026-03-16', reason: 'holiday', back: 0 }
    const { body: saved } = await send([member.id, sam.id, sam.id], closed).expect(200)
    expect(saved.rows.map((row: { member: string }) => row.member).sort()).toEqual([member.id, sam.id].sort())
    for (const { id } of [member, sam]) {
      const view = await progress(day, program.coach, `/api/members/${id}`)
      expect(view.programs[0]?.paused).toMatchObject({ from: day, to: '2026-03-16', enrolment: null })
    }
    await send([member.id], { ...closed, enrolment }).expect(422)
    await send([member.id], { kind: 'goal', exercise: 'backSquat', to: null }).expect(422)
    const { body } = await send([member.id], { ...closed, to: '2026-03-01' }).expect(422)
    expect(body.errors[0].message).toMatch(/later than the pause begins/)
    const other = await program.world.signIn(await program.world.addStaff(program.gym, 'writer', 'Wyn'))
    await send([member.id], closed, other).expect(403)
  })

  test('of a template it is entered for the run that each member is on, and taken back for all at once', async () => {
    const { member: sam } = await program.enrol('Sam', day)
    const free = await program.world.addMember(program.gym, 'Fay', program.writer)
    const { template } = program
    const members = [member.id, sam.id, free.id]
    const send = (fact: object, of: string | undefined = template) =>
      program.coach.post('/api/facts').send({ members, template: of, fact, today: day })
    const runs = async () =>
      Promise.all(
        [member, sam].map(async ({ id }) => {
          const view = await progress(day, program.coach, `/api/members/${id}`)
          return [view.programs.length, view.endings.length]
        }),
      )
    const { body: ended } = await send({ kind: 'endEnrolment', reason: 'time' }).expect(200)
    expect(ended.rows).toHaveLength(2)
    expect(await runs()).toEqual([
      [0, 1],
      [0, 1],
    ])
    const back = (rows: object[], by = program.coach) =>
      by.post('/api/facts/taken-back').send({ rows, today: day })
    const other = await program.world.signIn(await program.world.addStaff(program.gym, 'writer', 'Wyn'))
    await back(ended.rows, other).expect(403)
    await back([...ended.rows, { member: sam.id, id: 'nothing' }]).expect(404)
    expect(await runs()).toEqual([
      [0, 1],
      [0, 1],
    ])
    expect((await Promise.all([back(ended.rows), back(ended.rows)])).map(({ status }) => status)).toEqual([
      204, 204,
    ])
    await back(ended.rows).expect(204)
    expect(await runs()).toEqual([
      [1, 0],
      [1, 0],
    ])
    await send({ kind: 'pause', reason: 'travel', to: '2026-03-16' }).expect(200)
    expect((await progress()).programs[0]?.paused).toMatchObject({ enrolment, reason: 'travel' })
    // One names its run, the other is nobody's yet.
    await send({ kind: 'endEnrolment', enrolment }).expect(422)
    await send({ kind: 'event', what: 'trip', on: '2026-03-20' }).expect(422)
    await send({ kind: 'track', track: null }, '00000000-0000-4000-8000-000000000000').expect(200)
  })

  test('a deload for many is taken back, and ended where it has begun', async () => {
    const members = [member.id]
    const deload = {
      kind: 'deload',
      changes: [{ kind: 'scaleLoad', by: -10 }],
      shift: true,
      weeks: 1,
      back: [],
      reason: 'holiday',
    }
    const { body } = await program.coach
      .post('/api/facts')
      .send({ members, fact: deload, today: day })
      .expect(200)
    expect((await progress()).spells).toHaveLength(1)
    await program.coach.post('/api/facts/taken-back').send({ rows: body.rows, today: day }).expect(204)
    expect((await progress()).spells).toEqual([])
  })

  test('an entry is taken back once, by nobody else, and never a max', async () => {
    await give({ kind: 'event', what: 'exams', on: '2026-03-20' }).expect(200)
    const id = (await progress()).events[0]?.id ?? ''
    const { phone: stranger } = await program.enrol('Sam', day)
    await stranger.delete(`/api/me/facts/${id}?today=${day}`).expect(404)
    await phone.delete(`/api/me/facts/${id}?today=${day}`).expect(200)
    await phone.delete(`/api/me/facts/${id}?today=${day}`).expect(200)
    expect((await progress()).events).toEqual([])
    await phone.delete(`/api/me/facts/nothing?today=${day}`).expect(404)
  })

  test('a deload that nobody has trained is taken back; one that has begun is ended, and what was trained stays', async () => {
    const deload = { kind: 'deload', changes: [{ kind: 'scaleLoad', by: -20 }], shift: true }
    const weeks = async (on: string) =>
      ((await phone.get(`/api/me/today?today=${on}`)).body as TodayView).programs[0]?.plan.weeks.map(
        ({ inserted, places }) =>
          `${inserted ? 'deload' : 'plan'}: ${places.map(({ status }) => status).join(' ')}`,
      )
    await give(deload).expect(200)
    const [slip] = (await progress()).spells
    expect(slip).toMatchObject({ begun: false })
    await phone.delete(`/api/me/facts/${slip?.id}?today=${day}`).expect(200)
    expect(await weeks(day)).toEqual(['plan: next ahead', 'plan: ahead ahead'])

    await give(deload).expect(200)
    const operations = [{ id: randomUUID(), ...(await startOn(phone, day)) }]
    await phone.post('/api/me/operations').send({ format: operationFormat, operations }).expect(200)
    const [begun] = (await progress()).spells
    expect(begun).toMatchObject({ begun: true })
    const { body } = await phone.delete(`/api/me/facts/${begun?.id}?today=2026-03-04`).expect(200)
    expect(body.spells).toEqual([])
    expect(await weeks('2026-03-05')).toEqual([
      'deload: skipped skipped',
      'plan: next ahead',
      'plan: ahead ahead',
    ])
  })
})

describe('what is said of a session', () => {
  const answers = (rev: number, said: object, id: string = randomUUID()) => ({
    id,
    kind: 'answers',
    session: sessionAt(enrolment),
    rev,
    answers: said,
  })
  const send = async (...operations: object[]) =>
    (await phone.post('/api/me/operations').send({ format: operationFormat, operations }).expect(200)).body
      .answers
  beforeEach(async () => {
    await send({ id: randomUUID(), ...(await startOn(phone, day)) })
  })

  test('is kept with the session, and the higher revision wins in whatever order they come', async () => {
    await send(answers(2, { hard: 8, worked: { quads: 'hardly' } }))
    expect((await send(answers(1, { hard: 3 })))[0].result).toBe('already had')
    const view = (await phone.get(`/api/me/today?today=${day}`)).body as TodayView
    expect(view.logs[0]?.answers).toMatchObject({ hard: 8, worked: { quads: 'hardly' }, rev: 2 })
  })
  test('of one revision the greater id wins on every phone', async () => {
    const [low, high] = ['00000000-0000-4000-8000-000000000000', 'ffffffff-ffff-4fff-bfff-ffffffffffff']
    await send(answers(1, { hard: 9 }, high))
    await send(answers(1, { hard: 1 }, low))
    const view = (await phone.get(`/api/me/today?today=${day}`)).body as TodayView
    expect(view.logs[0]?.answers?.hard).toBe(9)
  })
  test('is refused where it makes no sense, or is of a session that was never started', async () => {
    const [bad] = await send(answers(1, { hard: 12 }))
    expect(bad.result).toBe('refused')
    const [odd] = await send(answers(1, { worked: { wings: 'well' } }))
    expect(odd.result).toBe('refused')
    const [gone] = await send({ ...answers(1, { hard: 5 }), session: 'nowhere:1:1' })
    expect(gone.result).toBe('refused')
  })
})
