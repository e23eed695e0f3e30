import { findingsOf, sayFinding, type FindingSaid } from '../checks/index.ts'
import { maxFor } from '../evidence/index.ts'
import { liftKey, liftOf, liftOfKey, type Library, type Lift } from '../library/index.ts'
import type { Enrolment } from '../member/index.ts'
import type { Id } from '../parsing/index.ts'
import {
  isOver,
  segmentOn,
  type Plan,
  type PlanInput,
  type PlannedSession,
  type Planned,
} from '../plan/index.ts'
import type { Template } from '../template/index.ts'
import { dependentsOf, formatSetsShown, minutesOf } from '../views/index.ts'
import { jumpOf, type Jump } from './jumpOf.ts'

/** What is asked of a slot in the two weeks, before and after; null where it is not there. */
export type Differing = {
  week: number
  day: number
  session: string
  lift: Lift
  before: string | null
  after: string | null
}

/** What publishing does to one member, in the week that is running and the next one, and over the version's length. */
export type Impact = {
  /** It is new to them, it changes what is asked, it asks the same, or they have done its last week already. */
  is: 'starts' | 'moves' | 'same' | 'done'
  /** At most so many as a reader looks at; how many there are stands beside. */
  lines: Differing[]
  changed: number
  /** The lift whose sets ask most more than before, in percent of the max that they suppose. */
  jump: Jump | null
  /** Lifts whose max the version reads somewhere, and of which none is known. */
  needs: Lift[]
  /** Lifts that are loaded with less than is meant, for want of plates. */
  short: Lift[]
  /** The session that takes most more minutes than before, from ten on. */
  longer: { session: string; before: number; after: number } | null
  /** A week is begun and not done. */
  isMidWeek: boolean
  isDeload: boolean
  /** They have paused. */
  isPaused: boolean
  /** They keep a track of their own, whatever the publication says. */
  keepsTrack: boolean
  /** Other programs by name: those that go on beside it, those that are over with it, and those that are done first. */
  beside: string[]
  ends: string[]
  follows: string[]
  /** What a reader of the plan would be told, and would not have been before. */
  findings: FindingSaid[]
}

/** The lifts whose max a version reads anywhere in its length, ratios to other lifts not counted. */
export const maxesRead = (library: Library, template: Template): Lift[] =>
  Object.entries(dependentsOf(library, template))
    .filter(([, dependents]) => dependents.some((one) => 'session' in one))
    .map(([key]) => liftOfKey(key))

/** A member's plans, beside what they were made from. */
export type Seen = { input: PlanInput; planned: Planned }

const mostLines = 40
const leastLonger = 10

/**
 * What one member's plans of a day become, where both were planned near: `enrolment` is the program that the publication begins or changes, `after` the plans
 * as they would be. `reads`: the lifts whose max its version reads.
 */
export function impactOf(before: Seen, after: Seen, enrolment: Id, reads: readonly Lift[]): Impact {
  const { planned } = after
  const { library, when } = after.input
  const { today } = when
  const [was, is] = [runningIn(before), runningIn(after)]
  const [own, next] = [
    was.find((plan) => plan.enrolment === enrolment),
    is.find((plan) => plan.enrolment === enrolment),
  ]
  const lines = next ? differing(before, after, own, next) : []
  const waits = planned.waiting.find(({ id }) => id === enrolment)
  const template = after.input.versions[next?.version ?? waits?.segments.at(-1)?.version ?? '']
  const shown = next ? upcoming(next) : []
  return {
    is: !isOn(before, enrolment) ? 'starts' : !next ? 'done' : lines.length ? 'moves' : 'same',
    lines: lines.slice(0, mostLines),
    changed: lines.length,
    jump: jumpOf(library, was.flatMap(upcoming), shown, before.planned.evidence),
    needs: template
      ? reads.filter((lift) => !maxFor(library, planned.evidence, lift, template.maxes, today))
      : [],
    short: unique(
      shown.flatMap(({ slots }) => slots.filter(({ sets }) => sets.some(({ short }) => short)).map(liftOf)),
    ),
    longer: own && next && template ? longerOf(before, after, own, next, template) : null,
    isMidWeek: own?.weeks.some(({ places }) => isBegun(places)) ?? false,
    isPaused: next?.paused !== undefined,
    keepsTrack: keepsTrack(after, enrolment),
    isDeload: own?.weeks.find(({ places }) => places.some(isAhead))?.deload ?? false,
    beside: waits ? [] : is.filter((plan) => plan !== next).map((plan) => nameOf(after, plan)),
    follows: waits ? followedBy(after, waits) : [],
    ends: was
      .filter((plan) => !is.some((one) => one.enrolment === plan.enrolment))
      .map((plan) => nameOf(before, plan)),
    findings: newFindings(before, after),
  }
}

