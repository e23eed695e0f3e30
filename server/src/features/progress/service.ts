import { inputOf } from '../training/planInput.ts'
import type { MemberFile } from '@young-oak/api/members'
import type { GivenFact, ProgressView } from '@young-oak/api/progress'
import { changeOf } from '@young-oak/core/adjustments'
import { advise, readSignals } from '@young-oak/core/advice'
import { liftKey, liftOf, liftOfKey, takesMax, type Lift, type Library } from '@young-oak/core/library'
import { choiceKey, givenKinds, readGivenFact, type Fact } from '@young-oak/core/facts'
import { resolve } from '@young-oak/core/member'
import { isOver, planMember, type Plan, type Planned } from '@young-oak/core/plan'
import { formatIssue, isId } from '@young-oak/core/parsing'
import { slotsOf, type Template } from '@young-oak/core/template'
import {
  blocksOf,
  estimatesOf,
  judgeTrial,
  loadWeeks,
  misfits,
  targetOf,
  totalsOf,
} from '@young-oak/core/trends'
import { addDays, inUnit, type Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { nextFactId } from '@young-oak/api/factId'
import { readMemberFile } from '../training/memberFile.ts'
import { newVersionOf } from '../training/newVersion.ts'
import { insertFact } from '../training/store.ts'
import { readFact, readFirstWeekday } from './store.ts'

export async function progress(scope: MemberScope, day: Day): Promise<ProgressView> {
  const read = await readMemberFile(scope)
  const { file, lets } = read
  const { library } = scope
  const { member, versions } = file
  const planned = planMember(inputOf(scope, file, { today: day, through: 'end' }))
  const { evidence, plans, offers } = planned
  const templates = Object.fromEntries(
    Object.values(plans).flatMap((plan) => {
      const { enrolment, version } = plan
      const template = versions[version]
      return template && !isOver(plan, day) ? [[enrolment, template] as const] : []
    }),
  )
  const body = evidence.body?.load
  const seenOf = (lift: Lift) => estimatesOf(library, member.logs, lift, evidence.unit, body)
  const blocks = Object.values(plans).flatMap((plan) => blocksOf(plan, day))
  return {
    unit: evidence.unit,
    programs: Object.entries(templates).map(([enrolment, template]) => ({
      enrolment,
      name: template.name,
      phase: phaseNow(plans[enrolment]),
      track: plans[enrolment]?.track ?? null,
      tracks: Object.entries(template.tracks).map(([id, { name }]) => ({ id, name })),
      choosesTrack: lets[enrolment]?.choosesTrack ?? false,
      choices: choicesIn(template, (slot) => evidence.choices[choiceKey(enrolment, slot)]),
      paused: plans[enrolment]?.paused,
      changed: plans[enrolment] && newVersionOf(read, plans[enrolment], day),
      policy: template.deloadPolicy ?? 'both',
      advice: advise(library, readSignals(member, planned, enrolment, template, day), template.deloadPolicy),
    })),
    following: followingIn(file, planned),
    offers,
    lifts: liftsOf(library, planned).map((lift) => {
      const seen = seenOf(lift)
      const maxes = evidence.maxes[liftKey(lift)] ?? []
      const targets = evidence.goals
        .filter((goal) => liftKey(goal) === liftKey(lift))
        .map((goal) => targetOf(goal, seen, day, blocks, maxes))
      const max = maxes.at(-1)
      return { lift, seen, targets, ...(max && { max: { load: max.load, date: max.date } }) }
    }),
    totals: evidence.totals.map((goal) => {
      const parts = goal.lifts.map((lift) => ({
        seen: seenOf(lift),
        known: (evidence.maxes[liftKey(lift)] ?? []).map(({ date, load }) => ({
          date,
          value: inUnit(load, evidence.unit).value,
        })),
      }))
      const to = inUnit(goal.to, evidence.unit)
      return targetOf({ ...goal, to }, totalsOf(parts), day)
    }),
    load: loadWeeks(resolve(member.logs), day, await readFirstWeekday(scope)),
    blocks: blocks.filter(({ ends }) => ends >= day),
    misfits: misfits(
      library,
      evidence.goals,
      Object.values(templates).flatMap(({ maxes }) => maxes.ratios ?? []),
    ).map(({ say }) => say),
    trials: evidence.trials.map(({ id, name, differs, first, second, lifts }) => {
      const decision = evidence.decisions[id]
      const result = judgeTrial(library, { first, second, lifts }, member.logs, evidence.unit, body)
      return { id, name, differs, first, second, result, ...(decision && { decision }) }
    }),
    checkIn: evidence.checkIns[0] ?? null,
    about: evidence.about,
    profile: {
      levels: evidence.levels,
      days: evidence.days,
      priorities: evidence.priorities,
      enjoys: evidence.enjoys,
      askFirst: evidence.askFirst,
    },
    events: evidence.events.filter(({ on, to }) => (to ?? on) >= day),
    spells: ownDeloadsOf(library, member.facts, planned, day),
    endings: endingsIn(file, planned),
    mostSets: evidence.mostSets,
    taken: Object.fromEntries(
      Object.entries(evidence.adviceTaken).filter(([, { date }]) => date > addDays(day, -7)),
    ),
  }
}

/** Programs that wait for another, with its name. */
function followingIn(
  { versions }: MemberFile,
  { plans, waiting, evidence }: Planned,
): ProgressView['following'] {
  const versionOf = (id: string | undefined): string | undefined =>
    plans[id ?? '']?.version ?? waiting.find((one) => one.id === id)?.segments.at(-1)?.version
  const nameOf = (id: string | undefined): string => versions[versionOf(id) ?? '']?.name ?? ''
  return waiting
    .filter(({ id }) => evidence.ended[id] === undefined)
    .map(({ id, after }) => ({ enrolment: id, name: nameOf(id), after: nameOf(after) }))
}

/** The slots that offer several exercises, with the one that was chosen of each. */
const choicesIn = (
  { sessions, slots }: Template,
  chosenFor: (slot: string) => string | undefined,
): ProgressView['programs'][number]['choices'] =>
  Object.values(sessions).flatMap((session) =>
    slotsOf(session).flatMap((slot) => {
      const own = slots[slot]
      if (!own?.choices) return []
      const of = [liftOf(own), ...own.choices]
      const chosen = of.find((one) => liftKey(one) === chosenFor(slot)) ?? liftOf(own)
      return [{ slot, session: session.name, of, chosen }]
    }),
  )

/** The phase of the place that comes next. */
const phaseNow = (plan: Plan | undefined): string | undefined =>
  plan?.weeks.find(({ places }) => places.some(({ status }) => status === 'next' || status === 'open'))?.phase

/** Lifts that something is known of, those with a goal first. */
function liftsOf(library: Library, { evidence }: Planned): Lift[] {
  const keys = new Set([
    ...evidence.goals.map(liftKey),
    ...Object.keys(evidence.estimates),
    ...Object.keys(evidence.maxes),
  ])
  return [...keys].map(liftOfKey).filter((lift) => takesMax(library, lift))
}

/** Light spells whose weeks and return are not over yet, as far as their days can tell. */
function ownDeloadsOf(library: Library, facts: Fact[], planned: Planned, day: Day): ProgressView['spells'] {
  return planned.evidence.deloads.flatMap(({ id, from, weeks, back, changes, muscles, to }) => {
    if (to || addDays(from, 7 * (weeks + back.length + 1)) < day) return []
    const begun = hasBegun(planned, id)
    const fact = facts.find((one) => one.id === id)
    const reason = fact?.kind === 'deload' ? fact.reason : undefined
    const says = changes.map((change) => changeOf[change.kind].sentence(change, library)).join(', ')
    const whose = muscles ? ` (${muscles.join(', ')} only)` : ''
    return [{ id, begun, from, weeks, back, ...(reason && { reason }), says: says + whose }]
  })
}

/** Programs that somebody has ended, the latest first. */
const endingsIn = ({ member, versions }: MemberFile, { plans }: Planned): ProgressView['endings'] =>
  resolve(member.facts)
    .flatMap((fact) => {
      const plan = fact.kind === 'endEnrolment' ? plans[fact.enrolment] : undefined
      if (fact.kind !== 'endEnrolment' || !plan) return []
      const name = versions[plan.version]?.name ?? ''
      return [{ id: fact.id, name, on: fact.actsFrom, ...(fact.reason && { reason: fact.reason }) }]
    })
    .sort((a, b) => (a.on < b.on ? 1 : -1))

/** Whether a session of a deload of the member's own was started, or on a calendar its week has begun. */
const hasBegun = ({ courses }: Planned, deload: string): boolean =>
  Object.values(courses).some(({ deloads }) => deloads.includes(deload))

/** Stores a fact that was entered on a day, and says whether it is new. */
export const giveFact = async (
  scope: MemberScope,
  given: GivenFact,
  id: string = nextFactId(),
): Promise<boolean> => insertFact(scope, readGiven(scope, given, id))

/** What a fact holds is read as in a file, and its faults are located. */
export function readGiven(scope: Scope, { fact: given, today: day }: GivenFact, id: string): Fact {
  const { fact, issues } = readGivenFact(scope.library, {
    ...given,
    id,
    rev: 1,
    date: day,
    actsFrom: day,
  })
  if (!fact) {
    const errors = issues.map((issue) => ({ path: issue.path, message: formatIssue(issue) }))
    throw new Problem('notPossible', errors[0]?.message ?? 'This cannot be saved.', errors)
  }
  return fact
}

/**
 * Takes back what was entered: a new entry of the same id that counts for nothing. A deload that has begun is ended on that day instead: what was
 * trained in it stays. `end` is the id of that entry.
 */
export async function takeBack(
  scope: MemberScope,
  id: string,
  day: Day,
  end: string = nextFactId(),
): Promise<boolean> {
  const fact = isId(id) ? await readFact(scope, id) : undefined
  if (!fact || !givenKinds.includes(fact.kind)) throw notFound('entry')
  if (fact.void) return false
  if (fact.kind === 'deload') {
    const { file } = await readMemberFile(scope)
    const planned = planMember(inputOf(scope, file, { today: day, through: 'near' }))
    if (hasBegun(planned, id))
      return giveFact(scope, { fact: { kind: 'endDeload', deload: id }, today: day }, end)
  }
  return insertFact(scope, { ...fact, rev: fact.rev + 1, void: true })
}
