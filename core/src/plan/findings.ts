import { changeOf } from '../adjustments/registry.ts'
import { liftKey, liftName, type Lift } from '../library/index.ts'
import type { SessionLog } from '../member/types.ts'
import { hasComputedLoad } from '../template/computed.ts'
import type { Adjustment, Template } from '../template/types.ts'
import { formatDay, type Day } from '../units/index.ts'
import { isAssumed } from './equipment.ts'
import type { Evidence } from './evidence.ts'
import { freshWeeks, maxFor } from './maxFor.ts'
import { segmentOn, templateOf, type Fold } from './enrolled.ts'
import type { Finding } from './types.ts'

/** What the reader of an enrolment's plan must know beside it. */
export function findingsOf(fold: Fold, evidence: Evidence, today: Day): Finding[] {
  const { version, track } = segmentOn(fold.enrolment, today)
  const template = templateOf(fold, version)
  return [
    ...assumptions(template, evidence),
    ...oldMaxes(template, evidence, today),
    ...bodyMaxes(evidence),
    ...testDay(fold, template, evidence),
    ...goneTrack(template, track),
    ...goneTargets(template, template.tracks[track ?? '']?.changes ?? [], `track ${track}`),
    ...goneTargets(
      template,
      template.phases.flatMap(({ light }) => light),
      'light week',
    ),
    ...goneTargets(template, evidence.own, 'own change'),
  ]
}

export function strayLog(log: SessionLog, isEnrolled: boolean): Finding {
  const what = isEnrolled
    ? `This session names position ${log.position}, which the plan of its day does not have.`
    : `This session belongs to the enrolment "${log.enrolment}", which does not exist.`
  return {
    where: log.id,
    what: `${what} Its sets count as evidence only.`,
    next: 'Correct the session, or leave it as a record.',
  }
}

function assumptions(template: Template, evidence: Evidence): Finding[] {
  const slot = Object.values(template.slots).find((one) => hasComputedLoad(one) && isAssumed(evidence, one))
  if (!slot) return []
  return [
    {
      where: liftName(slot),
      what: 'Nobody has listed what can be loaded here: the usual bar, plates, dumbbells and stacks are assumed.',
      next: 'List the equipment of the place.',
    },
  ]
}

/** Maxes that loads are read from although they are older than the template trusts. */
function oldMaxes(template: Template, evidence: Evidence, today: Day): Finding[] {
  const lifts = new Map<string, Lift>()
  for (const slot of Object.values(template.slots)) if (hasComputedLoad(slot)) lifts.set(liftKey(slot), slot)
  return [...lifts.values()].flatMap((lift) => {
    const max = maxFor(evidence, lift, template.maxes, today)
    if (max?.staleWeeks === undefined) return []
    const trusted = template.maxes.fresh ?? freshWeeks
    return [
      {
        where: liftName(lift),
        what: `The ${liftName(lift).toLowerCase()} max is from ${formatDay(max.date)}, ${max.staleWeeks} weeks ago; this program trusts ${trusted}.`,
        next: 'Test it when it suits, or accept an estimate from training.',
      },
    ]
  })
}

/** Maxes of body-weight lifts that say nothing as they stand. */
const bodyMaxes = ({ waiting, impossible }: Evidence): Finding[] => [
  ...waiting.map((max) => ({
    where: liftName(max),
    what: `The ${liftName(max).toLowerCase()} max of ${formatDay(max.date)} goes on top of a body weight, and none is known: it counts for nothing yet.`,
    next: 'Enter the body weight.',
  })),
  ...impossible.map((id) => ({
    where: id,
    what: 'This max took more help than the body weighs: it counts for nothing.',
    next: 'Correct the help, or the body weight.',
  })),
]

/** A countdown needs a test day that lies after its start, and weeks that keep to their dates. */
function testDay({ enrolment, state }: Fold, { phases }: Template, { testDay: day }: Evidence): Finding[] {
  const phase = phases.find(({ ends }) => ends)
  if (!phase) return []
  const where = phase.name
  const start = enrolment.segments[0]?.from ?? ''
  const made: Finding[] = []
  if (!day)
    made.push({
      where,
      what: 'This phase is counted back from a test day, and none is known: its last week is taken for the week of the test.',
      next: 'Enter the test day.',
    })
  else if (day < start)
    made.push({
      where,
      what: `The test day, ${formatDay(day)}, lies before the start, ${formatDay(start)}: the phase’s last week is taken for its week.`,
      next: 'Move the test day.',
    })
  else if (!state.course.begun.includes(phase.id) && state.course.nextFrom && day < state.course.nextFrom)
    made.push({
      where,
      what: `The test day, ${formatDay(day)}, comes before this phase has begun: there is nothing left to count back.`,
      next: 'Move the test day, or shorten what stands before it.',
    })
  if (enrolment.clock === 'own')
    made.push({
      where,
      what: 'What is counted back from a test day keeps to dates: the weeks end on their dates here.',
      next: 'Put the member on the calendar clock.',
    })
  return made
}

function goneTrack({ tracks }: Template, track: string | undefined): Finding[] {
  if (track === undefined || tracks[track]) return []
  return [
    {
      where: track,
      what: 'This version does not have the track: the template is followed as it is written.',
      next: 'Choose another track.',
    },
  ]
}

/** Adjustments that name a slot, a session or a phase which the version no longer has are kept, and do nothing. */
function goneTargets({ slots, sessions, phases }: Template, changes: Adjustment[], whose: string): Finding[] {
  const known = (id: string): boolean => Object.hasOwn(slots, id)
  return changes.flatMap(({ id, do: change, where }) => {
    const gone = [
      ...(where.slots ?? []).filter((one) => !known(one)),
      ...(changeOf[change.kind].names?.(change) ?? []).filter((one) => !known(one)),
      ...(where.sessions ?? []).filter((one) => !sessions[one]),
      ...(where.phases ?? []).filter((one) => !phases.some((phase) => phase.id === one)),
    ]
    if (!gone.length) return []
    return [
      {
        where: `${whose}, ${id}`,
        what: `"${gone.join('", "')}" is not in this version: the change is kept and does nothing there.`,
        next: 'Point it at something else, or remove it.',
      },
    ]
  })
}
