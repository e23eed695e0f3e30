// Files and stored documents of format 1, kept as they were, plan as their twins of today do and lose nothing on the way.
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { asTable, fixtureNames, inputOf, readFixture, type Fixture } from '../../fixtures/read.ts'
import { findingsOf } from '../checks/index.ts'
import { readMember, upgradeFact } from '../facts/index.ts'
import { upgradeLog, upgradeShown } from '../member/index.ts'
import { formatIssue } from '../parsing/index.ts'
import { explain } from '../explain/index.ts'
import { planMember, snapshot, type Plan } from '../plan/index.ts'
import { starterOf, templateOf } from '../starters/index.ts'
import {
  applyCommand,
  checkCommand,
  invert,
  isCommand,
  readTemplate,
  salvageTemplate,
  upgradeCommand,
  type Command,
  type Template,
} from '../template/index.ts'

const kept = new URL('../../fixtures/format-1/', import.meta.url)
const json = (path: string): Record<string, unknown> =>
  JSON.parse(readFileSync(new URL(path, kept), 'utf8')) as Record<string, unknown>
const filesOf = (name: string): string[] =>
  readdirSync(new URL(name, kept))
    .map((file) => file.replace('.json', ''))
    .sort()

/** The cases that were there before format 2. */
const keptNames = filesOf('.').filter((name) => name !== 'starters')

/** A kept fixture, read by the readers of today. */
function readKept(name: string): Fixture {
  let library = {}
  const versions: Record<string, Template> = {}
  for (const file of filesOf(name).filter((one) => one.startsWith('template'))) {
    const read = readTemplate(json(`${name}/${file}.json`), library)
    if (!read.template) throw new Error(read.issues.map(formatIssue).join('\n'))
    versions[file] = read.template
    library = read.library
  }
  const read = readMember(json(`${name}/member.json`), versions, library)
  if (!read.file) throw new Error(read.issues.map(formatIssue).join('\n'))
  return { library: read.library, versions, file: read.file, today: read.file.today ?? '' }
}

describe('a file of format 1', () => {
  test('is kept of cases that there are', () =>
    expect([...fixtureNames, 'starters']).toEqual(expect.arrayContaining(filesOf('.'))))

  test.each(keptNames)('reads and plans as its twin of today: %s', (name) => {
    const [old, now] = [readKept(name), readFixture(name)]
    expect(old).toEqual(now)
    expect(asTable(inputOf(old), planMember(inputOf(old)))).toEqual(
      asTable(inputOf(now), planMember(inputOf(now))),
    )
  })

  test.each(filesOf('starters'))('to begin with reads as the one of today: %s', (file) => {
    const { template, issues = [] } = readTemplate(json(`starters/${file}.json`))
    expect(issues.map(formatIssue)).toEqual([])
    const today = templateOf(starterOf[file as keyof typeof starterOf])
    // What a deload is called by its id has changed since; what it does has not.
    const named = (made: Template | undefined) =>
      JSON.stringify(made).replace(/"light-(\d+-\d+)"/g, '"deload-$1"')
    const now = readTemplate(JSON.parse(JSON.stringify(today))).template as Template
    // Its title and its note may be worded anew.
    const { name, note } = now
    expect({ ...JSON.parse(named(template)), name, ...(note && { note }) }).toEqual(now)
  })

  test('has its faults located where they stand in it', () => {
    const file = json('amrap-set-and-deload/template.json') as { phases: { light: { do: object }[] }[] }
    Object.assign(file.phases[0]?.light[0] ?? {}, { do: { kind: 'sauna' } })
    const said = (readTemplate(file).issues ?? []).map(({ path }) => path)
    expect(said).toEqual(['phases[0].light[0].do.kind'])
    expect(salvageTemplate(file).issues.map(({ path }) => path)).toEqual(said)
  })
})

