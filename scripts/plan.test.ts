import { planMember } from '@young-oak/core/plan'
import { findingsOf, sayFinding } from '@young-oak/core/checks'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { beforeAll, describe, expect, test } from '@jest/globals'
import { fixtureNames, inputOf, readFixture } from '../core/fixtures/read.ts'

const root = fileURLToPath(new URL('..', import.meta.url))
const fixtures = join(root, 'core/fixtures')
const run = (...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'scripts/plan.ts', ...args], {
    cwd: root,
    encoding: 'utf8',
  })
/** Several calls in one process, each with the command's file evaluated anew: what each printed. */
function runAll(calls: string[][]): string[] {
  const each = `
    for (const [i, args] of JSON.parse(process.env.CALLS).entries()) {
      process.argv.splice(1, Infinity, ...args)
      await import(new URL('?' + i, process.env.COMMAND).href)
      process.stdout.write('\\0')
    }`
  const { stdout } = spawnSync(process.execPath, ['--import', 'tsx', '--input-type=module', '--eval', each], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 256 * 1024 * 1024,
    env: {
      ...process.env,
      CALLS: JSON.stringify(calls),
      COMMAND: new URL('plan.ts', import.meta.url).href,
    },
  })
  return stdout.split('\0')
}
const files = (name: string) =>
  [...Object.keys(readFixture(name).versions), 'member'].map((file) => join(fixtures, name, `${file}.json`))
const folder = mkdtempSync(join(tmpdir(), 'young-oak-plan-'))
const write = (name: string, text: string): string => {
  writeFileSync(join(folder, name), text)
  return join(folder, name)
}

describe('every case worked by hand', () => {
  let printed: string[] = []
  beforeAll(() => {
    printed = runAll(fixtureNames.map((name) => [...files(name), '--json']))
  }, 600_000)

  test.each(fixtureNames)('is planned on the command line as in the engine: %s', (name) => {
    const input = inputOf(readFixture(name))
    const planned = planMember(input)
    const { plans, proposals } = planned
    const findings = findingsOf(input, planned).map(sayFinding)
    expect(JSON.parse(printed[fixtureNames.indexOf(name)] ?? '')).toEqual(
      JSON.parse(JSON.stringify({ today: readFixture(name).today, plans, proposals, findings })),
    )
  })
})

test('the table holds the weeks, the loads and what became of them', () => {
  const { stdout } = run(...files('a-countdown-whose-test-day-moves'))
  expect(stdout).toContain('Week 5  Countdown, from 30 Mar 2026, 2 before the test')
  expect(stdout).toContain('Week 7  Countdown, from 13 Apr 2026, week of the test')
  expect(stdout).toContain('1. Session A  (dropped)')
  expect(stdout).toContain('Back squat  3 × 3 @ 75 kg  hit: 3, 3, 3')
  const both = run(...files('two-enrolments-one-max')).stdout
  expect(both).toContain('Strength (strength), on 10 Mar 2026')
  expect(both).toContain('Beside the rowing (rowing), on 10 Mar 2026')
  expect(run(...files('a-single-then-a-drop')).stdout).toContain(
    'to accept or not: Deadlift 205 kg, estimate of 2 Mar 2026',
  )
})

test('the table says letters, RIR, rests and notes, each once for a line', () => {
  const { stdout } = run(...files('kinds-of-sets'))
  expect(stdout).toContain('G2  Seated cable row  3 × most reps in 1:00, rest 0:15, after the round 2:00')
  const { stdout: ranges } = run(...files('every-set-for-as-many-as-possible'))
  expect(ranges).toContain('D  Barbell curl    2 × 8 @ 28.5 kg, 2 RIR, rest 1:30-2:30  skip')
})

test('files that were swapped are named, one fault each', () => {
  const [template = '', member = ''] = files('a-band-of-loads')
  expect(run(member, template).stderr).toBe(
    `${member}: the file: expected a template, with "phases" and "sessions"; got "a member file". Give the template here.\n`,
  )
  expect(run(template, template).stderr).toBe(
    `${template}: the file: expected a member file, with "facts" and "logs"; got "a template". Give the member’s file here.\n`,
  )
})

test('--assume says from which week it counts, and where it has no effect', () => {
  const said = (what: string, name = 'a-lift-that-hands-over') =>
    run(...files(name), '--assume', what).stdout.split('\n')[1]
  expect(said('misses:2')).toBe(
    'Assumed: In week 2 from now the last set of every exercise falls one rep short. Week 1 from now is week 5.',
  )
  expect(said('misses:3')).toBe(
    'What is assumed has no effect: the last week of this program is week 6. Week 1 from now is week 5.',
  )
  expect(said('toPlan')).toBe('Assumed: Every set is done as asked. Week 1 from now is week 5.')
})

