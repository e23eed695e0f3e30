// What a prescription, a circuit and a warm-up may say, and what is said where they say something else.
import { describe, expect, test } from '@jest/globals'
import type { Command } from '../commands/registry.ts'
import { compareTemplates } from '../compare/compare.ts'
import { formatCell, parseCell, type CellField } from '../cells/cells.ts'
import { isConflict } from '../commands/command.ts'
import { readPublished, readTemplate } from './read.ts'
import type { SetPrescription, Slot, Template } from '../types.ts'
import { formatIssue } from '../../parsing/index.ts'
import { applyCommand, checkCommand, invert } from '../commands/edit.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const plain = { id: 'w', sets: 3, goal: { reps: 5 }, load: { of: 'max', percent: 75 } }
const file = (prescribed: object = {}, slot: object = {}, head: object = {}) => ({
  format: 2,
  name: 'Groups',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
  slots: { s: { exercise: 'backSquat', rows: { p: [[{ ...plain, ...prescribed }]] }, ...slot } },
  ...head,
})
const read = (...parts: Parameters<typeof file>): Template => {
  const { template, issues } = readTemplate(file(...parts))
  if (!template) throw new Error(issues.map(formatIssue).join('\n'))
  return template
}
const faults = (...parts: Parameters<typeof file>) =>
  (readTemplate(file(...parts)).issues ?? []).map(formatIssue).join('\n')
const at = 'slots.s.rows.p[0][0]'
const line = { sets: 1, goal: { reps: 10 }, load: { of: 'none' } }
const circuit = { name: 'Dock', by: 'time', rounds: 3 }

describe('a prescription', () => {
  test('says tempo, sides, style, bands and the sign that ends it', () => {
    const said = {
      tempo: '31X0',
      perSide: true,
      style: 'speed',
      bands: '2 green',
      least: 2,
      stop: 'it slows',
      roundRest: 120,
    }
    expect(read(said).slots.s?.rows.p?.[0]?.[0]).toMatchObject(said)
  })
  test.each([
    ['a tempo of three digits', { tempo: '311' }, `${at}.tempo: expected a tempo of four digits`],
    ['an unknown style', { style: 'wild' }, `${at}.style: expected one of ramp, drop, speed`],
    ['a sign without a least', { stop: 'x' }, `${at}: expected no more "least" than sets, and with "stop"`],
    ['more least than sets', { least: 4 }, `${at}: expected no more "least" than sets, and with "stop"`],
    ['a sign sooner than the least', { least: 4, stop: 'x' }, `${at}: expected no more "least" than sets`],
    ['a goal of nothing', { goal: {} }, `${at}.goal: expected a goal with one of the keys cluster, distance`],
    ['a hold of no time', { goal: { seconds: 0 } }, `${at}.goal.seconds: expected seconds from 1 to 7200`],
    [
      'a distance without a unit',
      { goal: { distance: 400 } },
      `${at}.goal.unit: expected one of m, km, yd, mi; got nothing`,
    ],
    [
      'two goals in one',
      { goal: { reps: 5, seconds: 30 } },
      `${at}.goal.seconds: expected one of the keys reps, amrap`,
    ],
    [
      'effort without reps',
      { goal: { seconds: 30 }, load: { of: 'effort' } },
      `${at}.load: expected a goal whose reps tell on the load`,
    ],
    [
      'a tonnage of a total',
      { goal: { totalReps: 30 }, load: { of: 'tonnage', times: 20 } },
      `${at}.load: expected a goal whose reps`,
    ],
    [
      'less without under',
      { load: { of: 'effort', less: 5 } },
      `${at}.load: expected "less" and "under" together`,
    ],
    [
      '110% of the 1RM',
      { load: { of: 'max', percent: 110 } },
      'expected at most 100% of the 1RM where no test is planned; got 110',
    ],
    ['a lift of its own', { lift: { exercise: 'frontSquat' } }, `${at}.lift: expected a circuit around it`],
  ])('with %s is located', (_, prescribed, said) => expect(faults(prescribed)).toContain(said))
  test('may pass the 1RM in a test, or where it says so', () => {
    expect(faults({ load: { of: 'max', percent: 105 }, kind: 'test' })).toBe('')
    expect(faults({ load: { of: 'max', percent: 120 }, style: 'lowering', over: true })).toBe('')
    expect(faults({ load: { of: 'trainingMax', percent: 110 } }, {}, { trainingMax: 90 })).toBe('')
    expect(faults({ load: { of: 'trainingMax', percent: 112 } }, {}, { trainingMax: 90 })).toContain(
      'got 100.8',
    )
  })
})