/** What the engine works out of a session may move from release to release; what stands in it, and under which name, may not. */
const workedOut = new Set([
  'engine',
  'load',
  'target',
  'ruled',
  'side',
  'bar',
  'hung',
  'help',
  'short',
  'beyond',
  'byRule',
  'missing',
  'need',
  'why',
])
const named = (shown: object | null): object =>
  JSON.parse(
    JSON.stringify(shown, (key, value: unknown) =>
      workedOut.has(key) || key === 'way' || (key === 'deload' && value === null) ? undefined : value,
    ),
  ) as object

describe('a snapshot of format 1', () => {
  test.each(keptNames)('is what would be shown today, under the names of today: %s', (name) => {
    const { plans } = planMember(inputOf(readFixture(name)))
    for (const [id, one] of Object.entries(json(`${name}/shown.json`))) {
      const { position, shown } = one as { position: number; shown: object }
      const old = upgradeShown(shown)
      expect(named(old)).toEqual(named(snapshot(plans[id] as Plan, position)))
      const steps = Object.values(old.slots).flatMap(({ sets }) => sets.flatMap(({ why }) => why))
      expect(steps.map(explain).join()).not.toMatch(/undefined|[{}]/)
    }
  })

  test('keeps the steps whose sentences have been renamed since', () => {
    const why = [
      { id: 'plusSet.extra', data: { load: 1, date: 'd' } },
      { id: 'reserveRamp.left', data: { left: 2 } },
      { id: 'muscleWeek.ceiling', data: { ceiling: 8, muscle: 'quads', meant: 12 } },
      { id: 'rirAtLeast.reps', data: { author: 'light', reps: 4 } },
    ]
    const sets = [{ group: 'a', sets: 1, part: 'top', plus: 'last', today: { percent: 90, group: 't' }, why }]
    const slots = { s: { exercise: 'backSquat', light: true, groups: sets, warmUps: [{ load: 1, why }] } }
    const shown = upgradeShown({ format: 1, slots })
    expect(shown.slots.s).toMatchObject({
      deload: true,
      sets: [{ prescription: 'a', kind: 'top', amrap: 'last', today: { percent: 90, prescription: 't' } }],
    })
    const ids = ['amrapSet.extra', 'rirRamp.rir', 'muscleWeek.limit', 'rirAtLeast.rir']
    expect(shown.slots.s?.sets[0]?.why.map(({ id }) => id)).toEqual(ids)
    expect(shown.slots.s?.warmUps?.[0]?.why[3]?.data).toEqual({ author: 'deload', rir: 4 })
  })
})

describe('a fact or a log of format 1', () => {
  test.each([
    [
      { kind: 'light', changes: [{ kind: 'rirAtLeast', reps: 4 }] },
      { kind: 'deload', changes: [{ kind: 'rirAtLeast', rir: 4 }] },
    ],
    [{ kind: 'skipLight' }, { kind: 'skipDeload' }],
    [
      { kind: 'ceiling', muscle: 'quads', sets: 8 },
      { kind: 'mostSets', muscle: 'quads', sets: 8 },
    ],
    [
      { kind: 'home', place: 'shed' },
      { kind: 'home', location: 'shed' },
    ],
    [
      { kind: 'equipment', place: 'shed', racks: [] },
      { kind: 'equipment', location: 'shed', racks: [] },
    ],
    [
      { kind: 'adviceTaken', answer: 'lightWeek', taken: true },
      { kind: 'adviceTaken', answer: 'deload', taken: true },
    ],
    [
      { kind: 'unit', unit: 'lb' },
      { kind: 'unit', unit: 'lb' },
    ],
  ])('is read as it was meant: %j', (fact, now) => expect(upgradeFact(fact, 1)).toEqual(now))

  test('of today comes back as it is', () => {
    const fact = { kind: 'home', location: 'shed' }
    expect([upgradeFact(fact, 2), upgradeLog(fact, 2)]).toEqual([fact, fact])
  })

  test('keeps its location', () =>
    expect(upgradeLog({ place: 'shed', sets: [] }, 1)).toEqual({ location: 'shed', sets: [] }))
})

