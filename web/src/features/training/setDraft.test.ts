import { describe, expect, test } from '@jest/globals'
import type { ExerciseId } from '@young-oak/core/library'
import type { SetLog, ShownSets } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import { askedSets } from './askedSets.ts'
import { measureOf, readDraft, startDraft, type SetDraft } from './setDraft.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const kg = (value: number) => ({ value, unit: 'kg' as const })
const prescribed = (change: Partial<ShownSets> = {}): ShownSets => ({
  prescription: 'a',
  sets: 3,
  reps: 5,
  target: kg(60),
  load: kg(60),
  why: [],
  ...change,
})
const bare = prescribed({ load: null, target: null })
const slot = (
  exercise: ExerciseId,
  prescriptions: ShownSets[],
  change: Partial<PlannedSlot> = {},
): PlannedSlot => ({
  slot: 's',
  letter: 'A',
  exercise,
  deload: false,
  sets: prescriptions,
  needs: [],
  ...change,
})
const logged = (change: Partial<SetLog>): SetLog => ({
  id: 'x',
  rev: 1,
  slot: 's',
  n: 1,
  exercise: 'backSquat',
  state: 'done',
  reps: 5,
  ...change,
})
const typed: SetDraft = {
  load: '60',
  count: '5',
  more: '',
  rir: '',
  assisted: '',
  partial: false,
  pain: false,
  technique: '',
  option: false,
}
const squat = measureOf(library, slot('backSquat', [prescribed()]), prescribed())
const pullUp = measureOf(
  library,
  slot('pullUp', [prescribed({ body: kg(80) })]),
  prescribed({ body: kg(80) }),
)

describe('a set starts', () => {
  const start = (
    exercise: ExerciseId,
    own: ShownSets,
    before?: SetLog,
    isCorrection = false,
    more: Partial<PlannedSlot> = {},
  ) => startDraft(slot(exercise, [own], more), own, 1, before, isCorrection)
  test('from what is asked, whatever was done before', () => {
    expect(start('backSquat', prescribed(), logged({ load: kg(70) }))).toMatchObject({
      load: '60',
      count: '5',
    })
  })
  test('from the set before where the load is the member’s, and from last time before any', () => {
    const last = { date: '2026-03-01', sets: [{ load: kg(20), reps: 10 }] }
    expect(start('lunge', bare, logged({ load: kg(22) })).load).toBe('22')
    expect(start('lunge', bare, undefined, false, { last }).load).toBe('20')
  })
  test('from the set that is corrected, with everything that was said of it', () => {
    const was = logged({ load: kg(57.5), reps: 4, rir: 1, assisted: 2, pain: true })
    expect(start('backSquat', prescribed(), was, true)).toEqual({
      load: '57.5',
      count: '4',
      more: '',
      rir: '1',
      assisted: '2',
      partial: false,
      pain: true,
      technique: '',
      option: false,
    })
  })
  test('below nothing where help is asked', () => {
    expect(start('pullUp', prescribed({ load: kg(15), help: true, body: kg(80) })).load).toBe('-15')
  })
  test.each([
    ['a hold', { seconds: { from: 30, to: 45 } }, '0:30'],
    ['trips', { distance: 40, unit: 'm' as const, trips: 2 }, '80'],
    ['rounds', { rounds: 10 }, '10'],
    [
      'a cluster in ranges',
      {
        cluster: { first: { from: 10, to: 12 }, minis: { from: 3, to: 5 }, then: 3, pause: 20, countsAs: 3 },
      },
      '19',
    ],
    ['trips in a range', { distance: 20, unit: 'm' as const, trips: { from: 2, to: 4 } }, '40'],
    ['any reps', { open: 'reps' as const }, ''],
    ['a cluster', { cluster: { first: 12, minis: 4, then: 4, pause: 15, countsAs: 3 } }, '28'],
    ['as many as there are', { most: 'reps' as const, seconds: 300 }, ''],
    ['a total', { totalReps: 30 }, ''],
  ])('with the least of %s', (_, goal, count) => {
    expect(start('plank', prescribed({ reps: null, goal, load: null })).count).toBe(count)
  })
})

