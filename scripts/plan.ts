// The engine on the command line: npm run -s plan -- TEMPLATE.json… MEMBER.json [--json | --why | --summary] [--today DAY] [--at LOCATION] [--assume HOW]
import { findingsOf, sayFinding } from '@young-oak/core/checks'
import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { parseArgs } from 'node:util'
import {
  planMember,
  type OnDay,
  type Plan,
  type PlannedSession,
  type PlannedWeek,
  type When,
} from '@young-oak/core/plan'
import {
  lighterThan,
  sayLighter,
  formatCircuit,
  formatGroup,
  formatHandled,
  formatSetsShown,
  formatWarmUps,
  needWords,
} from '@young-oak/core/views'
import { forecastKinds, forecastOf, type Supposed, doingUnder } from '@young-oak/core/dryRun'
import { explain } from '@young-oak/core/explain'
import { liftName, liftOfKey, maxName, type Library } from '@young-oak/core/library'
import { becauseWords } from '@young-oak/core/progressions'
import { readMember } from '@young-oak/core/facts'
import { formatIssue, parseJson, type Issue } from '@young-oak/core/parsing'
import { readTemplate, sayLater, type Template } from '@young-oak/core/template'
import { compareLoads, formatAmount, formatDay, formatLoad, formatRest, isDay } from '@young-oak/core/units'
import { outlookOf, summaryOf } from './planSummary.ts'

const usage =
  'usage: npm run -s plan -- TEMPLATE.json… MEMBER.json [--json | --why | --summary] [--today YYYY-MM-DD] [--at LOCATION] ' +
  '[--assume toPlan | misses:WEEK | away:WEEK | better]'

function main(): void {
  const { values, positionals } = readArguments()
  const memberFile = positionals.at(-1) as string
  const { versions, library: declared } = readVersions(positionals.slice(0, -1))
  const { file, library, issues } = readMember(readJson(memberFile), versions, declared)
  if (!file) return refuse(memberFile, issues)
  const today = values.today ?? file.today ?? localDay()
  const { member, enrolments } = file
  const supposed = readForecast(values.assume)
  const at = values.at
  const known = member.facts.flatMap((fact) => (fact.kind === 'equipment' ? [fact.location] : []))
  if (at !== undefined && !known.includes(at))
    return fail(
      `--at: expected a location of the member (${known.join(', ') || 'none is listed'}); got "${at}".`,
    )
  const when: When = {
    today,
    through: 'end',
    ...(at !== undefined && { at }),
    ...(supposed && { doing: doingUnder(supposed) }),
  }
  const input = { library, member, enrolments, versions, when }
  const planned = planMember(input)
  const { plans, proposals } = planned
  const findings = findingsOf(input, planned).map(sayFinding)
  if (values.json) {
    const summary = values.summary && {
      summary: Object.fromEntries(
        Object.entries(plans).map(([id, plan]) => [id, summaryOf(input, planned, plan).map(trimmed)]),
      ),
      outlook: outlookOf(input, planned),
    }
    return print(JSON.stringify({ today, plans, proposals, findings, ...summary }, null, 2))
  }
  for (const [id, plan] of Object.entries(plans)) {
    const { name } = versions[plan.version] as Template
    const which = file.enrolments.length > 1 ? ` (${id})` : ''
    print(`${name}${which}${file.name ? `, for ${file.name}` : ''}, on ${formatDay(today)}`)
    if (supposed) print(sayAssumed(plan, supposed))
    if (values.summary) summaryOf(input, planned, plan).forEach(print)
    else for (const week of plan.weeks) printWeek(library, plan, week, values.why === true)
    for (const phase of plan.later ?? []) print(`\nThen  ${sayLater(phase)}: still to be written`)
    print('')
  }
  if (values.summary) outlookOf(input, planned).forEach(print)
  for (const { lift, load, date, how } of proposals)
    print(
      `to accept or not: ${maxName(library, liftOfKey(lift))} ${formatLoad(load)}, ${how} of ${formatDay(date)}`,
    )
  for (const { where, what, next } of findings) print(`note: ${where}: ${what} ${next}`)
}

const trimmed = (line: string): string => line.trim()

/** "misses:4" as a forecast of the fourth week from here. */
function readForecast(said: string | undefined): Supposed | undefined {
  if (said === undefined) return undefined
  const [kind = '', week] = said.split(':')
  const known = forecastKinds.find((one) => one === kind)
  const params = week === undefined ? {} : { week: Number(week) }
  if (!known || !forecastOf[known].params.isValidSync(params, { strict: true }))
    return fail(`--assume: expected toPlan, misses:WEEK, away:WEEK or better; got "${said}".`)
  return { kind: known, ...params } as Supposed
}

/** What is assumed, and from which week it counts; or that it changes nothing. */
function sayAssumed({ weeks }: Plan, supposed: Supposed): string {
  const first = weeks.find(({ places }) =>
    places.some(({ status }) => status === 'next' || status === 'ahead'),
  )
  if (!first) return 'Nothing is assumed: every week of this program is over.'
  const from = `Week 1 from now is week ${first.week}.`
  const acts = weeks.some(({ places }) => places.some(({ slots }) => slots.some((slot) => slot.supposed)))
  if (supposed.kind !== 'toPlan' && !acts)
    return `What is assumed has no effect: the last week of this program is week ${weeks.at(-1)?.week}. ${from}`
  const { kind, ...params } = supposed
  return `Assumed: ${forecastOf[kind].sentence(params)} ${from}`
}

