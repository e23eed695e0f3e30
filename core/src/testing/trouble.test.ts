// What a stranger's files may get wrong, and what the engine makes of it: located faults, or stated behaviour, nothing lost.
import type { SessionLog } from '../member/index.ts'
import { findingsOf, sayFinding } from '../checks/index.ts'
import { describe, expect, test } from '@jest/globals'
import { asTable, fixtureJson, readFixture } from '../../fixtures/read.ts'
import { planMember, type Planned, type PlanInput } from '../plan/index.ts'
import { readMember, type Member } from '../facts/index.ts'
import { formatSetsShown } from '../views/index.ts'
import { formatIssue } from '../parsing/index.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { addDays } from '../units/index.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

type Json = Record<string, never>
const file = (name: string, spoil: (file: Json) => unknown = () => undefined): Json => {
  const json = fixtureJson(name, 'template') as Json
  spoil(json)
  return json
}
const faults = (name: string, spoil: (file: Json) => unknown): string =>
  (readTemplate(file(name, spoil)).issues ?? []).map(formatIssue).join('\n')
const put = (json: Json, path: string, value: unknown): void => {
  const keys = path.split('.')
  const last = keys.pop() as string
  const parent = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, json)
  parent[last] = value
}

describe('a template', () => {
  test.each<[string, string, string, unknown, string]>([
    [
      'two rules that both have a lift',
      'a-lift-that-hands-over',
      'progressions.bench.stages.0.until',
      undefined,
      'progressions.bench.stages[0].until: expected the trigger that ends it: two progressions cannot both have a lift; got nothing.',
    ],
    [
      'two progressions that write one thing',
      'sets-and-loads-by-two-rules',
      'slots.bench.uses',
      [{ progression: 'load' }, { progression: 'load' }, { progression: 'sets' }],
      'slots.bench.uses[1]: expected a progression that does not write the load too; got "load". "load" writes it: keep one of them.',
    ],
    [
      'a light day whose volume day does not exist',
      'volume-light-and-heavy-day',
      'slots.v-squat.uses.0.role',
      'heavy',
      'slots.l-squat.rows.p[0][0].load: expected a role that some slot trains; got "volume". Give a slot of the progression this role, or name another.',
    ],
    [
      'a role that its rule does not have',
      'volume-light-and-heavy-day',
      'slots.v-squat.uses.0.role',
      'monday',
      'slots.v-squat.uses[0].role: expected a role of volumeHeavy: volume, light, heavy; got "monday".',
    ],
    [
      'two rules for one progression in a phase',
      'technique-an-offer-and-a-phase-rule',
      'progressions.bench.inPhases',
      (
        fixtureJson('technique-an-offer-and-a-phase-rule', 'template') as {
          progressions: { bench: { inPhases: object[] } }
        }
      ).progressions.bench.inPhases.flatMap((one) => [one, one]),
      'progressions.bench.inPhases[1].phase: expected one rule for the progression in a phase; got "q". Two progressions cannot both write a lift: keep one of them.',
    ],
    [
      'a rule for a phase that does not exist',
      'technique-an-offer-and-a-phase-rule',
      'progressions.bench.inPhases.0.phase',
      'r',
      'progressions.bench.inPhases[0].phase: expected a phase of this template; got "r". There are: p, q.',
    ],
    [
      'an offer with nothing to offer',
      'technique-an-offer-and-a-phase-rule',
      'progressions.squat.stages.1.offers',
      true,
      'progressions.squat.stages[1].offers: expected a stage after it to offer; got true.',
    ],
    [
      'a step in kilos and in percent at once',
      'technique-an-offer-and-a-phase-rule',
      'progressions.squat.stages.0.params.step',
      { kg: 2.5, lb: 5, percent: 2 },
      'progressions.squat.stages[0].params.step: expected a step above 0 in both units',
    ],
    [
      'a step of nothing',
      'technique-an-offer-and-a-phase-rule',
      'progressions.squat.stages.0.params.step.kg',
      0,
      'progressions.squat.stages[0].params.step: expected a step above 0 in both units',
    ],
    [
      'a reset of everything',
      'technique-an-offer-and-a-phase-rule',
      'progressions.squat.stages.0.params.resetBy',
      100,
      'progressions.squat.stages[0].params.resetBy: expected a percent from 1 to 50; got 100.',
    ],
    [
      'a muscle’s week that would end below where it begins',
      'a-ramp-and-a-muscles-week',
      'progressions.quads.stages.0.params.most',
      4,
      'progressions.quads.stages[0].params: expected "most" at least "first"',
    ],
    [
      'a lift handed on to a rule of a muscle',
      'a-ramp-and-a-muscles-week',
      'progressions.squat.stages',
      [
        {
          id: 'one',
          rule: 'linear',
          params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 5, lb: 10 }, misses: 2, resetBy: 10 },
          until: { trigger: 'exposures', count: 3 },
        },
        {
          id: 'two',
          rule: 'muscleWeek',
          params: { muscle: 'quads', first: 8, most: 12, add: 1, weeks: 3, lowerWeek: 60, cap: 6 },
        },
      ],
      'progressions.squat.stages[1].rule: expected a rule of one lift, like the first stage; got "muscleWeek".',
    ],
    [
      'ranges of which one stands twice',
      'ranges-and-rotations',
      'progressions.range.stages.0.params.ranges',
      ['blocks 20 cm', 'blocks 20 cm'],
      'progressions.range.stages[0].params: expected ranges, each once',
    ],
    [
      'one slot that takes turns with itself',
      'ranges-and-rotations',
      'sessions.a.sections.0',
      { name: 'Main', slots: ['pull'], rotation: { by: 'week', every: 1 } },
      'sessions.a.sections[0].rotation: expected two slots or more to rotate; got 1.',
    ],
    [
      'a deload that lightens nothing',
      'fewer-days-and-a-taper',
      'phases.0.deloads.0.do',
      { kind: 'scaleLoad', by: 10 },
      'phases[0].deloads[0].do: expected a change that lowers something and raises nothing',
    ],
    [
      'a rotation of nothing',
      'set-and-rest-waves',
      'phases.0.rotation',
      [],
      'phases[0].rotation: expected session ids in their order, a list of 1 to 12; got a list of 0.',
    ],
    [
      'a back-off with nothing before it',
      'back-offs-follow-today',
      'slots.squat.rows.p.0.0.load',
      { of: 'topSet', percent: 90 },
      'slots.squat.rows.p[0][0].load: expected a top set before it',
    ],
    [
      'a countdown without the step that it may rise by',
      'a-countdown-whose-test-day-moves',
      'slots.squat.capStep',
      undefined,
      'slots.squat.capStep: expected the step that rows counted back from a test day may rise by; got nothing. Add it.',
    ],
    [
      'a test day behind weeks that may shift',
      'a-countdown-whose-test-day-moves',
      'missed',
      'shift',
      'missed: expected hold or drop, since a test day does not move; got "shift".',
    ],
    [
      'a phase whose sign belongs to no progression',
      'a-phase-that-a-trigger-ends',
      'phases.0.weeks.until.progression',
      'bench',
      'phases[0].weeks.until.progression: expected a progression of this template; got "bench". There are: squat.',
    ],
  ])('with %s is refused, and says where and what', (_, name, path, value, said) => {
    expect(faults(name, (json) => put(json, path, value))).toContain(said)
  })

  test('whose loads read one another in a circle is refused, and the circle is named', () => {
    const said = faults('volume-light-and-heavy-day', (json) => {
      const load = { of: 'role', role: 'light', percent: 110 }
      put(json, 'slots.v-squat.rows.p', [[{ sets: 5, goal: { reps: 5 }, load }]])
    })
    expect(said).toContain(
      'slots.v-squat: expected loads that do not read one another in a circle; got "v-squat → l-squat → v-squat".',
    )
  })

  test('whose track names a slot that is gone still reads: the change is kept', () => {
    const { template } = readTemplate(file('a-track-on-running-and-new-progressions'))
    expect(template?.tracks.lighter?.changes.map(({ id }) => id)).toContain('gone')
  })
})