test('--summary counts the weeks, and says what is wanted, ahead and advised', () => {
  // Three sets of pressing, four of pull-ups, five of rows, two of curls. Back 4 + 5; biceps 2 + half of 9.
  const { stdout } = run(...files('every-set-for-as-many-as-possible'), '--summary')
  expect(stdout).toMatch(/Week 1 {2}hard sets: back 9, shoulders 3, biceps 6[.]5,/)
  // As asked: 3 × 5 × 42.5, 5 × 8 × 60, 2 × 8 × 28.5; pull-ups have no load.
  expect(stdout).toContain('tonnage 3493.5 kg')
  expect(stdout).toContain('advice: Train as written, and ask again next week.')
  expect(stdout).toMatch(/longest session about \d+ min for a light member, \d+ for a strong one/)
  const [template = '', member = ''] = files('every-set-for-as-many-as-possible')
  const own = JSON.parse(readFileSync(member, 'utf8')) as { facts: object[] }
  own.facts.push(
    {
      kind: 'goal',
      date: '2026-03-02',
      exercise: 'barbellRow',
      to: { value: 120, unit: 'kg' },
      by: '2026-06-01',
    },
    { kind: 'event', date: '2026-03-02', what: 'trip', on: '2026-04-06', to: '2026-04-10' },
    { kind: 'event', date: '2026-03-02', what: 'exams', on: '2026-03-10' },
  )
  const { stdout: outlook } = run(template, write('wants.json', JSON.stringify(own)), '--summary')
  expect(outlook).toMatch(
    /goal: Barbell row 120 kg by 1 Jun 2026: (on course|within reach|out of reach|cannot tell)/,
  )
  expect(outlook).toContain('event: trip, 6 Apr 2026 to 10 Apr 2026')
  expect(outlook).not.toContain('exams')
})

test('--summary counts reps by percent of the 1RM, and how hard the weeks were; with --json as data', () => {
  const name = 'earlier-loads-and-shares-of-other-lifts'
  const [template = '', member = ''] = files(name)
  // Worked out beside the zones: 20 reps at 43%, 35 at 75 and 80%, and 24 without a max.
  expect(run(template, member, '--summary').stdout).toContain(
    'week 1: below 60% 20 reps (36%), 70-80% 35 reps (64%), no known percent 24 reps',
  )
  const own = JSON.parse(readFileSync(member, 'utf8')) as { logs: object[] }
  own.logs = own.logs.map((log) => ({ ...log, answers: { hard: 7, minutes: 60 } }))
  const { stdout } = run(template, write('rated.json', JSON.stringify(own)), '--summary', '--json')
  const data = JSON.parse(stdout) as { summary: Record<string, string[]>; outlook: string[] }
  expect(data.summary.enrolment?.[0]).toMatch(/^Week 1 {2}hard sets: /)
  // One session of 420: the mean of seven days is 60, their sample deviation 420 ÷ √7 = 158.7, so 0.38; times 420 it is 159.
  expect(data.outlook[0]).toMatch(/: 420 [(]hardness × minutes[)], monotony 0[.]38, strain 159$/)
})

test('--why prints the arithmetic and --json the data', () => {
  const { stdout } = run(...files('amrap-set-and-deload'), '--why')
  expect(stdout).toContain('1RM 101.3 kg, accepted on 10 Mar 2026 from 80 kg × 8 by Epley')
  expect(stdout).toContain('training max, 90% of the 1RM: 91.2 kg')
  expect(stdout).toContain('deload: −10 points, 64% instead of 74%')
  const data = JSON.parse(run(...files('pounds-and-few-plates'), '--json').stdout)
  expect(data.plans.enrolment.weeks[3].places[0].slots[0].sets[0]).toMatchObject({
    load: { value: 215, unit: 'lb' },
    short: true,
    side: [45, 25, 10, 5],
  })
})

describe('a bad file ends with 2 and one line for each fault', () => {
  const [template, member] = files('a-missing-max') as [string, string]
  const fault = (...args: string[]) => {
    const { status, stderr, stdout } = run(...args)
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' })
    return stderr.trim().split('\n')
  }
  test('in a template', () => {
    const spoiled = JSON.parse(readFileSync(template, 'utf8'))
    spoiled.slots.squat.rows.p[0][0].load.percent = 400
    spoiled.slots.press.exercise = 'yoke'
    const file = write('bad.json', JSON.stringify(spoiled))
    expect(fault(file, member)).toEqual([
      `${file}: slots.squat.rows.p[0][0].load.percent: expected a percent above 0, at most 150; got 400.`,
      `${file}: slots.press.exercise: expected an exercise of the library, or of the gym’s own where the file declares it; got "yoke". docs/reference.md lists the exercises.`,
    ])
  })
  test('in a member', () => {
    const file = write(
      'member.json',
      '{"format": 2, "enrolments": [{"segments": [{"from": "soon"}]}], "facts": []}',
    )
    expect(fault(template, file)).toEqual([
      `${file}: enrolments[0].segments[0].from: expected a day like 2026-03-02; got "soon".`,
    ])
  })
  test('that is not JSON, or not there', () => {
    const file = write('broken.json', '{\n"format": 2\n"name": 2}')
    expect(fault(file, member)[0]).toMatch(/line 3: expected JSON; got/)
    expect(fault('/nowhere.json', member)[0]).toMatch(/expected a file that can be read/)
  })
  test('and so does a wrong call', () => expect(fault(template)[0]).toMatch(/^usage: npm run -s plan/))
})
