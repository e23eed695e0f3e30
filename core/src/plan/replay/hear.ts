import { slotWith } from '../../adjustments/index.ts'
import { isDone, loadingAt, topSet } from '../../evidence/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Answers, Exposure, SetSeen } from '../../progressions/index.ts'
import {
  isLighterUse,
  type Fixable,
  type Progression,
  type SetPrescription,
  type Slot,
} from '../../template/index.ts'
import { heavier, lowest, type Day, type Load } from '../../units/index.ts'
import { acting, nameOf, scalesLoads } from '../compile/changes.ts'
import { traitsOf, type Traits } from '../compile/traits.ts'
import { handOf } from '../prescribe/hand.ts'
import { heaviestOf, totalOf } from '../prescribe/onTheBar.ts'
import { stateKey } from '../progress/currentStage.ts'
import { progress, roleAt } from '../progress/progress.ts'
import { ruleInputs } from '../progress/ruleInputs.ts'
import type { Outcome, Verdict } from '../state/fold.ts'
import { spotOf, type Situation } from '../state/situation.ts'
import { progressionKey, type RoleLoad } from '../state/state.ts'
import { ownReps, setsOf } from './verdict.ts'

/** One slot of a session as a progression hears of it. */
type Hearing = { outcome: Outcome; progression: Id; role: string }

/**
 * Tells the progressions about a session. Several slots of one progression, in one role and on one lift, are one exposure: it is judged by the
 * worst of them, the first of those in the order of the session. A muscle's week hears each slot.
 */
export function tellProgressions(
  situation: Situation,
  worked: Outcome[],
  date: Day | null,
  answers: Answers | undefined,
): void {
  const { template, place } = situation
  const heard = new Map<string, Hearing>()
  for (const outcome of worked) {
    const { id, slot } = outcome.prescribed
    for (const use of slot.uses) {
      const role = roleAt(use, place.inWeek)
      const { progression } = use
      if (isLighterUse(template, place.phase.id, id, use)) continue
      const { writesLoad, ofMuscle } = traitsOf(template.progressions[progression])
      if (writesLoad) keepRole(situation, progression, role, outcome, date)
      if (outcome.verdict === 'deload') continue
      const own = ofMuscle ? `/${id}` : ''
      const key = `${stateKey(template.progressions[progression] as Progression, progression, slot)}/${role}${own}`
      const before = heard.get(key)
      if (!before || worst.indexOf(outcome.verdict) < worst.indexOf(before.outcome.verdict))
        heard.set(key, { outcome, progression, role })
    }
  }
  for (const hearing of heard.values()) feed(situation, hearing, date, answers)
}

const worst: Verdict[] = ['miss', 'not comparable', 'hit']

/** Hands an exposure of a slot to its progression. */
function feed(
  situation: Situation,
  { outcome, progression, role }: Hearing,
  date: Day | null,
  answers: Answers | undefined,
): void {
  const { library, template, state, evidence, place } = situation
  const { prescribed, verdict, because, done } = outcome
  const { id, slot, row, prescriptions, first } = prescribed
  const { here, body } = loadingAt(library, evidence, undefined, slot)
  const known = ruleInputs(situation, id, slot, { body, unit: here.unit, first })
  const hand = handOf(library, evidence, slot, template)
  const ruled = prescriptions.find((prescribed) => prescribed.ruled)
  const traits = traitsOf(template.progressions[progression])
  const own = carrier(traits, prescriptions) ?? ruled
  const ownSets = own ? setsOf(prescriptions, own, done) : []
  const exposure: Exposure = {
    date,
    at: { week: place.week, inWeek: place.inWeek },
    role,
    verdict: verdict === 'hit' || verdict === 'miss' ? verdict : 'hold',
    target: ruled?.ruled ?? null,
    asked: own?.reps ?? prescriptions[0]?.reps ?? 1,
    reps: [],
  }
  hearSets(exposure, prescriptions, own, ownSets, done)
  if (because) exposure.because = because
  const lifted = own && liftedAt(own, ownSets)
  if (lifted) exposure.lifted = lifted
  if (traits.readsTop) exposure.top = topSet(ownSets.filter(isDone), body)
  if (traits.hearsSets) exposure.sets = ownSets.flatMap((set) => setSeen(own, set))
  const shown = shownOf(situation, slot, row, own ?? prescriptions[0])
  if (shown) exposure.shown = shown
  if (answers) exposure.answers = answers
  const fixed = fixedIn(slot.rows[place.phase.id]?.[row] ?? [])
  progress(template, state, { progression, lift: slot, exposure, fixed }, known, hand)
}

/** The heaviest load at which the reps asked were done by the lifter alone. */
function liftedAt(own: ShownSets, sets: SetLog[]): Load | null {
  const least = lowest(own.reps ?? 1)
  let lifted: Load | null = null
  for (const set of sets) {
    const { reps = 0 } = ownReps(set)
    const load = totalOf(own, set)
    if (isDone(set) && !set.partial && set.bands === own.bands && reps >= least && load)
      lifted = heavier(lifted, load)
  }
  return lifted
}