/** The templates by their files' names, which is what a member's segments call them. */
function readVersions(paths: string[]): { versions: Record<string, Template>; library: Library } {
  const versions: Record<string, Template> = {}
  let known: Library = {}
  for (const path of paths) {
    const name = basename(path, '.json')
    if (versions[name])
      return fail(`${path}: another template is called "${name}" too. Give one another file name.`)
    const { template, library, issues } = readTemplate(readJson(path), known)
    if (!template) return refuse(path, issues)
    versions[name] = template
    known = library
  }
  return { versions, library: known }
}

function printWeek(library: Library, { version }: Plan, week: PlannedWeek, withWhy: boolean): void {
  const marks = [
    week.deload && 'deload',
    week.from && `from ${formatDay(week.from)}`,
    week.toTest === 0 ? 'week of the test' : week.toTest !== undefined && `${week.toTest} before the test`,
    week.version !== version && week.version,
  ].filter(Boolean)
  print(`\nWeek ${week.week}  ${[week.phaseName, ...marks].join(', ')}`)
  for (const session of week.places) printSession(library, session, withWhy)
}

function printSession(library: Library, session: PlannedSession, withWhy: boolean): void {
  const day = session.date ? ` on ${formatDay(session.date)}` : session.on ? `, ${sayOn(session.on)}` : ''
  print(`  ${session.inWeek}. ${session.name}  (${session.status}${day})`)
  const widest = Math.max(0, ...session.slots.map((slot) => nameOf(library, slot).length))
  const letters = Math.max(0, ...session.slots.map(({ letter }) => letter.length))
  const indent = ' '.repeat(5 + letters + 2)
  for (const slot of session.slots) {
    const need = slot.needs[0] ? `  ${needWords[slot.needs[0].need]}` : ''
    const verdict = slot.verdict
      ? `  ${slot.verdict}${slot.because ? ` (${becauseWords[slot.because]})` : ''}${sayDone(slot)}`
      : slot.supposed
        ? `  (${slot.supposed})`
        : ''
    const scored = slot.circuit ? `${formatCircuit(slot.circuit)}: ` : ''
    print(
      `     ${slot.letter.padEnd(letters)}  ${nameOf(library, slot).padEnd(widest)}  ${scored}${formatSetsShown(library, slot.sets)}${saidBeside(slot)}${verdict}${need}`,
    )
    slot.withoutDeload?.forEach((was, i) => {
      const is = slot.sets[i]
      if (is)
        print(
          `${indent}${' '.repeat(widest)}  in place of ${formatGroup(library, was)}: ${sayLighter(lighterThan(was, is))}`,
        )
    })
    if (slot.warmUps) print(`${indent}${' '.repeat(widest)}  warm-up ${formatWarmUps(slot.warmUps)}`)
    if (slot.note) print(`${indent}${' '.repeat(widest)}  ${slot.note}`)
    if (withWhy) for (const prescribed of slot.sets) printWhy(library, prescribed)
  }
  const lines = new Set(session.slots.map(({ slot }) => slot))
  for (const { slot, step } of session.changes) if (!lines.has(slot)) print(`     ${slot}: ${explain(step)}`)
}

/** "on 5 Mar 2026: 1 day of rest after Pull". */
const sayOn = ({ day, why }: OnDay): string =>
  [`on ${formatDay(day)}`, why.map(explain).join('; ')].filter(Boolean).join(': ')

/** ", 2 RIR, rest 2:00": what is asked beside the sets, each thing once. */
function saidBeside({ sets }: PlannedSession['slots'][number]): string {
  const said = sets.flatMap(({ rir, rest, roundRest }) => [
    ...(rir === undefined ? [] : [`${rir} RIR`]),
    ...(rest === undefined ? [] : [`rest ${formatRest(rest)}`]),
    ...(roundRest === undefined ? [] : [`after the round ${formatRest(roundRest)}`]),
  ])
  return [...new Set(said)].map((one) => `, ${one}`).join('')
}

const nameOf = (library: Library, slot: PlannedSession['slots'][number]): string =>
  slot.circuit?.name ?? liftName(library, slot)

/** ": 5, 5, 4" for the reps of what was done, "done" where none were noted, with the loads where they were not the ones asked. */
function sayDone({ done = [], sets: prescriptions }: PlannedSession['slots'][number]): string {
  const asked = prescriptions.flatMap((prescribed) =>
    Array.from({ length: prescribed.sets }, () => prescribed),
  )
  const reps = done.map(({ load, help, amount, reps: own, n, state }) => {
    if (amount) return `${formatAmount(amount)}${own ? ` and ${own} reps` : ''}`
    const prescribed = asked[n - 1]
    const isOther =
      load && (!prescribed?.load || prescribed.help !== help || compareLoads(load, prescribed.load) !== 0)
    const body = prescribed?.body ?? asked[0]?.body
    const handled = isOther
      ? ` @ ${formatHandled({ ...(body && { body }), ...(help && { help }) }, load)}`
      : ''
    return `${state === 'failed' ? 'failed ' : ''}${own ?? 'done'}${handled}`
  })
  return reps.length ? `: ${reps.join(', ')}` : ''
}

function printWhy(library: Library, prescribed: Parameters<typeof formatGroup>[1]): void {
  if (!prescribed.why.length) return
  print(`       ${formatGroup(library, prescribed)}`)
  for (const step of prescribed.why) print(`         - ${explain(step)}`)
}

function readArguments() {
  const options = {
    json: { type: 'boolean' },
    why: { type: 'boolean' },
    summary: { type: 'boolean' },
    today: { type: 'string' },
    at: { type: 'string' },
    assume: { type: 'string' },
  } as const
  try {
    const parsed = parseArgs({ options, allowPositionals: true })
    if (parsed.positionals.length < 2) return fail(usage)
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

// A reader that has seen enough (head, less) closes the pipe: that is no fault.
process.stdout.on('error', () => process.exit(0))
const print = (line: string): void => void process.stdout.write(`${line}\n`)

main()
