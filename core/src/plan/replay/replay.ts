import type { Spot } from '../../adjustments/index.ts'
import { liftOf, type Library } from '../../library/index.ts'
import { changingPauses, type Pause } from '../../facts/index.ts'
import { backBy } from '../state/backBy.ts'
import type { Id } from '../../parsing/index.ts'
import type { Place } from '../../calendar/index.ts'
import type { SessionLog, SetLog } from '../../member/index.ts'
import type { Slot } from '../../template/index.ts'
import type { Day } from '../../units/index.ts'
import { advance } from './advance.ts'
import { changesOf, pauseChanges, type Authored } from '../compile/changes.ts'
import { programOf } from '../compile/program.ts'
import { segmentOn, templateOf, type Fold, type Outcome } from '../state/fold.ts'
import { loadingAt, type Evidence } from '../../evidence/index.ts'
import { followToday } from '../prescribe/onTheBar.ts'
import { prescribe, recall } from '../prescribe/prescribe.ts'
import type { Prescribed, Situation } from '../state/situation.ts'
import { judge, setsOf } from './verdict.ts'
import { reach } from './reach.ts'

/**
 * Replays one logged session: what would have been asked, what was shown, the verdicts, and, once it is over, what the
 * rules make of it. False when the log names a place that the plan of its day does not have.
 */
export function replay(fold: Fold, log: SessionLog, evidence: Evidence, isOver: boolean): boolean {
  const place = reach(fold, log, evidence)
  if (!place) return false
  const situation = situationAt(fold, place, log.date, evidence, log)
  const asked = log.shown ? recall(situation, log.shown) : prescribe(situation).slots
  const named = withLiftsAsked(log, asked)
  const bySlot = setsBySlot(named)
  const outcomes: Outcome[] = []
  for (const prescribed of followed(fold.library, asked, named, bySlot, evidence))
    outcomes.push(outcome(prescribed, named, bySlot))
  fold.trained.push({ place, log: named, isOver, outcomes, evidence })
  if (isOver) advance(situation, outcomes, log.date, log.answers)
  return true
}

/** What a place of the running week is prescribed from, on a day. */
export function situationAt(
  fold: Fold,
  place: Place,
  day: Day,
  evidence: Evidence,
  log?: SessionLog,
  at: Id | undefined = log?.location,
): Situation {
  const { library, state, versions } = fold
  const running = state.course.running
  const version = log?.shown && versions[log.shown.version] ? log.shown.version : running?.version
  const template = templateOf(fold, version ?? segmentOn(fold.enrolment, day).version)
  const back = backBy(state, template, evidence, fold.enrolment.id, place.week, day)
  const planned = changesOf(template, evidence, place.phase, running ?? noWeek, back)
  const paused = evidence.pauses.length ? changingPauses(evidence.pauses, fold.enrolment.id) : noPause
  const changes = paused.length ? [...planned, ...pauseChanges(paused)] : planned
  const { phase, phaseWeek, toTest, inWeek, session } = place
  const spot: Spot = { phase: phase.id, phaseWeek, toTest, inWeek, day, session, slot: undefined }
  const program = programOf(template)
  return {
    library,
    template,
    program,
    enrolment: fold.enrolment.id,
    state,
    evidence,
    place,
    day,
    spot,
    changes,
    back,
    at,
  }
}

const noPause: Pause[] = []
const noWeek: Parameters<typeof changesOf>[3] = { track: null, deload: null }

/** A situation as it would be under other changes. */
export const withChanges = (situation: Situation, changes: Authored[]): Situation => ({
  ...situation,
  changes,
})

/** What was asked, with the loads that follow today's top set worked out from what was lifted. */
function followed(
  library: Library,
  asked: Prescribed[],
  log: SessionLog,
  bySlot: SetsBySlot,
  evidence: Evidence,
): Prescribed[] {
  if (!asked.some(({ prescriptions }) => prescriptions.some(({ today }) => today))) return asked
  const session = asked.map(({ id, slot, prescriptions }) => ({
    slot: id,
    lift: slot,
    prescriptions,
    sets: setsIn(bySlot, id),
  }))
  const slotOf = new Map(asked.map(({ id, slot }) => [id, slot]))
  const followed = followToday(session, (id) =>
    loadingAt(library, evidence, log.location, slotOf.get(id) as Slot),
  )
  return asked.map((prescribed, i) => ({
    ...prescribed,
    prescriptions: followed[i] ?? prescribed.prescriptions,
  }))
}

/** A set that names no exercise was the one that was asked: the lift whose turn it was, at its range, or the line of the circuit. */
function withLiftsAsked(log: SessionLog, asked: Prescribed[]): SessionLog {
  if (!log.sets.some(({ asAsked }) => asAsked)) return log
  const sets = log.sets.map((set) => {
    const own = set.asAsked && asked.find(({ id }) => id === set.slot)
    if (!own) return set
    const lift =
      own.prescriptions.find((one) => setsOf(own.prescriptions, one, [set]).length)?.lift ?? own.slot
    const { exercise: _, variant: __, asAsked: ___, ...rest } = set
    return { ...rest, ...liftOf(lift) }
  })
  return { ...log, sets }
}

function outcome(prescribed: Prescribed, log: SessionLog, bySlot: SetsBySlot): Outcome {
  const { id, slot, prescriptions, deload } = prescribed
  const done = setsIn(bySlot, id)
  const { verdict, because } = judge(log.shown?.slots[id] ?? slot, prescriptions, done, deload)
  const made: Outcome = { prescribed, done, verdict }
  if (because) made.because = because
  return made
}

/** The sets of a session by slot, each slot's by number. */
type SetsBySlot = Map<Id, SetLog[]>
const noSets: SetLog[] = []
const setsIn = (bySlot: SetsBySlot, slot: Id): SetLog[] => bySlot.get(slot) ?? noSets

const isInOrder = ({ n }: SetLog, i: number, sets: SetLog[]): boolean =>
  i === 0 || (sets[i - 1] as SetLog).n <= n

function setsBySlot({ sets }: SessionLog): SetsBySlot {
  const bySlot: SetsBySlot = new Map()
  for (const set of sets) {
    const own = bySlot.get(set.slot)
    if (own) own.push(set)
    else bySlot.set(set.slot, [set])
  }
  for (const own of bySlot.values()) if (!own.every(isInOrder)) own.sort((a, b) => a.n - b.n)
  return bySlot
}