describe('an edit of format 1', () => {
  const draft = readTemplate(json('two-sessions-one-squat/template.json')).template as Template
  const [phase] = draft.phases
  const [session] = Object.keys(draft.sessions)
  const [slot] = Object.keys(draft.slots)
  const sections = draft.sessions[session ?? '']?.sections
  const row = draft.slots[slot ?? '']?.rows[phase?.id ?? '']?.[0]
  const { uses, by, rows, ...lift } = draft.slots[slot ?? ''] as Template['slots'][string]
  const old = { ...lift, follows: uses, by, rows }
  const light = [{ id: 'l', do: { kind: 'rirAtLeast', reps: 4 }, where: { weeks: [1] } }]
  test.each<[string, object]>([
    ['deloads', { do: 'setLight', phase: phase?.id, from: [], to: light }],
    ['the policy', { do: 'setHead', field: 'lightPolicy', from: null, to: 'planned' }],
    [
      'the warm-up',
      {
        do: 'setHead',
        field: 'warmUp',
        from: null,
        to: { kind: 'ladder', rungs: [{ percent: 50, reps: 5 }] },
      },
    ],
    [
      'sections',
      {
        do: 'setParts',
        session,
        from: sections,
        to: sections?.map((one) => ({ ...one, name: `${one.name} 2` })),
      },
    ],
    ['a superset', { do: 'setSlotField', slot, field: 'group', from: null, to: 'A' }],
    [
      'a rotation',
      {
        do: 'setSlotField',
        slot,
        field: 'turns',
        from: null,
        to: { with: [{ exercise: 'frontSquat' }], by: 'place', every: 1 },
      },
    ],
    [
      'a cell',
      {
        do: 'setCell',
        slot,
        phase: phase?.id,
        row: 0,
        group: row?.[0]?.id,
        field: 'part',
        from: null,
        to: 'top',
      },
    ],
    [
      'a goal',
      {
        do: 'setCell',
        slot,
        phase: phase?.id,
        row: 0,
        group: row?.[0]?.id,
        field: 'goal',
        from: row?.[0]?.goal,
        to: { reps: 5, plus: 'last' },
      },
    ],
    [
      'a slot',
      {
        do: 'addSlot',
        slot: 'new',
        session,
        part: sections?.[0]?.name,
        after: slot,
        value: {
          ...old,
          follows: [],
          rows: {
            [phase?.id ?? '']: rows[phase?.id ?? '']?.map((sets) =>
              sets.map((one) => ({ ...one, load: { of: 'none' } })),
            ),
          },
        },
      },
    ],
    ['several', { do: 'several', commands: [{ do: 'setLight', phase: phase?.id, from: [], to: light }] }],
  ])('is applied under its name of today, and taken back: %s', (_, command) => {
    const now = upgradeCommand(command, 1) as Command
    expect(checkCommand({}, draft, now)).toEqual([])
    const after = applyCommand(draft, now) as Template
    expect(after).not.toEqual(draft)
    expect(applyCommand(after, invert(now))).toEqual(draft)
  })

  test('of several in several, as deep as somebody likes, is no command and ends no stack', () => {
    const deep = JSON.parse(
      `${'{"do":"several","commands":['.repeat(50_000)}${']}'.repeat(50_000)}`,
    ) as unknown
    expect(isCommand(upgradeCommand(deep, 1))).toBe(false)
  })

  test('whose name nobody knows comes back as it is', () => {
    const strange = { do: 'fromAnotherWorld', light: [] }
    expect(upgradeCommand(strange, 1)).toEqual(strange)
    expect(upgradeCommand('text', 1)).toBe('text')
  })
})

