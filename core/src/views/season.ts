import type { Id } from '../parsing/index.ts'
import { placesOf, rowOnPaper, type Place } from '../calendar/index.ts'
import {
  actsOn,
  isFor,
  mayAct,
  type SetsDraft,
  type LineDraft,
  changeOf,
  slotSpot,
} from '../adjustments/index.ts'
import { kindOf } from '../goals/index.ts'
import { exerciseOf, type Lift, type Library } from '../library/index.ts'
import { ruleOf } from '../progressions/index.ts'
import {
  inherit,
  rulesOf,
  slotsOf,
  type Circuit,
  type SetPrescription,
  type Template,
} from '../template/index.ts'
import { lowest } from '../units/index.ts'
import { acting, trackChanges, type Authored } from '../plan/index.ts'
import { minutesOf } from './minutes.ts'

/** A week of a template as the season strip draws it. */
export type WeekSummary = {
  week: number
  phase: Id
  phaseName: string
  phaseWeek: number
  deload: boolean
  /** Hard sets of all its places, after deload changes. */
  sets: number
  /** Some of them are a rule's to write, so that they are only about as many. */
  isAbout: boolean
  /** Mean percent of the 1RM over the sets that state one, or null where none does. */
  intensity: number | null
  /** Sets × reps × percent of the 1RM, in maxes lifted, over the sets that state a percent; null where none does. */
  work: number | null
  /** What its longest session takes, about: warm-ups are not in it. */
  minutes: number
}

/** Sums up each week of a template as it is written, or as a track has it, for nobody in particular. */
export function seasonOf(library: Library, template: Template, track: Id | null = null): WeekSummary[] {
  const weeks = new Map<number, WeekSummary & { weighed: number; percents: number }>()
  for (const place of placesOf(template, track ?? '')) {
    const { week, phase, phaseWeek } = place
    const deload = phase.deloads.some(
      ({ where }) =>
        isFor(where, { track }) &&
        mayAct(
          { ...where, sessions: undefined, inWeek: undefined },
          { phase: phase.id, phaseWeek, toTest: place.toTest },
        ),
    )
    const sum = weeks.get(week) ?? {
      week,
      phase: phase.id,
      phaseName: phase.name,
      phaseWeek,
      deload,
      sets: 0,
      isAbout: false,
      intensity: null,
      work: null,
      minutes: 0,
      weighed: 0,
      percents: 0,
    }
    const asked = slotsAt(library, template, place, track)
    for (const { sets, percent, lifts } of asked.flatMap((one) => hardOf(library, one))) {
      sum.sets += sets
      if (percent === null) continue
      sum.weighed += sets
      sum.percents += sets * percent
      sum.work = (sum.work ?? 0) + (sets * lifts * percent) / 100
    }
    sum.minutes = Math.max(sum.minutes, minutesOnPaper(library, template, place.session, asked))
    sum.isAbout ||= hasSetsByRule(template, place.session)
    weeks.set(week, sum)
  }
  return [...weeks.values()].map(({ weighed, percents, ...week }) => ({
    ...week,
    intensity: weighed ? percents / weighed : null,
  }))
}

function hasSetsByRule({ sessions, slots, progressions }: Template, session: Id): boolean {
  return (sessions[session] ? slotsOf(sessions[session]) : []).some((id) =>
    slots[id]?.uses.some(({ progression }) =>
      rulesOf(progressions[progression]).some(({ rule }) => ruleOf[rule].writes.includes('sets')),
    ),
  )
}

/** What of a slot counts as hard sets: conditioning has minutes of its own and is none. */
const hardOf = (library: Library, { lift, prescriptions }: Asked): SetsAsked[] =>
  prescriptions.filter(
    ({ prescribed }) => exerciseOf(library, prescribed.lift ?? lift).pattern !== 'conditioning',
  )

type Asked = { id: Id; lift: Lift; circuit?: Circuit; prescriptions: SetsAsked[] }
type SetsAsked = { prescribed: SetPrescription; sets: number; percent: number | null; lifts: number }