test('a version that was published before the 1RM was a limit reads all the same, and is held to it', () => {
  const old = file({ load: { of: 'max', percent: 110 } })
  const { template } = readPublished(old)
  expect(template?.slots.s?.rows.p?.[0]?.[0]?.load).toEqual({ of: 'max', percent: 110 })
  expect(readPublished(file({ tempo: 'slow' })).issues).toHaveLength(1)
})

describe('a total in any number of sets', () => {
  const open = { sets: 3, goal: { totalReps: 30, anySets: true }, load: { of: 'none' } }
  test('stands in the last line of an exercise', () => {
    expect(read({}, { rows: { p: [[plain, open]] } }).slots.s?.rows.p?.[0]?.[1]?.goal).toEqual(open.goal)
    expect(faults({}, { rows: { p: [[open, plain]] } })).toBe(
      `${at}.goal.anySets: expected any number of sets in the last line of an exercise alone; got true. Leave it out, or put this line last.`,
    )
  })
  test('is nothing that a progression could count the sets of', () => {
    const progressions = {
      more: { stages: [{ id: 'a', rule: 'totalRepGoal', params: { first: 30, add: 5, most: 60 } }] },
    }
    const slot = { uses: [{ progression: 'more' }], rows: { p: [[open]] } }
    expect(faults({}, slot, { progressions })).toContain('a goal of reps in all, within so many sets')
  })
})

describe('a choice of exercises', () => {
  const choices = [{ exercise: 'frontSquat' }, { exercise: 'backSquat', variant: 'paused' }]
  test('is read, and compared in words', () => {
    const [before, after] = [read(), read({}, { choices })]
    expect(after.slots.s?.choices).toEqual(choices)
    expect(compareTemplates(library, before, after)).toEqual([
      {
        where: 'Back squat (A), choices',
        what: 'none → or Front squat or Back squat, paused, as the member chooses',
      },
    ])
  })
  test.each([
    ['none', { choices: [] }, 'choices'],
    ['the slot’s own', { choices: [{ exercise: 'backSquat' }] }, 'choices[0]: expected another lift'],
    ['one twice', { choices: [choices[0], choices[0]] }, 'choices[1]: expected another lift'],
    [
      'some beside a rotation',
      { choices, rotation: { with: [{ exercise: 'frontSquat' }], by: 'week', every: 1 } },
      'choices: expected no rotation beside a choice of exercises',
    ],
    ['a lift that there is not', { choices: [{ exercise: 'backSqat' }] }, 'choices[0].exercise'],
  ])('of %s is located', (_, slot, said) => expect(faults({}, slot)).toContain(`slots.s.${said}`))
})

describe('a circuit', () => {
  const rows = (...lines: object[]) => ({ rows: { p: [lines] }, circuit })
  test('is read with its lines', () => {
    const template = read({}, rows({ ...line, lift: { exercise: 'pushUp' } }))
    expect(template.slots.s?.circuit).toEqual(circuit)
  })
  test.each([
    [
      'a line without a lift',
      rows(line),
      `${at}.lift: expected the lift of this line of the circuit; got nothing`,
    ],
    [
      'no rounds by time',
      { ...rows({ ...line, lift: { exercise: 'pushUp' } }), circuit: { name: 'C', by: 'time' } },
      'expected rounds where it is scored by time',
    ],
    [
      'no cap by rounds',
      { ...rows({ ...line, lift: { exercise: 'pushUp' } }), circuit: { name: 'C', by: 'rounds', rounds: 3 } },
      'expected rounds where it is scored by time',
    ],
  ])('with %s is located', (_, slot, said) => expect(faults({}, slot)).toContain(said))
})