describe('a file of format 2 with a retired name', () => {
  const file = () =>
    json('../two-sessions-one-squat/template.json') as { phases: object[]; sessions: Record<string, object> }
  test.each<[string, (made: ReturnType<typeof file>) => void, string]>([
    [
      'light',
      ({ phases }) => Object.assign(phases[0] ?? {}, { light: [] }),
      'Since format 2 it is called deloads.',
    ],
    [
      'parts',
      ({ sessions }) => Object.assign(Object.values(sessions)[0] ?? {}, { parts: [] }),
      'Since format 2 it is called sections.',
    ],
    [
      'lightPolicy',
      (made) => Object.assign(made, { lightPolicy: 'both' }),
      'Since format 2 it is called deloadPolicy.',
    ],
    [
      'a ladder',
      (made) => Object.assign(made, { warmUp: { kind: 'ladder', rungs: [] } }),
      'Since format 2 it is called listed.',
    ],
  ])('is told what it is called today: %s', (_, spoil, said) => {
    const made = file()
    spoil(made)
    expect((readTemplate(made).issues ?? []).map(({ fix }) => fix)).toContain(said)
  })

  test('and a fact of a retired kind too', () => {
    const member = {
      format: 2,
      enrolments: [{ segments: [{ from: '2026-03-02' }] }],
      facts: [{ kind: 'skipLight', date: '2026-03-02' }],
    }
    expect((readMember(member, {}).issues ?? []).map(({ fix }) => fix)).toContain(
      'Since format 2 it is called skipDeload.',
    )
  })

  test('and one of format 3 is left as it is, and says what to do', () => {
    const [fault] = readTemplate({ ...file(), format: 3 }).issues ?? []
    expect(fault && formatIssue(fault)).toMatch(
      /^format: expected the number 2, or an earlier format; got 3\. .* save the file in format 2\.$/,
    )
  })
})

