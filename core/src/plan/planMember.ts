import { placesOf, type Place } from '../calendar/places.ts'
import { liftName } from '../library/index.ts'
import type { Enrolment, Member, SessionLog } from '../member/types.ts'
import { hasComputedLoad } from '../template/computed.ts'
import type { Id, Template } from '../template/types.ts'
import type { Day } from '../units/index.ts'
import { isAssumed } from './equipment.ts'
import { learnFact, learnSession, noEvidence, type Evidence } from './evidence.ts'
import { assume, plannedSlot, replay, startFold, versionOn, type Fold } from './fold.ts'
import { prescribe } from './prescribe.ts'
import { timeline } from './timeline.ts'
import type { Finding, Plan, PlannedSession, PlannedWeek } from './types.ts'

/** How far to write a plan out: the plan's week that is running, or every week, past and ahead. */
export type When = { today: Day; through: 'week' | 'end' }

export type Planned = { plans: Record<Id, Plan>; evidence: Evidence; findings: Finding[] }

/**
 * A member's plans, computed from dated facts and logs and the versions that the enrolments name. The same input gives the
 * same plan, to the last plate, in whatever order the entries came. Nothing here validates: templates and members have
 * been read.
 *
 *     facts, logs ─ timeline ─┬─ evidence ───────────┐
 *                             └─ replay ─ progress ──┴─ prescribe: row → rule → adjust → round ─ plan
 */
export function planMember(
  member: Member,
  enrolments: Enrolment[],
  versions: Record<Id, Template>,
  when: When,
): Planned {
  const { happenings, findings } = timeline(member, when.today)
  const folds = new Map(enrolments.map((enrolment) => [enrolment.id, startFold(enrolment)]))
  let evidence = noEvidence
  for (const happening of happenings) {
    if ('fact' in happening) {
      evidence = learnFact(evidence, happening.fact)
      continue
    }
    const { log, isOver } = happening
    const fold = folds.get(log.enrolment)
    const after = fold && replay(fold, versionOf(fold.enrolment, versions, log.date), log, evidence, isOver)
    if (after) folds.set(log.enrolment, after)
    else findings.push(strayLog(log, fold !== undefined))
    evidence = learnSession(evidence, log)
  }
  const plans: Record<Id, Plan> = {}
  for (const [id, fold] of folds) {
    const template = versionOf(fold.enrolment, versions, when.today)
    plans[id] = writeOut(fold, template, evidence, when)
    findings.push(...assumptions(template, evidence))
  }
  return { plans, evidence, findings }
}

function versionOf(enrolment: Enrolment, versions: Record<Id, Template>, day: Day): Template {
  const version = versionOn(enrolment, day)
  const template = versions[version]
  if (!template) throw new Error(`unknown version "${version}" of enrolment "${enrolment.id}"`)
  return template
}

/** Writes the plan's weeks: places trained as they were, places ahead as if each one before them were a hit. */
function writeOut(fold: Fold, template: Template, evidence: Evidence, { today, through }: When): Plan {
  const places = placesOf(template)
  const next = places.find(({ position }) => !fold.state.places[position])
  const lastWeek = places[places.length - 1]?.week ?? 0
  const running = (next ?? places[places.length - 1])?.week ?? 1
  const weeks = new Map<number, PlannedWeek>()
  let state = fold.state
  for (const place of places) {
    if (through === 'week' && place.week > running) break
    const trained = fold.trained.get(place.position)
    const isWanted = through === 'end' || place.week === running
    if (trained && (state.places[place.position] || !isWanted)) {
      if (isWanted) weekOf(weeks, place).places.push(trained())
      continue
    }
    const asked = prescribe({ template, state, evidence }, place)
    state = assume(template, state, place, asked, evidence)
    const status = place === next ? 'next' : 'ahead'
    const slots = asked.map((prescribed) => plannedSlot(prescribed, evidence))
    if (isWanted)
      weekOf(weeks, place).places.push(trained?.() ?? describeAhead(template, place, status, slots))
  }
  return {
    enrolment: fold.enrolment.id,
    version: versionOn(fold.enrolment, today),
    start: fold.enrolment.segments[0]?.from ?? today,
    weeks: [...weeks.values()],
    next: next?.position ?? null,
    lastWeek,
  }
}

function describeAhead(
  template: Template,
  place: Place,
  status: 'next' | 'ahead',
  slots: PlannedSession['slots'],
): PlannedSession {
  const name = template.sessions[place.session]?.name ?? place.session
  return { position: place.position, inWeek: place.inWeek, session: place.session, name, status, slots }
}

function weekOf(weeks: Map<number, PlannedWeek>, { week, phase, phaseWeek }: Place): PlannedWeek {
  const made = weeks.get(week) ?? {
    week,
    phase: phase.id,
    phaseName: phase.name,
    phaseWeek,
    light: phase.light.some(({ where }) => where.weeks?.includes(phaseWeek)),
    places: [],
  }
  weeks.set(week, made)
  return made
}

function strayLog(log: SessionLog, isEnrolled: boolean): Finding {
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
