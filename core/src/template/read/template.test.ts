import { readFileSync } from 'node:fs'
import { fixtureNames, readFixture } from '../../../fixtures/read.ts'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Command } from '../commands/registry.ts'
import { formatCell, parseCell } from '../cells/cells.ts'
import { isConflict } from '../commands/command.ts'
import { readTemplate } from './read.ts'
import type { Template } from '../types.ts'
import { readMember } from '../../facts/index.ts'
import { formatIssue, parseJson } from '../../parsing/index.ts'
import { applyCommand, checkCommand, invert } from '../commands/edit.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

type Json = Record<string, unknown>
const fixtures = new URL('../../../fixtures/', import.meta.url)
const good = (): Json =>
  JSON.parse(
    readFileSync(new URL('../../../fixtures/amrap-set-and-deload/template.json', import.meta.url), 'utf8'),
  )
const template = readTemplate(good()).template as Template

/** The good template with one place of it changed; undefined removes. */
function bad(path: string, value: unknown): unknown {
  const made = good()
  const keys = path.split('.')
  const last = keys.pop() as string
  const parent = keys.reduce<Json>((at, key) => at[key] as Json, made)
  if (value === undefined) delete parent[last]
  else parent[last] = value
  return made
}
const errors = (input: unknown): string[] => (readTemplate(input).issues ?? []).map(formatIssue)