describe('a warm-up', () => {
  test('is the template’s, or the slot’s own, or none there', () => {
    const template = read({}, { warmUp: 'none' }, { warmUp: { kind: 'fewSets', sets: 2 } })
    expect([template.warmUp, template.slots.s?.warmUp]).toEqual([{ kind: 'fewSets', sets: 2 }, 'none'])
  })
  test.each([
    ['an unknown kind', { kind: 'sauna' }, 'warmUp.kind: expected one of fewSets, listed; got "sauna"'],
    [
      'nine sets',
      { kind: 'fewSets', sets: 9 },
      'warmUp.sets: expected lighter sets, a whole number from 2 to 3; got 9',
    ],
    [
      'rungs that fall',
      {
        kind: 'listed',
        sets: [
          { percent: 60, reps: 3 },
          { percent: 40, reps: 5 },
        ],
      },
      'warmUp.sets: expected warm-up sets, each at more percent',
    ],
  ])('of %s is located', (_, warmUp, said) => expect(faults({}, {}, { warmUp })).toContain(said))
})

describe('a cell', () => {
  const template = read()
  const slot = template.slots.s as Slot
  const prescribed = slot.rows.p?.[0]?.[0] as SetPrescription
  const type = (field: CellField, text: string) => parseCell(library, field, text, prescribed, slot, template)
  test.each<[CellField, string, unknown]>([
    ['goal', '30 in all', { totalReps: 30 }],
    ['goal', '0:45', { seconds: 45 }],
    ['goal', '30s-45s', { seconds: { from: 30, to: 45 } }],
    ['goal', '2 x 40 m', { distance: 40, unit: 'm', trips: 2 }],
    ['goal', '1,5 km', { distance: 1.5, unit: 'km' }],
    ['goal', 'most reps in 5 min', { most: 'reps', seconds: 300 }],
    ['goal', '10 rounds every 1:00', { rounds: 10, every: 60 }],
    ['goal', '3:00 in all', { totalSeconds: 180 }],
    ['goal', '1.5 km total, any sets', { totalDistance: 1.5, unit: 'km', anySets: true }],
    ['goal', 'any rounds', { open: 'rounds' }],
    ['goal', '2-4 x 20 m', { distance: 20, unit: 'm', trips: { from: 2, to: 4 } }],
    ['goal', 'do: jumps (result in m)', { task: 'jumps', result: 'm' }],
    ['goal', '12 then 4x4 after 15s', { cluster: { first: 12, minis: 4, then: 4, pause: 15, countsAs: 3 } }],
    ['goal', 'do: easy row (20 min)', { task: 'easy row', minutes: 20 }],
    ['load', '100% bw', { of: 'bodyWeight', percent: 100 }],
    ['load', 'last', { of: 'lastTime' }],
    ['load', '20x max', { of: 'tonnage', times: 20 }],
    ['load', 'effort -5% under 120s', { of: 'effort', less: 5, under: 120 }],
    ['tempo', '31x0', '31X0'],
    ['perSide', 'yes', true],
    ['option', '50% in a 10 kg vest', { percent: 50, say: 'in a 10 kg vest' }],
    ['style', 'Speed', 'speed'],
    ['kind', 'backoff', 'backOff'],
    ['stop', 'The bar slows', 'The bar slows'],
    ['tempo', '', null],
  ])('%s takes "%s"', (field, text, value) => expect(type(field, text)).toEqual({ value }))
  test.each<[CellField, string, RegExp]>([
    ['goal', 'many', /^Reps: 5, 8-10, 5\+ or AMRAP; or/],
    ['goal', '0 rounds', /^Reps:/],
    ['goal', '', /^Reps:/],
    ['load', '110%', /^More than 100% of the 1RM only in a test/],
    ['tempo', '31', /^Tempo:/],
    ['perSide', 'maybe', /^Each side: yes, or nothing/],
    ['option', '200% in a vest', /^Another way: a percentage of the reps/],
    ['style', 'wild', /^Style: one of ramp/],
    ['least', '9', /^The fewest sets: a whole number from 1 to 3/],
    ['rest', '45 min', /^Rest:/],
  ])('%s refuses "%s" in words', (field, text, said) => expect(type(field, text).error).toMatch(said))
})