/** What each slot of a place asks, after what the track and deloads change of it. */
function slotsAt(library: Library, template: Template, place: Place, track: Id | null): Asked[] {
  const { phase, phaseWeek, toTest, inWeek } = place
  const deload = phase.deloads
    .filter(({ where }) => isFor(where, { track }))
    .map((adjustment): Authored => ({
      adjustment,
      author: 'deload',
      label: 'deload',
    }))
  const all = [...trackChanges(template, track), ...deload]
  const spot = {
    phase: phase.id,
    phaseWeek,
    inWeek,
    session: place.session,
    ...(toTest !== undefined && { toTest }),
  }
  const session = template.sessions[place.session]
  let lines: LineDraft[] = (session ? slotsOf(session) : []).map((id) => ({ id }))
  for (const { adjustment, label } of all) {
    const { onSession } = changeOf[adjustment.do.kind]
    if (onSession && actsOn(adjustment.where, spot))
      lines = onSession(lines, adjustment.do, label)?.now ?? lines
  }
  return lines.flatMap(({ id }) => {
    const own = slotSpot(library, spot, id, template.slots[id] ?? noLift)
    return slotAt(library, template, place, id, acting(all, own))
  })
}

function slotAt(library: Library, template: Template, place: Place, id: Id, changes: Authored[]): Asked[] {
  const slot = template.slots[id]
  let line: LineDraft | null = slot ? { id } : null
  for (const {
    adjustment: { do: change },
    label,
  } of changes) {
    const made: { now: LineDraft | null } | null | undefined =
      line && changeOf[change.kind].onSlot?.(line, change, label, library)
    if (made) line = made.now
  }
  if (!slot || !line) return []
  const row = slot.rows[place.phase.id]?.[rowOnPaper(slot, place)] ?? []
  const prescriptions = inherit(row, template.sessions[place.session], place.phase, place.phaseWeek).map(
    (prescribed): SetsAsked => {
      const stated = percentOf(template, prescribed)
      const { sets, percent, scale } = changes.reduce<SetsDraft>(
        (draft, { adjustment: { do: change }, label }) =>
          changeOf[change.kind].onSets?.(draft, change, label)?.now ?? draft,
        { sets: hardSets(prescribed), percent: stated?.percent ?? null, scale: 100 },
      )
      const reps = kindOf(prescribed.goal).reps(prescribed.goal)
      return {
        prescribed,
        sets,
        percent: stated && percent !== null ? (percent * scale * stated.of) / 10000 : null,
        lifts: reps === null ? 0 : lowest(reps),
      }
    },
  )
  return [{ id, lift: line.lift ?? slot, ...(slot.circuit && { circuit: slot.circuit }), prescriptions }]
}
const noLift: Lift = { exercise: 'plank' }

/** A session's minutes as it is written, without warm-ups. */
function minutesOnPaper(library: Library, template: Template, session: Id, asked: Asked[]): number {
  const slots = asked.map(({ id, lift, circuit, prescriptions }) => ({
    slot: id,
    exercise: lift.exercise,
    ...(circuit && { circuit }),
    sets: prescriptions.map(({ prescribed, sets }) => ({
      ...prescribed,
      sets: kindOf(prescribed.goal).logs(prescribed.goal) === 'reps' ? sets : prescribed.sets,
      reps: null,
    })),
  }))
  return minutesOf(library, template, session, slots)
}

/** Hard sets that a prescription counts as: none where nothing is counted in reps. */
function hardSets({ sets, goal }: SetPrescription): number {
  const kind = kindOf(goal)
  return kind.logs(goal) === 'reps' ? sets * (kind.countsAs?.(goal) ?? 1) : 0
}

/** Of a band the middle. */
const middleOf = ({ percent, to = percent }: { percent: number; to?: number }): number => (percent + to) / 2

/** The percent that a prescription states, and of what percent of the 1RM it is one. */
function percentOf(
  { trainingMax = 100 }: Template,
  { load }: SetPrescription,
): { percent: number; of: number } | null {
  if (load.of === 'max') return { percent: middleOf(load), of: 100 }
  if (load.of === 'trainingMax') return { percent: middleOf(load), of: trainingMax }
  return null
}
