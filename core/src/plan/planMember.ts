import type { Supposed } from '../assumptions/registry.ts'
import { liftKey, type Lift } from '../library/index.ts'
import type { Enrolment, Member } from '../member/types.ts'
import type { Id, Template } from '../template/types.ts'
import type { Day } from '../units/index.ts'
import {
  boundariesFrom,
  checkpointAt,
  covers,
  resume,
  type Boundary,
  type Checkpoint,
  type Start,
} from './checkpoint.ts'
import { learnFact, learnSession, type Evidence } from './evidence.ts'
import { findingsOf, strayLog } from './findings.ts'
import { copyFold, segmentOn, templateOf, type Fold } from './enrolled.ts'
import { replay } from './fold.ts'
import { isBetweenWeeks, keepDates } from './weeks.ts'
import { asksLightOf, offersOf, type Offer } from './offers.ts'
import { proposalsOf, type Proposal } from './proposals.ts'
import { timeline, type Happening } from './timeline.ts'
import type { Finding, Plan } from './types.ts'
import { writeOut } from './writeOut.ts'

/** How far to write a plan out: every week; the one that is running, with the one after and the one last trained in; or as far as a week of a phase. */
export type When = {
  today: Day
  through: 'near' | 'end' | { phase: Id; phaseWeek: number }
  /** Where the next session will be trained; home when it is not said. */
  at?: Id
  /** What the weeks to come are supposed to bring, for a preview; every set done as asked where nothing is said. */
  suppose?: Supposed
}

export type Planned = {
  plans: Record<Id, Plan>
  evidence: Evidence
  /** Maxes to accept, or leave. */
  proposals: Proposal[]
  findings: Finding[]
  /** Lifts that have outgrown their rule, with what they may go on to. */
  offers: Offer[]
  /** Lifts whose rule asks for a light week. */
  asksLight: Lift[]
  /** Where the next call may take up the thread, if it is to; null where everything is too recent. */
  checkpoint: Checkpoint | null
  /** Whether the checkpoint that was given held, so that no snapshot up to its day was needed. */
  isResumed: boolean
}

/**
 * A member's plans, computed from dated facts and logs and the versions that the enrolments name. The same input gives the
 * same plan, to the last plate, in whatever order the entries came. Nothing here validates: templates and members have
 * been read.
 *
 *     facts, logs ─ timeline ─┬─ evidence ───────────────┐
 *                             └─ replay: judge, progress ─┴─ prescribe: row → source or rule → changes → round ─ plan
 *
 * A checkpoint of an earlier call spares the replay of everything before it. It is taken only if nothing before it has
 * changed since; plans are the same with and without it. It serves `near` plans: what it leaves out is not written out.
 */
export function planMember(
  member: Member,
  enrolments: Enrolment[],
  versions: Record<Id, Template>,
  { today, through, at, suppose }: When,
  checkpoint?: Checkpoint | null,
): Planned {
  const history = timeline(member, today)
  const kept = through === 'near' ? checkpoint : null
  const start = resume(kept, history.happenings, enrolments, versions)
  const near = tell(start, history.happenings, today, through)
  const isResumed = start.from > 0 && covers(start, near.folds)
  const told =
    isResumed || start.from === 0
      ? near
      : tell(resume(null, history.happenings, enrolments, versions), history.happenings, today, through)
  const { folds, evidence, boundaries } = told
  const findings = [...history.findings, ...told.findings]
  const plans: Record<Id, Plan> = {}
  for (const fold of folds) {
    keepDates(fold, today, true, evidence)
    plans[fold.enrolment.id] = writeOut(fold, evidence, { today, through, at, suppose })
    findings.push(...findingsOf(fold, evidence, today))
  }
  const next = through === 'near' ? checkpointAt(boundaries, folds, history.happenings) : null
  const ratios = folds.flatMap((fold) => templateNow(fold, today).maxes.ratios ?? [])
  const proposals = proposalsOf(evidence, ratios, lacking(plans))
  const offers = folds.flatMap((fold) => offersOf(fold, templateNow(fold, today), evidence))
  const asksLight = folds.flatMap((fold) => asksLightOf(fold, templateNow(fold, today)))
  return {
    plans,
    evidence,
    proposals,
    findings,
    offers,
    asksLight,
    checkpoint: next ?? kept ?? null,
    isResumed,
  }
}

/** The lifts whose max a plan asks for. */
function lacking(plans: Record<Id, Plan>): Set<string> {
  const slots = Object.values(plans).flatMap(({ weeks }) =>
    weeks.flatMap(({ places }) => places.flatMap((place) => place.slots)),
  )
  return new Set(
    slots.flatMap(({ needs }) => needs.flatMap(({ need, lift }) => (need === 'max' ? [liftKey(lift)] : []))),
  )
}

const templateNow = (fold: Fold, today: Day): Template =>
  templateOf(fold, segmentOn(fold.enrolment, today).version)

type Told = { evidence: Evidence; folds: Fold[]; boundaries: Boundary[]; findings: Finding[] }

/** Folds what happened, in order, from where the start stands. */
function tell(start: Start, happenings: Happening[], today: Day, through: When['through']): Told {
  const folds = start.folds
  const boundaries: Boundary[] = []
  const findings: Finding[] = []
  const watchFrom = boundariesFrom(today)
  let { evidence } = start
  let before: Day | null = null
  for (let count = start.from; count < happenings.length; count++) {
    const happening = happenings[count] as Happening
    const { day } = happening
    if (
      through === 'near' &&
      before !== null &&
      day > before &&
      before >= watchFrom &&
      folds.some(isBetweenWeeks)
    )
      boundaries.push({ through: before, evidence, folds: folds.map(copyFold), count })
    before = day
    for (const fold of folds) keepDates(fold, day, 'log' in happening, evidence)
    if ('fact' in happening) {
      evidence = learnFact(evidence, happening.fact)
      continue
    }
    const { log, isOver } = happening
    const fold = folds.find(({ enrolment }) => enrolment.id === log.enrolment)
    if (!fold || !replay(fold, log, evidence, isOver)) findings.push(strayLog(log, fold !== undefined))
    evidence = learnSession(evidence, log)
  }
  return { evidence, folds, boundaries, findings }
}