describe('what was typed', () => {
  const read = (change: Partial<SetDraft>, measure = squat, state: 'done' | 'failed' = 'done') =>
    readDraft({ ...typed, ...change }, measure, state)
  test('is a set, with a decimal comma as well', () => {
    expect(read({ load: '62,5' }).result).toEqual({ state: 'done', load: kg(62.5), reps: 5 })
  })
  test.each([
    ['no load', { load: '' }, { load: 'Enter the load.' }],
    ['a load that is none', { load: 'heavy' }, { load: 'Enter the load as a number.' }],
    ['a load below nothing', { load: '-5' }, { load: 'A load is more than 0.' }],
    ['900 kg', { load: '900' }, { load: 'More than 500 kg is not taken: check the number.' }],
    ['no reps', { count: '' }, { count: 'Enter the reps.' }],
    ['zero reps that were done', { count: '0' }, { count: 'None: tap Failed if you tried the set.' }],
    ['half a rep', { count: '4.5' }, { count: 'Reps are whole numbers.' }],
    ['twelve rir', { rir: '12' }, { rir: 'Whole reps, 0 to 10.' }],
    ['more help than reps', { assisted: '6' }, { assisted: 'Whole reps, no more than were done.' }],
  ])('says beside its field what is wrong with %s', (_, change, errors) =>
    expect(read(change)).toEqual({ errors }),
  )
  test('may be zero reps where it was tried and failed', () => {
    expect(read({ count: '0' }, squat, 'failed').result).toMatchObject({ state: 'failed', reps: 0 })
  })
  test('keeps what else was said', () => {
    expect(
      read({ rir: '2', assisted: '1', partial: true, pain: true, technique: 'good' }).result,
    ).toMatchObject({
      technique: 'good',
      rir: 2,
      assisted: 1,
      partial: true,
      pain: true,
    })
  })
  test('beside body weight may be nothing, more, or help', () => {
    expect(read({ load: '' }, pullUp).result).toEqual({ state: 'done', reps: 5 })
    expect(read({ load: '0' }, pullUp).result).toMatchObject({ load: kg(0) })
    expect(read({ load: '-15' }, pullUp).result).toMatchObject({ load: kg(15), help: true })
  })
  test('is an amount where that is counted, and nothing where it is only done', () => {
    const hold = prescribed({ reps: null, goal: { seconds: 45 }, load: null })
    const plank = measureOf(library, slot('plank', [hold]), hold)
    expect(read({ load: '', count: '50' }, plank).result).toEqual({
      state: 'done',
      amount: { value: 50, unit: 's' },
    })
    expect(read({ load: '', count: '1:15' }, plank).result?.amount).toEqual({ value: 75, unit: 's' })
    expect(read({ load: '', count: 'long' }, plank).errors).toEqual({ count: 'A time like 0:45 or 12:30.' })
    const task = prescribed({ reps: null, goal: { task: 'drill' }, load: null })
    expect(read({ load: '', count: '' }, measureOf(library, slot('plank', [task]), task)).result).toEqual({
      state: 'done',
    })
  })
})

describe('a total', () => {
  const total = (change: object) =>
    slot('pullUp', [prescribed({ reps: null, load: null, goal: { totalReps: 30, ...change } as never })])
  const sets = (...reps: number[]) => reps.map((count, i) => logged({ n: i + 1, reps: count }))
  test('asks for no more sets once it is reached', () => {
    expect(askedSets(total({}), sets(12, 8)).map(({ n, soFar }) => [n, soFar])).toEqual([
      [1, 0],
      [2, 12],
      [3, 20],
    ])
    expect(askedSets(total({}), sets(20, 10))).toHaveLength(2)
    expect(askedSets(total({}), sets(5, 5, 5))).toHaveLength(3)
  })
  test('in any number of sets asks for one more until it is reached, whatever failed', () => {
    expect(askedSets(total({ anySets: true }), sets(5, 5, 5)).at(-1)).toMatchObject({ n: 4, soFar: 15 })
    const failed = [...sets(20), logged({ n: 2, reps: 10, state: 'failed' })]
    expect(askedSets(total({ anySets: true }), failed)).toHaveLength(3)
    expect(askedSets(total({ anySets: true }), sets(9, 8, 7, 6))).toHaveLength(4)
  })
})

test('most rounds in a time take the reps of the one that was not finished', () => {
  const most = prescribed({ reps: null, load: null, goal: { most: 'rounds', seconds: 600 } })
  expect(measureOf(library, slot('pushUp', [most]), most)).toMatchObject({ counts: 'rounds', hasMore: true })
})

test('a drill with a result takes the result and no load', () => {
  const drill = prescribed({ reps: null, load: null, goal: { task: 'jumps', result: 'm' } })
  expect(measureOf(library, slot('backSquat', [drill]), drill)).toMatchObject({
    isLoaded: false,
    counts: 'm',
  })
})

describe('a circuit', () => {
  const circuit = (by: 'time' | 'rounds') =>
    slot('barbellRow', [prescribed(), prescribed()], {
      circuit: { name: 'C', by, rounds: 3, capSeconds: 600 },
    })
  test('is one set, by its time or its rounds, without a load', () => {
    expect(askedSets(circuit('time'))).toHaveLength(1)
    expect(askedSets(circuit('time'))[0]?.prescribed).toMatchObject({ load: null, reps: null })
    expect(measureOf(library, circuit('time'), prescribed())).toMatchObject({ isLoaded: false, counts: 's' })
    expect(measureOf(library, circuit('rounds'), prescribed()).counts).toBe('rounds')
  })
  test('by rounds takes the reps of the one that was not finished', () => {
    const draft = { ...typed, load: '', count: '7', more: '4' }
    expect(readDraft(draft, measureOf(library, circuit('rounds'), prescribed()), 'done').result).toEqual({
      state: 'done',
      amount: { value: 7, unit: 'rounds' },
      reps: 4,
    })
  })
})
