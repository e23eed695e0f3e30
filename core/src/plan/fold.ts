import { placesOf, type Place } from '../calendar/places.ts'
import type { Enrolment, SessionLog, SetLog } from '../member/types.ts'
import type { Id, Template } from '../template/types.ts'
import type { Day } from '../units/index.ts'
import { loadingAt } from './equipment.ts'
import { maxFor, type Evidence } from './evidence.ts'
import { landAtHome, prescribe, type Prescribed } from './prescribe.ts'
import { progress, type Fed } from './progress.ts'
import { rowsKey, startState, type FoldState } from './state.ts'
import type { PlannedSession, PlannedSlot } from './types.ts'
import { judge, settle, type Verdict } from './verdict.ts'

/** One enrolment on its way through the timeline; what was trained is described only if somebody looks. */
export type Fold = { enrolment: Enrolment; state: FoldState; trained: Map<number, () => PlannedSession> }

export const startFold = (enrolment: Enrolment): Fold => ({
  enrolment,
  state: startState,
  trained: new Map(),
})

/** What became of a slot, with what its rule is told. */
type Outcome = { prescribed: Prescribed; verdict: Verdict; done: SetLog[] }

/** The version in force on a day: the last segment that has begun, or the first where none has. */
export function versionOn({ segments }: Enrolment, day: Day): Id {
  const begun = segments.filter(({ from }) => from <= day)
  const segment = begun[begun.length - 1] ?? segments[0]
  if (!segment) throw new Error('missing segment: an enrolment needs at least one')
  return segment.version
}

/**
 * Replays one logged session: what would have been asked, what was shown, the verdicts, and, once it is closed, what the
 * rules make of it. Returns the fold after it, or null when the log names a place that the version does not have.
 */
export function replay(
  fold: Fold,
  template: Template,
  log: SessionLog,
  evidence: Evidence,
  isOver: boolean,
): Fold | null {
  const place = placesOf(template)[log.position - 1]
  if (!place) return null
  const asked = prescribe({ template, state: fold.state, evidence, at: log.place }, place, log.shown)
  const outcomes = asked.map((prescribed) => outcome(prescribed, log))
  fold.trained.set(log.position, () => describe(template, place, outcomes, evidence, log, isOver))
  return isOver
    ? { ...fold, state: advance(template, fold.state, place, outcomes, evidence, log.date) }
    : fold
}

/** The state after a place, were every set of it done as asked: how plans look ahead. */
export function assume(
  template: Template,
  state: FoldState,
  place: Place,
  asked: Prescribed[],
  evidence: Evidence,
): FoldState {
  const outcomes = asked.map((prescribed): Outcome => {
    const { groups, light } = prescribed
    const verdict = light
      ? 'light'
      : groups.some(({ missing, short }) => missing || short)
        ? 'not comparable'
        : 'hit'
    return { prescribed, verdict, done: [] }
  })
  return advance(template, state, place, outcomes, evidence, null)
}

/** A slot of a plan, before it is trained. */
export function plannedSlot(
  { id, letter, slot, light, groups, needs }: Prescribed,
  evidence: Evidence,
): PlannedSlot {
  const { exercise, variant, note } = slot
  const last = evidence.last[variant ? `${exercise}/${variant}` : exercise]
  return {
    slot: id,
    exercise,
    ...(variant && { variant }),
    letter,
    ...(note && { note }),
    light,
    groups,
    needs,
    ...(last && { last }),
  }
}

function outcome(prescribed: Prescribed, log: SessionLog): Outcome {
  const { id, slot, groups, light } = prescribed
  const done = log.sets.filter((set) => set.slot === id).sort((a, b) => a.n - b.n)
  return { prescribed, done, verdict: judge(log.shown?.slots[id] ?? slot, groups, done, light) }
}

function describe(
  template: Template,
  place: Place,
  outcomes: Outcome[],
  evidence: Evidence,
  log: SessionLog,
  isOver: boolean,
): PlannedSession {
  const isSkipped = outcomes.every(({ verdict }) => verdict === 'skip')
  return {
    position: place.position,
    inWeek: place.inWeek,
    session: place.session,
    name: template.sessions[place.session]?.name ?? place.session,
    status: !isOver ? 'open' : isSkipped ? 'skipped' : 'trained',
    date: log.date,
    log: log.id,
    slots: outcomes.map(({ prescribed, verdict, done }) => ({
      ...plannedSlot(prescribed, evidence),
      verdict,
      done,
    })),
  }
}

function advance(
  template: Template,
  state: FoldState,
  place: Place,
  outcomes: Outcome[],
  evidence: Evidence,
  date: Day | null,
): FoldState {
  const worked = outcomes.filter(({ verdict }) => verdict !== 'skip')
  const rows = { ...state.rows }
  for (const { prescribed, verdict } of worked) {
    if (verdict === 'light') continue
    const key = rowsKey(place.phase.id, prescribed.id)
    rows[key] = [...new Set([...(rows[key] ?? []), prescribed.row])]
  }
  const places = {
    ...state.places,
    [place.position]: worked.length ? ('trained' as const) : ('skipped' as const),
  }
  return worked.reduce((before, outcome) => feed(template, before, outcome, evidence, date), {
    ...state,
    rows,
    places,
  })
}

/** Tells a slot's rule about the session; slots of one progression are told in the order of the session. */
function feed(
  template: Template,
  state: FoldState,
  { prescribed, verdict }: Outcome,
  evidence: Evidence,
  date: Day | null,
): FoldState {
  const { slot, groups } = prescribed
  const shown = groups.find(({ ruled }) => ruled)?.ruled
  if (!slot.follows || !shown) return state
  const counted = settle(verdict, shown, prescribed.ruled ?? shown)
  if (!counted) return state
  const { progression, role } = slot.follows
  const fed: Fed = { progression, lift: slot, exposure: { date, role, ...counted } }
  const { unit } = loadingAt(evidence, undefined, slot).here
  return progress(
    template,
    state,
    fed,
    { max: maxFor(evidence, slot), unit },
    { unit, land: landAtHome(evidence, slot) },
  )
}
