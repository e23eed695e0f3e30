import { ownLocation } from '@young-oak/api/equipment'
import type { MemberFile } from '@young-oak/api/members'
import type { ChangesView, TodayView } from '@young-oak/api/training'
import { findingsOf, sayFinding, toldToMember } from '@young-oak/core/checks'
import type { SessionLog } from '@young-oak/core/member'
import { isOfDay, planMember, type Plan, type Planned, type PlannedSession } from '@young-oak/core/plan'
import { addDays, type Day } from '@young-oak/core/units'
import type { MemberScope } from '../members/memberScope.ts'
import { listProposals } from '../maxes/service.ts'
import { readChanges, readMemberFile, type Read } from './memberFile.ts'
import { newVersionOf } from './newVersion.ts'
import { inputOf } from './planInput.ts'
import { keepCheckpoints } from './store.ts'

/** A member's own screen on a day. */
export async function today(scope: MemberScope, day: Day, at?: string): Promise<TodayView> {
  const { read, planned } = await planNear(scope, day, at)
  const { file, locations, lets } = read
  const { member, enrolments, versions } = file
  const { plans, evidence, proposals, waiting } = planned
  const own = enrolments.flatMap(({ id }) => plans[id] ?? []).filter((plan) => isOfDay(plan, day))
  const programs = own.map((plan) => {
    const template = versions[plan.version]
    const track = template?.tracks[plan.track ?? '']?.name
    const next = waiting.find(({ after }) => after === plan.enrolment)?.segments.at(-1)?.version
    const changed = newVersionOf(read, plan, day)
    return {
      enrolment: plan.enrolment,
      name: template?.name ?? '',
      ...(template?.note && { note: template.note }),
      ...(track && { track }),
      ...(next && { next: versions[next]?.name ?? '' }),
      ...(changed && { changed }),
      plan: withoutOldSteps(opened(plan, lets[plan.enrolment]?.opens ?? null), day),
    }
  })
  const near = member.logs.filter(({ date, closed }) => date >= (closed ? day : addDays(day, -7)))
  return {
    programs,
    enrolments,
    logs: near.map(withoutShown),
    evidence,
    findings: toldToMember(
      findingsOf(inputOf(scope, file, { today: day, through: 'near', at }), planned),
    ).map(sayFinding),
    proposals: listProposals(scope, proposals),
    unconfirmed: unconfirmedIn(planned, file),
    locations: evidence.equipment[ownLocation]
      ? [...locations, { id: ownLocation, name: 'My own' }]
      : locations,
  }
}

/** What was written for a member after a revision. The gym's own equipment comes with its locations, not as facts. */
export async function changes(scope: MemberScope, since: number): Promise<ChangesView> {
  const { file, locations, revision, gymRevision } = await readChanges(scope, since)
  const { member, enrolments } = file
  return {
    revision,
    gymRevision,
    facts: member.facts.filter(({ id }) => !id.startsWith('location:')),
    sessions: member.logs,
    enrolments,
    locations,
  }
}

/** What was shown stands in the plan; the log says what was done. */
const withoutShown = ({ shown: _, ...log }: SessionLog): SessionLog => log

/** The sessions whose day waits for the member's word, by the names that they have in their versions. */
const unconfirmedIn = ({ setAside }: Planned, { member, versions }: MemberFile): TodayView['unconfirmed'] =>
  setAside.ahead.flatMap(({ id, date, waits }) => {
    const shown = waits && member.logs.find((log) => log.id === id)?.shown
    if (!shown) return []
    return [
      { session: id, name: versions[shown.version]?.sessions[shown.at.session]?.name ?? 'Session', date },
    ]
  })

/** The weeks that a member may see: those behind, the running one, and so many ahead of it; all where nothing is said. */
function opened(plan: Plan, opens: number | null): Plan {
  if (opens === null) return plan
  const running = plan.weeks.findIndex(({ places }) => places.some(({ position }) => position === plan.next))
  return running < 0 ? plan : { ...plan, weeks: plan.weeks.slice(0, running + 1 + opens) }
}

/** The plan for a phone: of sessions on an earlier day, what was asked and what became of it, and nothing that nobody reads any more. */
function withoutOldSteps(plan: Plan, day: Day): Plan {
  const lean = (place: PlannedSession): PlannedSession =>
    place.status !== 'trained' || place.date === undefined || place.date >= day
      ? place
      : {
          ...place,
          slots: place.slots.map(({ warmUps: _, done: __, last: ___, ...slot }) => ({
            ...slot,
            sets: slot.sets.map((prescribed) => ({ ...prescribed, why: [] })),
          })),
        }
  return { ...plan, weeks: plan.weeks.map((week) => ({ ...week, places: week.places.map(lean) })) }
}

/**
 * The weeks around a day, planned from the member's checkpoint where it holds, and else from everything; the next checkpoint
 * is kept.
 */
export async function planNear(
  scope: MemberScope,
  day: Day,
  at?: string,
): Promise<{ read: Read; planned: Planned }> {
  const plan = ({ file, checkpoint }: Read) =>
    planMember(inputOf(scope, file, { today: day, through: 'near', at }), checkpoint)
  let read = await readMemberFile(scope, { day, through: 'near' })
  let planned = plan(read)
  const kept = read.checkpoint
  if (kept && !planned.isResumed) {
    read = await readMemberFile(scope)
    planned = plan(read)
  }
  const { checkpoint } = planned
  if (checkpoint && (!planned.isResumed || checkpoint.through !== kept?.through))
    await keepCheckpoints('near', [{ scope, checkpoint, read }])
  return { read, planned }
}