const runningIn = ({ input, planned }: Seen): Plan[] =>
  Object.values(planned.plans).filter((plan) => !isOver(plan, input.when.today) && plan.next !== null)

/** Whether the member has the program, be it that they have done it. */
function isOn({ input, planned }: Seen, enrolment: Id): boolean {
  const plan = planned.plans[enrolment]
  return plan !== undefined && !isOver(plan, input.when.today)
}

const nameOf = ({ input }: Seen, { version }: Plan): string => input.versions[version]?.name ?? version

/** What an enrolment waits for: a program that runs, or one that waits itself. */
function followedBy({ input, planned }: Seen, { after }: Enrolment): string[] {
  const version =
    planned.plans[after ?? '']?.version ??
    planned.waiting.find(({ id }) => id === after)?.segments.at(-1)?.version
  return version === undefined ? [] : [input.versions[version]?.name ?? version]
}

const isAhead = ({ status }: PlannedSession): boolean =>
  status === 'next' || status === 'ahead' || status === 'open'

/** The sessions to come, as far as a near plan has them. */
const upcoming = ({ weeks }: Plan): PlannedSession[] => weeks.flatMap(({ places }) => places.filter(isAhead))

const isBegun = (places: PlannedSession[]): boolean => places.some(isAhead) && !places.every(isAhead)

type Asked = Omit<Differing, 'before' | 'after'> & { says: string }

/** What is asked of each slot to come, by where it stands. */
function askedIn({ input }: Seen, plan: Plan | undefined): Map<string, Asked> {
  const asked = new Map<string, Asked>()
  for (const { week, places } of plan?.weeks ?? [])
    for (const { inWeek, name, slots } of places.filter(isAhead))
      for (const slot of slots)
        asked.set(`${week} ${inWeek} ${slot.slot}`, {
          week,
          day: inWeek,
          session: name,
          lift: liftOf(slot),
          says: formatSetsShown(input.library, slot.sets),
        })
  return asked
}

function differing(before: Seen, after: Seen, own: Plan | undefined, next: Plan): Differing[] {
  const [was, is] = [askedIn(before, own), askedIn(after, next)]
  const lines: Differing[] = []
  for (const [at, { says, ...place }] of is) {
    const old = was.get(at)
    if (old?.says !== says || liftKey(old.lift) !== liftKey(place.lift))
      lines.push({ ...place, before: old?.says ?? null, after: says })
  }
  for (const [at, { says, ...place }] of was)
    if (!is.has(at)) lines.push({ ...place, before: says, after: null })
  return lines.sort((a, b) => a.week - b.week || a.day - b.day)
}

function longerOf(before: Seen, after: Seen, own: Plan, next: Plan, template: Template): Impact['longer'] {
  const old = before.input.versions[own.version]
  if (!old) return null
  const { library } = after.input
  const were = new Map(
    own.weeks.flatMap(({ week, places }) =>
      places.map(
        ({ inWeek, session, slots }) =>
          [`${week} ${inWeek}`, minutesOf(library, old, session, slots)] as const,
      ),
    ),
  )
  let longest: Impact['longer'] = null
  for (const { week, places } of next.weeks)
    for (const { inWeek, session, name, slots } of places.filter(isAhead)) {
      const [was, is] = [were.get(`${week} ${inWeek}`), minutesOf(library, template, session, slots)]
      if (was === undefined || is - was < leastLonger) continue
      if (!longest || is - was > longest.after - longest.before)
        longest = { session: name, before: was, after: is }
    }
  return longest
}

function newFindings(before: Seen, after: Seen): FindingSaid[] {
  const nameOfFinding = (one: object) => JSON.stringify(one)
  const had = new Set(findingsOf(before.input, before.planned).map(nameOfFinding))
  return findingsOf(after.input, after.planned)
    .filter((one) => !had.has(nameOfFinding(one)))
    .map(sayFinding)
}

const unique = (lifts: Lift[]): Lift[] => [...new Map(lifts.map((lift) => [liftKey(lift), lift])).values()]

/** Whether the member has a track of their own in the place of the published one. */
function keepsTrack({ input: { enrolments, when }, planned }: Seen, id: Id): boolean {
  const trackIn = (all: readonly Enrolment[]) => {
    const one = all.find((enrolment) => enrolment.id === id)
    return one && (segmentOn(one, when.today).track ?? null)
  }
  const own = trackIn(planned.enrolments)
  return own !== undefined && trackIn(enrolments) !== own
}