describe('what a template says of all its loads', () => {
  const template = read({}, {}, { trainingMax: 90 })
  const set = (field: 'trainingMax' | 'maxes' | 'rounding' | 'warmUp', from: unknown, to: unknown): Command =>
    ({ do: 'setHead', field, from, to }) as Command
  test('is set, compared in words, and taken back', () => {
    const commands = [
      set('trainingMax', 90, 85),
      set('warmUp', null, { kind: 'fewSets', sets: 2 }),
      set('maxes', { use: 'newest' }, { use: 'best', weeks: 8, table: 'epley' }),
    ]
    const command: Command = { do: 'several', commands }
    expect(checkCommand(library, template, command)).toEqual([])
    const after = applyCommand(template, command) as Template
    expect(compareTemplates(library, template, after)).toEqual([
      { where: 'Training max', what: '90% of the 1RM → 85% of the 1RM' },
      { where: 'Max in force', what: 'the newest → the best of 8 weeks' },
      { where: 'Percentages for reps', what: 'Handbook table → Epley, inverted' },
      { where: 'Warm-up', what: 'None. → Two lighter sets before the first work set.' },
    ])
    expect(applyCommand(after, invert(command))).toEqual(template)
  })
  test('is a conflict where somebody has changed it since', () => {
    expect(isConflict(applyCommand(template, set('trainingMax', 80, 85)))).toBe(true)
  })
  test.each([
    ['a training max of 120', set('trainingMax', 90, 120), 'trainingMax'],
    ['no rounding at all', set('rounding', 'nearest', null), 'rounding'],
    ['an unknown table', set('maxes', { use: 'newest' }, { use: 'newest', table: 'moon' }), 'maxes.table'],
    ['an unknown warm-up', set('warmUp', null, { kind: 'sauna' }), 'warmUp.kind'],
  ])('is refused: %s', (_, command, path) =>
    expect(checkCommand(library, template, command)[0]?.path).toBe(path),
  )
  test('keeps a training max that loads are percents of', () => {
    const used = read({ load: { of: 'trainingMax', percent: 80 } }, {}, { trainingMax: 90 })
    expect(checkCommand(library, used, set('trainingMax', 90, null))[0]?.expected).toBe(
      'a template with "trainingMax"',
    )
    expect(checkCommand(library, template, set('trainingMax', 90, null))).toEqual([])
  })
})

test('a slot’s own warm-up is set, told, and given back to the template', () => {
  const before = read({}, {}, { warmUp: { kind: 'fewSets', sets: 2 } })
  const command: Command = { do: 'setWarmUp', slot: 's', from: null, to: 'none' }
  expect(checkCommand(library, before, command)).toEqual([])
  const after = applyCommand(before, command) as Template
  expect(compareTemplates(library, before, after)).toEqual([
    { where: 'Back squat (A), warm-up', what: 'as in the template → None.' },
  ])
  expect(applyCommand(after, invert(command))).toEqual(before)
  const wrong = { ...command, to: { kind: 'fewSets', sets: 9 } } as Command
  expect(checkCommand(library, before, wrong)[0]?.path).toBe('slots.s.warmUp.sets')
  expect(isConflict(applyCommand(after, command))).toBe(true)
})

test('details that changed are told line by line', () => {
  const command: Command = {
    do: 'setCell',
    slot: 's',
    phase: 'p',
    row: 1,
    prescription: 'w',
    field: 'tempo',
    from: null,
    to: '3010',
  }
  const before = read()
  const after = applyCommand(before, command) as Template
  expect(compareTemplates(library, before, after)).toEqual([
    { where: 'Back squat (A), P, week 2', what: 'tempo none → 3010' },
  ])
  expect(formatCell(library, 'tempo', after.slots.s?.rows.p?.[1]?.[0] as SetPrescription)).toBe('3010')
})

test('a slot that is added must be written out in full', () => {
  const value = { exercise: 'benchPress', rows: { p: [[plain]] } } as unknown as Slot
  const command: Command = { do: 'addSlot', slot: 'n', session: 'a', after: 's', value }
  expect(
    checkCommand(library, read(), command)
      .map(({ expected }) => expected)
      .join(),
  ).toContain('a slot written out in full')
})
