import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'

const root = fileURLToPath(new URL('..', import.meta.url))
const fixtures = join(root, 'core/fixtures')
const run = (...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'scripts/plan.ts', ...args], {
    cwd: root,
    encoding: 'utf8',
  })
const files = (name: string) => ['template', 'member'].map((file) => join(fixtures, name, `${file}.json`))
const folder = mkdtempSync(join(tmpdir(), 'young-oak-plan-'))
const write = (name: string, text: string): string => {
  writeFileSync(join(folder, name), text)
  return join(folder, name)
}

test.each(readdirSync(fixtures))('prints the plan of %s as worked by hand', (name) => {
  const { status, stdout } = run(...files(name))
  expect(status).toBe(0)
  const expected = JSON.parse(readFileSync(join(fixtures, name, 'expected.json'), 'utf8')) as Record<
    string,
    Record<string, string>
  >
  for (const lines of Object.values(expected)) {
    for (const line of Object.values(lines))
      expect(stdout).toContain(line.split(', needs')[0]?.replace(/, (hit|miss|skip|light)$/, ''))
  }
})

test('--why prints the arithmetic and --json the data', () => {
  const { stdout } = run(...files('plus-set-and-light-week'), '--why')
  expect(stdout).toContain('1RM 101.33 kg, accepted on 10 Mar 2026 from 80 kg × 8 by Epley')
  expect(stdout).toContain('training max 90% of it: 91.2 kg')
  expect(stdout).toContain('light: −10 points, 64% instead of 74%')
  const data = JSON.parse(run(...files('pounds-and-few-plates'), '--json').stdout)
  expect(data.plan.weeks[3].places[0].slots[0].groups[0]).toMatchObject({
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
      `${file}: slots.press.exercise: expected an exercise of the library; got "yoke". docs/reference.md lists the exercises.`,
    ])
  })
  test('in a member', () => {
    const file = write('member.json', '{"format": 1, "enrolment": {"start": "soon"}, "facts": []}')
    expect(fault(template, file)).toEqual([
      `${file}: enrolment.start: expected a day like 2026-03-02; got "soon".`,
    ])
  })
  test('that is not JSON, or not there', () => {
    const file = write('broken.json', '{\n"format": 1\n"name": 2}')
    expect(fault(file, member)[0]).toMatch(/line 3: expected JSON; got/)
    expect(fault('/nowhere.json', member)[0]).toMatch(/expected a file that can be read/)
  })
  test('and so does a wrong call', () => expect(fault(template)[0]).toMatch(/^usage: npm run -s plan/))
})