describe('reading a template', () => {
  test.each<[string, string, unknown, string]>([
    ['an unknown key', 'colour', 'red', 'colour: expected one of the keys format, name'],
    [
      'an unknown key deep inside',
      'slots.bench.rows.p.0.0.wieght',
      60,
      'slots.bench.rows.p[0][0].wieght: expected one of the keys id, sets',
    ],
    [
      'a percent of 0',
      'slots.bench.rows.p.0.0.load.percent',
      0,
      'slots.bench.rows.p[0][0].load.percent: expected a percent above 0, at most 150; got 0.',
    ],
    ['a percent of 400', 'slots.bench.rows.p.0.0.load.percent', 400, 'got 400.'],
    ['a percent that is text', 'slots.bench.rows.p.0.0.load.percent', '75', 'got "75".'],
    [
      'rows that do not add up',
      'slots.bench.rows.p',
      [[], []],
      'slots.bench.rows.p: expected 4 rows, one for each week of the phase, or one row for all of them; got a list of 2.',
    ],
    [
      'a slot that is missing',
      'slots.row',
      undefined,
      'sessions.d.sections[0].slots[1]: expected a slot of this template; got "row". There are: bench.',
    ],
    [
      'a session that is missing',
      'phases.0.rotation',
      ['x'],
      'phases[0].rotation[0]: expected a session of this template; got "x".',
    ],
    [
      'an unknown exercise, spelled nearly right',
      'slots.bench.exercise',
      'bench press',
      'got "bench press". Write "benchPress".',
    ],
    [
      'an unknown load',
      'slots.bench.rows.p.0.0.load.of',
      'moon',
      'expected one of bodyWeight, effort, free, lastTime, max, none, otherMax, progression, repMax, role, tonnage, topSet, trainingMax; got "moon".',
    ],
    ['no training max', 'trainingMax', undefined, 'expected a template with "trainingMax"'],
    [
      'a track’s change that is for another track',
      'tracks',
      { t: { name: 'T', changes: [{ id: 'c', do: { kind: 'drop' }, where: { tracks: ['t'] } }] } },
      'tracks.t.changes[0].where.tracks: expected a deload; got a list of 1. Only deloads are for some tracks',
    ],
    [
      'a day of the week that no week has',
      'tracks',
      { t: { name: 'T', changes: [{ id: 'c', do: { kind: 'drop' }, where: { inWeek: [0] } }] } },
      'expected a day of the week, from 1, a whole number from 1 to 14; got 0.',
    ],
    ['a deload that is heavier', 'phases.0.deloads.0.do.by', 5, 'A deload is never heavier than its week.'],
    [
      'a deload after the end',
      'phases.0.deloads.0.where.weeks',
      [9],
      'expected a week of this phase, 1 to 4; got 9.',
    ],
    [
      'more than the max where no test is planned',
      'slots.bench.rows.p.0.0.load',
      { of: 'max', percent: 105 },
      'slots.bench.rows.p[0][0].load.percent: expected at most 100% of the 1RM where no test is planned; got 105. Lower it',
    ],
    [
      'an id that every object has',
      'phases.0.rotation',
      ['constructor'],
      'phases[0].rotation[0]: expected an id: 1 to 80 letters',
    ],
    ['a later format', 'format', 3, 'format: expected the number 2, or an earlier format; got 3.'],
    [
      'a missing name',
      'name',
      undefined,
      'name: expected the name of the template, 1 to 120 characters; got nothing. Add it.',
    ],
    [
      'sets that are no number',
      'slots.bench.rows.p.0.0.sets',
      'three',
      'sets: expected sets, a whole number from 1 to 30; got "three".',
    ],
    ['phases that are no list', 'phases', {}, 'phases: expected phases, a list of 1 to 24'],
  ])('locates %s', (_, path, value, message) => {
    expect(errors(bad(path, value)).join('\n')).toContain(message)
  })

  test.each([null, 7, 'text', [], {}])('refuses %j with an error, not an exception', (input) => {
    expect(errors(input).length).toBeGreaterThan(0)
  })

  test('stops at a hundred faults', () => {
    const rows = Array.from({ length: 4 }, () =>
      Array.from({ length: 12 }, () => ({ sets: 0, load: {}, x: 1 })),
    )
    expect(errors(bad('slots.bench.rows.p', rows))).toHaveLength(100)
  })

  test('never throws, whatever JSON comes', () => {
    fc.assert(fc.property(fc.jsonValue(), (value) => expect(readTemplate(value).template).toBeUndefined()))
  })

  test.each(fixtureNames)('reads what it has read of %s to the same thing', (name) => {
    const { template: read, library } = readTemplate(
      JSON.parse(readFileSync(new URL(`${name}/template.json`, fixtures), 'utf8')),
    )
    expect(read).toBeDefined()
    expect(readTemplate(JSON.parse(JSON.stringify(read)), library).template).toEqual(read)
  })

  test('says where text stops being JSON', () => {
    expect(
      formatIssue(parseJson('{\n "a": 1,\n "b" 2 }').issue ?? { path: '', expected: '', got: '' }),
    ).toContain('line 3: expected JSON')
  })
})

describe('reading a member', () => {
  const member = (change: Json): Json => ({
    format: 2,
    enrolments: [{ segments: [{ from: '2026-03-02' }] }],
    facts: [],
    ...change,
  })
  const faults = (change: Json) =>
    (readMember(member(change), { v: template }).issues ?? []).map(formatIssue).join('\n')
  const set = { slot: 'bench', n: 1, reps: 5, load: { value: 60, unit: 'kg' } }
  test.each<[string, Json, string]>([
    [
      'a day that does not exist',
      { enrolments: [{ segments: [{ from: '2026-02-30' }] }] },
      'enrolments[0].segments[0].from: expected a day like 2026-03-02; got "2026-02-30".',
    ],
    [
      'an unknown fact',
      { facts: [{ kind: 'mood', date: '2026-03-02' }] },
      'facts[0].kind: expected one of about, adjust, adviceTaken, askFirst, bodyWeight, checkIn, choice, days, decision, deload, endDeload, endEnrolment, enjoys, equipment, event, goal, handover, home, level, max, mostSets, nextPhase, pause, priorities, resume, skipDeload, test, totalGoal, track, trial, unit, withdraw; got "mood".',
    ],
    [
      'a negative load',
      { logs: [{ date: '2026-03-02', position: 1, sets: [{ ...set, load: { value: -5, unit: 'kg' } }] }] },
      'logs[0].sets[0].load.value: expected a load from 0 to 1000; got -5.',
    ],
    [
      'a slot of another template',
      { logs: [{ date: '2026-03-02', position: 1, sets: [{ ...set, slot: 'x' }] }] },
      'logs[0].sets[0].slot: expected a slot of the template, or an exercise beside it; got "x".',
    ],
    [
      'forty reps as a max',
      {
        facts: [
          {
            kind: 'max',
            exercise: 'backSquat',
            load: { value: 60, unit: 'kg' },
            reps: 40,
            date: '2026-03-02',
          },
        ],
      },
      'facts[0].reps: expected reps, a whole number from 1 to 20; got 40.',
    ],
  ])('locates %s', (_, change, message) => expect(faults(change)).toContain(message))
})

