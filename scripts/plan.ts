// The engine on the command line: npm run -s plan -- TEMPLATE.json MEMBER.json [--json | --why] [--today DAY]
import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { explain } from '@young-oak/core/explain'
import { liftName } from '@young-oak/core/library'
import { readMember } from '@young-oak/core/member'
import { formatGroup, formatGroups, planMember, type Plan, type PlannedSession } from '@young-oak/core/plan'
import { formatIssue, parseJson, type Issue } from '@young-oak/core/reading'
import { readTemplate } from '@young-oak/core/template'
import { compareLoads, formatDay, formatLoad, isDay } from '@young-oak/core/units'

const usage = 'usage: npm run -s plan -- TEMPLATE.json MEMBER.json [--json | --why] [--today YYYY-MM-DD]'

function main(): void {
  const { values, positionals } = readArguments()
  const [templateFile, memberFile] = positionals as [string, string]
  const { template, issues } = readTemplate(readJson(templateFile))
  if (!template) return refuse(templateFile, issues)
  const { file, issues: faults } = readMember(readJson(memberFile), template, 'file')
  if (!file) return refuse(memberFile, faults)
  const today = values.today ?? file.today ?? localDay()
  const planned = planMember(file.member, [file.enrolment], { file: template }, { today, through: 'end' })
  const plan = planned.plans[file.enrolment.id] as Plan
  const { findings } = planned
  if (values.json) return print(JSON.stringify({ today, plan, findings }, null, 2))
  print(`${template.name}${file.name ? `, for ${file.name}` : ''}, on ${formatDay(today)}`)
  for (const week of plan.weeks) {
    print(`\nWeek ${week.week}  ${week.phaseName}${week.light ? ', light' : ''}`)
    for (const session of week.places) printSession(session, values.why === true)
  }
  if (findings.length) print('')
  for (const { where, what, next } of findings) print(`note: ${where}: ${what} ${next}`)
}

function printSession(session: PlannedSession, withWhy: boolean): void {
  const day = session.date ? ` on ${formatDay(session.date)}` : ''
  print(`  ${session.inWeek}. ${session.name}  (${session.status}${day})`)
  const widest = Math.max(...session.slots.map((slot) => liftName(slot).length))
  for (const slot of session.slots) {
    const need = slot.needs.length ? '  needs a max' : ''
    const verdict = slot.verdict ? `  ${slot.verdict}${sayDone(slot)}` : ''
    print(`     ${liftName(slot).padEnd(widest)}  ${formatGroups(slot.groups)}${verdict}${need}`)
    if (withWhy) for (const group of slot.groups) printWhy(group)
  }
}

/** ": 5, 5, 4" for the reps of what was done, with the loads where they were not the ones asked. */
function sayDone({ done = [], groups }: PlannedSession['slots'][number]): string {
  const asked = groups.flatMap((group) => Array.from({ length: group.sets }, () => group.load))
  const reps = done.map(({ load, reps = 0, n, state }) => {
    const own = asked[n - 1]
    const isOther = load && (!own || compareLoads(load, own) !== 0)
    return `${state === 'failed' ? 'failed ' : ''}${reps}${isOther ? ` @ ${formatLoad(load)}` : ''}`
  })
  return reps.length ? `: ${reps.join(', ')}` : ''
}

function printWhy(group: Parameters<typeof formatGroup>[0]): void {
  if (!group.why.length) return
  print(`       ${formatGroup(group)}`)
  for (const rung of group.why) print(`         - ${explain(rung)}`)
}

function readArguments() {
  const options = { json: { type: 'boolean' }, why: { type: 'boolean' }, today: { type: 'string' } } as const
  try {
    const parsed = parseArgs({ options, allowPositionals: true })
    if (parsed.positionals.length !== 2) return fail(usage)
    if (parsed.values.today !== undefined && !isDay(parsed.values.today))
      return fail(`--today: expected a day like 2026-03-02; got "${parsed.values.today}".`)
    return parsed
  } catch (error) {
    return fail(`${(error as Error).message}\n${usage}`)
  }
}

function readJson(path: string): unknown {
  let text: string
  try {
    text = readFileSync(path, 'utf8')
  } catch {
    return fail(`${path}: expected a file that can be read; got nothing there. Check the path.`)
  }
  const parsed = parseJson(text)
  return parsed.issue ? refuse(path, [parsed.issue]) : parsed.value
}

function refuse(path: string, issues: Issue[]): never {
  return fail(issues.map((issue) => `${path}: ${formatIssue(issue)}`).join('\n'))
}

function fail(message: string): never {
  process.stderr.write(`${message}\n`)
  process.exit(2)
}

function localDay(): string {
  const now = new Date()
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10)
}

const print = (line: string): void => void process.stdout.write(`${line}\n`)

main()