describe('a member', () => {
  const { versions, file: member } = readFixture('a-countdown-whose-test-day-moves')
  const read = (change: object): string =>
    (
      readMember(
        { ...(fixtureJson('a-countdown-whose-test-day-moves', 'member') as Json), ...change },
        versions,
      ).issues ?? []
    )
      .map(formatIssue)
      .join('\n')
  test.each<[string, object, string]>([
    [
      'a version that does not exist',
      { enrolments: [{ segments: [{ from: '2026-03-02', version: 'template-9' }] }] },
      'enrolments[0].segments[0].version: expected one of template; got "template-9".',
    ],
    [
      'a track that does not exist',
      { enrolments: [{ segments: [{ from: '2026-03-02', track: 'lighter' }] }] },
      'enrolments[0].segments[0].track: expected a track of this template (none); got "lighter".',
    ],
    [
      'segments out of order',
      { enrolments: [{ segments: [{ from: '2026-03-09' }, { from: '2026-03-02' }] }] },
      'enrolments[0].segments: expected segments, each from a later day than the one before',
    ],
    [
      'a set of a slot that does not exist',
      { logs: [{ date: '2026-03-02', position: 1, sets: [{ slot: 'bench', n: 1, reps: 5 }] }] },
      'logs[0].sets[0].slot: expected a slot of the template, or an exercise beside it; got "bench".',
    ],
    [
      'two entries for one set number that say different things',
      {
        logs: [
          {
            date: '2026-03-02',
            position: 1,
            sets: [
              { slot: 'squat', n: 1, reps: 5 },
              { slot: 'squat', n: 1, reps: 3 },
            ],
          },
        ],
      },
      'logs[0].sets[1].n: expected a number that no other set of the slot has; got 1. logs[0].sets[0] is set 1 too',
    ],
  ])('with %s is refused, and says where', (_, change, said) => expect(read(change)).toContain(said))

  const inputWith = (change: Partial<Member>, today = '2026-04-07'): PlanInput => ({
    library,
    member: { ...member.member, ...change },
    enrolments: member.enrolments,
    versions,
    when: { today, through: 'end' },
  })
  const plan = (change: Partial<Member>, today?: string): Planned => planMember(inputWith(change, today))
  const told = (change: Partial<Member>) =>
    findingsOf(inputWith(change), plan(change))
      .map(sayFinding)
      .map((finding) => `${finding.where}: ${finding.what}`)

  test('with a log of an enrolment that does not exist keeps it as evidence, and is told', () => {
    const [log] = member.member.logs
    const stray = { ...(log as SessionLog), id: 'stray', enrolment: 'gone' }
    const planned = plan({ logs: [stray] })
    expect(told({ logs: [stray] })).toContain(
      'stray: This session belongs to the enrolment "gone", which was taken back or does not exist. Its sets count as evidence only.',
    )
    expect(planned.evidence.last.backSquat?.date).toBe('2026-03-02')
  })

  test('with a log of a position that the plan does not have gives up nothing for it', () => {
    const [log] = member.member.logs
    const stray = { ...(log as SessionLog), id: 'stray', position: 99, date: '2026-03-17', shown: undefined }
    const logs = [...member.member.logs, stray]
    expect(told({ logs }).join()).toContain('stray: This session has position 99')
    const table = (change: Partial<Member>) => ({ ...asTable(inputWith(change), plan(change)), findings: [] })
    expect(table({ logs })).toEqual(table({}))
  })

  test('with a fact dated tomorrow is planned without it, and is told', () => {
    const [max] = member.member.facts.filter(({ kind }) => kind === 'max')
    const tomorrow = {
      ...(max as NonNullable<typeof max>),
      id: 'new',
      date: '2026-04-08',
      actsFrom: '2026-04-08',
    }
    const facts = [...member.member.facts, tomorrow]
    const planned = plan({ facts })
    expect(told({ facts }).join()).toContain('new: This entry is dated 8 Apr 2026, after today')
    expect(JSON.stringify(planned.plans)).toBe(JSON.stringify(plan({}).plans))
  })

  test('whose test day lies before the start, is missing, or has passed is told so', () => {
    const others = member.member.facts.filter(({ kind }) => kind !== 'test')
    const test = (on: string) => ({
      id: 't',
      rev: 1,
      date: '2026-03-01',
      actsFrom: '2026-03-01',
      kind: 'test' as const,
      on,
    })
    expect(told({ facts: [...others, test('2026-02-01')] }).join()).toContain('is before the start')
    expect(told({ facts: others }).join()).toContain(
      'counts back from a test day, and no test day is entered',
    )
    const facts = [...others, test('2026-03-08')]
    const passed = plan({ facts })
    expect(told({ facts }).join()).toContain('is before this phase starts')
    expect(passed.plans.enrolment?.lastWeek).toBe(2)
    // Without a test day the phase's last week on paper is the test's.
    const onPaper = plan({ facts: others, logs: [] }, '2026-03-02').plans.enrolment
    expect(onPaper?.weeks.map(({ toTest }) => toTest)).toEqual([undefined, undefined, 3, 2, 1, 0])
  })

  test('with a snapshot of a version that nobody has is judged by what it shows', () => {
    const { template } = readFixture('late-and-corrected-logs').versions as { template: Template }
    const { member: own, enrolments } = readFixture('late-and-corrected-logs').file
    const logs = own.logs.map((log) =>
      log.shown ? { ...log, shown: { ...log.shown, version: 'lost' } } : log,
    )
    const at = { today: '2026-03-24', through: 'end' } as const
    const lines = ({ plans }: Planned) =>
      plans.enrolment?.weeks.flatMap(({ places }) =>
        places.flatMap(({ slots }) =>
          slots.map(
            ({ sets: prescriptions, verdict }) => `${formatSetsShown(library, prescriptions)} ${verdict}`,
          ),
        ),
      )
    expect(
      lines(planMember({ library, member: { ...own, logs }, enrolments, versions: { template }, when: at })),
    ).toEqual(lines(planMember({ library, member: own, enrolments, versions: { template }, when: at })))
  })

  test('with five thousand logs is planned, and one with more is refused in a line', () => {
    const { template } = readFixture('deleted-and-doubled-logs').versions as { template: Template }
    const { facts } = readFixture('deleted-and-doubled-logs').file.member
    const logs = Array.from({ length: 5000 }, (_, i): SessionLog => ({
      id: `log-${i}`,
      rev: 1,
      date: addDays('2010-01-01', i),
      enrolment: 'e',
      position: i + 1,
      attempt: 1,
      ordinal: 1,
      closed: true,
      sets: [{ id: `s-${i}`, rev: 1, slot: 'squat', n: 1, exercise: 'backSquat', state: 'done', reps: 5 }],
    }))
    const enrolments = [{ id: 'e', segments: [{ from: '2010-01-01', version: 'v' }] }]
    const input: PlanInput = {
      library,
      member: { facts, logs },
      enrolments,
      versions: { v: template },
      when: { today: '2026-01-01', through: 'end' },
    }
    const planned = planMember(input)
    expect(planned.plans.e?.next).toBeNull()
    // The plan has five places: what is logged beyond them is kept as evidence and named, each by its id.
    expect(findingsOf(input, planned).filter(({ check }) => check === 'strayLog')).toHaveLength(4995)
    const many = { format: 2, enrolments: [{ segments: [{ from: '2026-03-02' }] }], facts: [] }
    const issues = readMember({ ...many, logs: Array.from({ length: 5001 }, () => ({})) }, versions).issues
    expect(issues?.map(formatIssue)).toEqual(['logs: expected a list of at most 5000; got a list of 5001.'])
  })
})

describe('junk in any one place of a file', () => {
  const junk = [undefined, null, 'x', {}, [null]]
  const names = ['sets-and-loads-by-two-rules', 'amrap-sets-and-totals']

  test.each(names)('is a located fault or another file, never a crash: %s', (name) => {
    const template = fixtureJson(name, 'template')
    const { versions } = readFixture(name)
    spoilt(template, (one) => readTemplate(one).issues)
    spoilt(fixtureJson(name, 'member'), (one) => readMember(one, versions).issues)
  })

  /** Reads the file once for each place and each kind of junk. */
  function spoilt(whole: unknown, read: (file: unknown) => { path: string }[] | undefined): void {
    for (const path of placesIn(whole))
      for (const bad of junk) {
        const made = structuredClone(whole) as Json
        put(made, path, bad)
        const asJson: unknown = JSON.parse(JSON.stringify(made))
        if ((read(asJson) ?? []).some((issue) => typeof issue.path !== 'string')) throw new Error(path)
      }
  }

  const placesIn = (value: unknown, before = ''): string[] =>
    typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, inner]) => [
          `${before}${key}`,
          ...placesIn(inner, `${before}${key}.`),
        ])
      : []
})