describe('a cell', () => {
  const ruled = readFixture('volume-light-and-heavy-day').versions.template as Template
  const deload = ruled.slots['l-squat'] as Template['slots'][string]
  const deloadSets = deload.rows.p?.[0]?.[0] as NonNullable<typeof deload.rows.p>[number][number]
  test.each<[string, unknown]>([
    ['85% volume', { of: 'role', role: 'volume', percent: 85 }],
    ['85', { of: 'role', role: 'volume', percent: 85 }],
    ['90% 5RM', { of: 'repMax', reps: 5, percent: 90 }],
    ['90% top', { of: 'topSet', percent: 90 }],
    ['top -20kg/40lb', { of: 'topSet', drop: { kg: 20, lb: 40 } }],
    ['82,5% 1RM', { of: 'max', percent: 82.5 }],
    ['by progression', { of: 'progression' }],
    ['85% of back squat', { of: 'otherMax', exercise: 'backSquat', percent: 85 }],
    ['effort', { of: 'effort' }],
  ])('load of a light day reads "%s"', (text, value) =>
    expect(parseCell(library, 'load', text, deloadSets, deload, ruled)).toEqual({ value }),
  )

  const slot = template.slots.bench as Template['slots'][string]
  const prescribed = slot.rows.p?.[0]?.[0] as NonNullable<
    Template['slots'][string]['rows'][string]
  >[number][number]
  const parse = (field: Parameters<typeof parseCell>[1], text: string) =>
    parseCell(library, field, text, prescribed, slot, template)
  test.each<[Parameters<typeof parseCell>[1], string, unknown]>([
    ['sets', '5', 5],
    ['goal', '8-10', { reps: { from: 8, to: 10 } }],
    ['goal', '5+', { reps: 5, amrap: 'last' }],
    ['load', '77.5', { of: 'trainingMax', percent: 77.5 }],
    ['load', '80 % 1rm', { of: 'max', percent: 80 }],
    ['load', 'free', { of: 'free' }],
    ['rest', '1:30', 90],
    ['rest', '3 min', 180],
    ['rest', '', null],
    ['rir', '2', 2],
  ])('%s reads "%s"', (field, text, value) => expect(parse(field, text)).toEqual({ value }))
  test.each<[Parameters<typeof parseCell>[1], string]>([
    ['sets', '0'],
    ['sets', '31'],
    ['goal', '10-8'],
    ['goal', 'five'],
    ['load', '400%'],
    ['load', '0'],
    ['load', 'rule'],
    ['rest', '45 min'],
    ['rir', '-1'],
  ])('%s refuses "%s" in a sentence', (field, text) => expect(parse(field, text).error).toMatch(/\.$/))
  test('is typed as it is shown', () => {
    for (const field of ['sets', 'goal', 'load', 'rir', 'rest'] as const) {
      expect(parse(field, formatCell(library, field, prescribed))).toEqual({
        value: prescribed[field] ?? null,
      })
    }
  })
})