describe('a log of format 2', () => {
  const name = 'two-sessions-one-squat'
  const template = json(`../${name}/template.json`)
  const versions = { template: readTemplate(template).template as Template }
  const member = (log: object) => ({
    format: 2,
    today: '2026-03-02',
    enrolments: [{ segments: [{ from: '2026-03-02' }] }],
    facts: [
      { kind: 'max', exercise: 'backSquat', load: { value: 100, unit: 'kg' }, reps: 1, date: '2026-02-20' },
    ],
    logs: [{ date: '2026-03-02', position: 1, sets: [], ...log }],
  })
  const load = { value: 60, unit: 'kg' }
  const slot = versions.template.sessions.a?.sections[0]?.slots[0] ?? ''

  test('keeps its place, its starts, what was done instead, what was skipped, and both sides of a set', () => {
    const said = {
      at: { phase: 'p', week: 1, day: 1, deload: { fact: 'f', week: 1 } },
      minute: 1070,
      batch: 'notebook',
      starts: [{ change: 'c', date: '2026-03-02', minute: 1070, location: 'shed' }],
      instead: [{ slot, exercise: 'frontSquat', reason: 'equipment', offered: load }],
      skipped: [{ slot, reason: 'time' }],
      saw: 'b',
      sets: [
        { slot, n: 1, sides: { left: { reps: 8, load }, right: { reps: 7, load, rir: 1 } }, start: 'c' },
        { slot, n: 2, state: 'notDone', reason: 'pain' },
      ],
    }
    const { file, issues } = readMember(member(said), versions)
    expect((issues ?? []).map(formatIssue)).toEqual([])
    expect(file?.member.logs[0]).toMatchObject(said)
  })

  test.each([
    [{ minute: 1440 }, 'logs[0].minute'],
    [{ at: { phase: 'p', week: 1 } }, 'logs[0].at.day'],
    [{ instead: [{ slot: 's', exercise: 'frontSquat', reason: 'bored' }] }, 'logs[0].instead[0].reason'],
    [{ sets: [{ slot, extra: true }] }, 'logs[0].sets[0]'],
    [{ sets: [{ slot, n: 1, extra: true, id: 'x' }] }, 'logs[0].sets[0]'],
  ])('locates what does not fit: %j', (log, path) =>
    expect((readMember(member(log), versions).issues ?? []).map((one) => one.path)).toContain(path),
  )

  test('may have a set that was not asked: it is not judged, and tells of the max', () => {
    const planOf = (sets: object[]) => {
      const { file, library = {} } = readMember(member({ sets }), versions)
      if (!file) throw new Error('the member does not read')
      const { member: own, enrolments } = file
      return planMember({
        library,
        member: own,
        enrolments,
        versions,
        when: { today: '2026-03-02', through: 'end' },
      })
    }
    const asked = planOf([]).plans.enrolment?.weeks[0]?.places[0]?.slots.find((one) => one.slot === slot)
    const count = asked?.sets.reduce((sum, { sets }) => sum + sets, 0) ?? 0
    const done = Array.from({ length: count }, (_, i) => ({ slot, n: i + 1, load, reps: 5 }))
    const extra = { slot, id: 'more', extra: true, load: { value: 110, unit: 'kg' }, reps: 1 }
    const verdictOf = (sets: object[]) =>
      planOf(sets).plans.enrolment?.weeks[0]?.places[0]?.slots.find((one) => one.slot === slot)?.verdict
    expect(verdictOf([...done, extra])).toBe(verdictOf(done))
    expect(verdictOf([...done.slice(1), extra])).toBe(verdictOf(done.slice(1)))
    expect(planOf([...done, extra]).proposals.map(({ load: most }) => most.value)).toContain(110)
  })

  describe('outside every plan', () => {
    const heavy = { slot: 'free', n: 1, exercise: 'backSquat', load: { value: 110, unit: 'kg' }, reps: 1 }
    const free = { enrolment: null, position: undefined, id: 'free-1', sets: [heavy] }
    const planned = (given: object) => {
      const { file, library = {}, issues } = readMember(given, versions)
      if (!file) throw new Error(issues?.map(formatIssue).join('\n'))
      const when = { today: '2026-03-02', through: 'end' } as const
      return planMember({ library, member: file.member, enrolments: file.enrolments, versions, when })
    }

    test('tells of the max, takes no day of the plan, and is no session without one', () => {
      const { proposals, plans, setAside } = planned(member(free))
      expect(proposals.map(({ load: most }) => most.value)).toContain(110)
      const days = plans.enrolment?.weeks.flatMap(({ places }) => places.map(({ status }) => status))
      expect(days?.[0]).toBe('next')
      expect(days).not.toContain('done')
      expect(setAside.strays).toEqual([])
    })

    test.each([
      [{ ...free, id: undefined }, 'logs[0]'],
      [{ ...free, position: 1 }, 'logs[0]'],
      [{ position: undefined }, 'logs[0]'],
    ])('has an id of its own and no position: %j', (log, path) =>
      expect((readMember(member(log), versions).issues ?? []).map((one) => one.path)).toContain(path),
    )

    test('an entry whose day waits counts for nothing until a further entry says it', () => {
      const waiting = { ...free, waits: true }
      const { file, library = {} } = readMember(member(waiting), versions)
      if (!file) throw new Error('the member does not read')
      const input = {
        library,
        member: file.member,
        enrolments: file.enrolments,
        versions,
        when: { today: '2026-03-02', through: 'end' } as const,
      }
      const before = planMember(input)
      expect(before.proposals).toEqual([])
      expect(findingsOf(input, before).map(({ check, message }) => [check, message])).toContainEqual([
        'datedAhead',
        'waits',
      ])
      const both = {
        ...member(waiting),
        logs: [...member(waiting).logs, { ...member(free).logs[0], rev: 2 }],
      }
      expect(planned(both).proposals.map(({ load: most }) => most.value)).toContain(110)
    })
  })

  test('has an id of up to 200 characters, as a set of it has', () => {
    const ids = (id: string) => {
      const { file, issues } = readMember(
        member({ id, sets: [{ slot, n: 1, id: `${id}1`.slice(0, 200) }] }),
        versions,
      )
      return file ? file.member.logs[0]?.id : (issues ?? []).map(({ path }) => path)
    }
    expect(ids('x'.repeat(200))).toBe('x'.repeat(200))
    expect(ids('x'.repeat(201))).toContain('logs[0].id')
  })
})