/** A set that was done, as a rule compares it with others. */
function setSeen(own: ShownSets | undefined, set: SetLog): SetSeen[] {
  const load = own ? totalOf(own, set) : (set.load ?? null)
  const { reps = set.amount?.value } = ownReps(set)
  if (!isDone(set) || !reps || set.partial || set.bands !== own?.bands) return []
  return [{ load, reps, ...(set.rir !== undefined && { rir: set.rir }) }]
}

/** What was shown of sets and goal, where progressions wrote it. */
function shownOf(
  { place }: Situation,
  slot: Slot,
  row: number,
  own: ShownSets | undefined,
): Exposure['shown'] {
  if (!own?.byRule) return undefined
  const { sets, moreSets = 0, moreReps = 0 } = own.byRule
  const isFixed = slot.rows[place.phase.id]?.[row]?.some(({ fixed }) => fixed)
  if (isFixed) return undefined
  return {
    sets,
    reps: own.reps,
    ...(own.goal && { goal: own.goal }),
    moreSets,
    moreReps,
    ...(slot.variant && { variant: slot.variant }),
  }
}

/** What the writer has fixed in a row where rules would write their own. */
const fixedIn = (row: SetPrescription[]): readonly Fixable[] =>
  row.some(({ fixed }) => fixed) ? row.flatMap(({ fixed }) => fixed ?? []) : nothing
const nothing: readonly Fixable[] = []

/** The prescription whose goal a progression without loads writes. */
function carrier({ rules, writesLoad }: Traits, prescriptions: ShownSets[]): ShownSets | undefined {
  if (writesLoad) return undefined
  return prescriptions.find(({ goal, reps }) =>
    rules.some(({ carriedBy }) => carriedBy?.fits(goal ?? { reps: reps ?? 1 })),
  )
}

/** What the sets of a slot tell its rule: those of the prescription that it loads, or whose goal it writes. */
function hearSets(
  exposure: Exposure,
  prescriptions: ShownSets[],
  own: ShownSets | undefined,
  ownSets: SetLog[],
  done: SetLog[],
): void {
  const sets: SetLog[] = []
  let hasRir = false
  for (const set of ownSets) {
    if (!isDone(set) && set.state !== 'failed') continue
    const counted = ownReps(set)
    sets.push(counted)
    exposure.reps.push(counted.reps ?? counted.amount?.value ?? 0)
    hasRir ||= counted.rir !== undefined
  }
  if (own?.rir !== undefined) exposure.askedRir = own.rir
  if (hasRir) exposure.rir = sets.map(({ rir }) => rir ?? null)
  const technique = markOf(done)
  if (technique) exposure.technique = technique
  for (const prescribed of prescriptions)
    if (
      prescribed.stop !== undefined &&
      setsOf(prescriptions, prescribed, done).filter(isDone).length < prescribed.sets
    )
      exposure.ended = true
  hearAmrap(exposure, prescriptions, done)
}

function markOf(done: SetLog[]): Exposure['technique'] {
  if (done.some(({ technique }) => technique === 'poor')) return 'poor'
  return done.some(({ technique }) => technique === 'good') ? 'good' : undefined
}

/** The reps of the AMRAP set that a progression loads, where there is one and something was logged of it. */
function hearAmrap(exposure: Exposure, prescriptions: ShownSets[], done: SetLog[]): void {
  const prescribed = prescriptions.find(({ ruled, amrap }) => ruled && amrap)
  if (!prescribed) return
  let before = 0
  for (const one of prescriptions) {
    before += one.sets
    if (one === prescribed) break
  }
  if (prescribed.reps !== null) exposure.asked = prescribed.reps
  const last = setsOf(prescriptions, prescribed, done).at(-1)
  const set = last?.n === before ? last : undefined
  const reps = set?.state === 'failed' ? (set.reps ?? 0) : set && isDone(set) ? ownReps(set).reps : undefined
  if (reps !== undefined) exposure.amrap = reps
}

/** Keeps the load that was on the bar in a role, for those that read it. */
function keepRole(
  situation: Situation,
  progression: Id,
  role: string,
  { prescribed, verdict, done }: Outcome,
  date: Day | null,
): void {
  const { state, place } = situation
  const { id, slot, prescriptions } = prescribed
  const load = heaviestOf({ slot: id, lift: slot, prescriptions, sets: done })
  if (!load) return
  const felt = feltBy(situation, id, slot)
  const kept: RoleLoad = { load, date, week: place.week }
  if (felt.length) kept.felt = felt
  const key = `${progressionKey(progression, slot)}/${role}`
  const had = state.roles[key]
  if (verdict === 'deload')
    state.roles[key] = had?.normal ? { normal: had.normal, deload: kept } : { deload: kept }
  else state.roles[key] = had?.deload ? { normal: kept, deload: had.deload } : { normal: kept }
}

/** The changes in percent that act on a slot. */
function feltBy(situation: Situation, id: Id, slot: Slot): string[] {
  const { changes, library } = situation
  if (!changes.length) return []
  return acting(changes, { ...spotOf(situation), slot: slotWith(library, id, slot) })
    .filter(scalesLoads)
    .map(nameOf)
}