describe('an edit', () => {
  const cell: Command = {
    do: 'setCell',
    slot: 'bench',
    phase: 'p',
    row: 0,
    prescription: 'work',
    field: 'sets',
    from: 3,
    to: 5,
  }
  const commands: Command[] = [
    cell,
    { do: 'setName', from: template.name, to: 'Spring bench' },
    { do: 'setExercise', slot: 'row', from: { exercise: 'dumbbellRow' }, to: { exercise: 'seatedCableRow' } },
    {
      do: 'addSlot',
      slot: 'curl',
      session: 'd',
      after: 'bench',
      value: { ...(template.slots.row as Template['slots'][string]) },
    },
    {
      do: 'removeSlot',
      slot: 'row',
      session: 'd',
      after: 'bench',
      value: template.slots.row as Template['slots'][string],
    },
  ]
  test.each([...commands, { do: 'several', commands: commands.slice(0, 4) } as Command])(
    'is taken back by its inverse: $do',
    (command) => {
      const done = applyCommand(template, command)
      if (isConflict(done)) throw new Error(done.conflict({}))
      expect(done).not.toEqual(template)
      expect(applyCommand(done, invert(command))).toEqual(template)
    },
  )
  test('leaves what it does not touch shared', () => {
    const done = applyCommand(template, cell) as Template
    expect(done.slots.row).toBe(template.slots.row)
    expect(template.slots.bench?.rows.p?.[0]?.[0]?.sets).toBe(3)
  })
  test('says so where somebody changed the same value since', () => {
    const theirs = applyCommand(template, { ...cell, to: 4 }) as Template
    const made = applyCommand(theirs, cell)
    expect(isConflict(made) && made.conflict(library)).toBe(
      'Bench press (Bench day), sets, has been changed since: it is 4 now.',
    )
  })
})

describe('the value of a command', () => {
  const bench = template.slots.bench as Template['slots'][string]
  const cell = (field: string, to: unknown) =>
    ({
      do: 'setCell',
      slot: 'bench',
      phase: 'p',
      row: 0,
      prescription: 'work',
      field,
      from: null,
      to,
    }) as Command
  test.each<[string, Command, string]>([
    ['sets', cell('sets', 99), 'slots.bench.rows.p[0].sets'],
    ['a goal', cell('goal', { reps: 0 }), 'goal.reps'],
    ['a percent', cell('load', { of: 'max', percent: 400 }), 'load.percent'],
    ['a stray key in a load', cell('load', { of: 'free', x: 1 }), 'load.x'],
    ['a progression that is not followed', cell('load', { of: 'progression' }), 'load'],
    ['a name', { do: 'setName', from: template.name, to: '' }, 'name'],
    [
      'an exercise',
      {
        do: 'setExercise',
        slot: 'bench',
        from: { exercise: 'benchPress' },
        to: { exercise: 'yoke' as 'plank' },
      },
      'exercise',
    ],
    [
      'an exercise that nobody knows',
      {
        do: 'setExercise',
        slot: 'bench',
        from: { exercise: 'benchPress' },
        to: { exercise: 'benchPres' as 'benchPress' },
      },
      'exercise',
    ],
    [
      'a slot of a phase that is not there',
      {
        do: 'addSlot',
        slot: 'x',
        session: 'd',
        after: 'bench',
        value: { ...bench, rows: { q: bench.rows.p ?? [] } },
      },
      'slots.x.rows.q',
    ],
    ['one of several', { do: 'several', commands: [cell('sets', 3), cell('rest', -1)] }, 'rest'],
  ])('is refused where a file would be: %s', (_, command, path) => {
    const [issue] = checkCommand(library, template, command)
    expect(issue?.path).toContain(path)
  })
  test('passes where a file would', () => {
    expect(
      checkCommand(library, template, {
        do: 'several',
        commands: [cell('sets', 5), cell('rir', 2), cell('rest', null)],
      }),
    ).toEqual([])
  })
})
