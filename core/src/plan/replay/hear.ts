import { isDone, loadingAt, topSet } from '../../evidence/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { canCarry, firstLoad, type Answers, type Exposure, type SetSeen } from '../../progressions/index.ts'
import type { Fixable, SetPrescription } from '../../template/index.ts'
import { heavier, lowest, type Day, type Load } from '../../units/index.ts'
import { nameOf, scalesLoads } from '../compile/changes.ts'
import { exposureKey, inPhase, roleAt, roleKey, type CompiledUse } from '../compile/slot.ts'
import type { Traits } from '../compile/traits.ts'
import { handOf } from '../prescribe/hand.ts'
import { heaviestOf, totalOf } from '../prescribe/onTheBar.ts'
import { progress } from '../progress/progress.ts'
import { starting } from '../progress/ruleInputs.ts'
import type { Outcome, Verdict } from '../state/fold.ts'
import type { Situation } from '../state/situation.ts'
import type { RoleLoad } from '../state/state.ts'
import { ownReps, setsOf } from './verdict.ts'

/** One slot of a session as a progression hears of it. */
type Hearing = { outcome: Outcome; use: CompiledUse; role: string }

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
  const { place } = situation
  const heard = new Map<string, Hearing>()
  for (const outcome of worked) {
    const { own } = outcome.prescribed
    if (!own.uses.length) continue
    const { lighter } = inPhase(own, place.phase.id)
    for (const use of own.uses) {
      if (lighter.includes(use)) continue
      const role = roleAt(use.use, place.inWeek)
      if (use.traits.writesLoad) keepRole(situation, use, role, outcome, date)
      if (outcome.verdict === 'deload') continue
      const key = exposureKey(own, use, role)
      const before = heard.get(key)
      if (!before || worst.indexOf(outcome.verdict) < worst.indexOf(before.outcome.verdict))
        heard.set(key, { outcome, use, role })
    }
  }
  for (const hearing of heard.values()) feed(situation, hearing, date, answers)
}

const worst: Verdict[] = ['miss', 'not comparable', 'hit']

/** Hands an exposure of a slot to its progression. */
function feed(
  situation: Situation,
  { outcome, use, role }: Hearing,
  date: Day | null,
  answers: Answers | undefined,
): void {
  const { library, template, state, evidence, place } = situation
  const { prescribed, verdict, because, done } = outcome
  const { slot, own: compiled, row, prescriptions, first } = prescribed
  const { here, body } = loadingAt(library, evidence, undefined, slot)
  const known = { situation, own: compiled, body, unit: here.unit, first }
  const hand = handOf(library, evidence, slot, template)
  hand.again = (params) => firstLoad(starting(known, null), params)
  const ruled = prescriptions.find((prescribed) => prescribed.ruled)
  const { traits } = use
  const own = carrier(traits, prescriptions) ?? ruled
  const ownSets = own && done.length ? setsOf(prescriptions, own, done) : noSets
  const written = inPhase(compiled, place.phase.id).rows[row] ?? noRow
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
  if (traits.hearsLines) exposure.lines = dropsOf(prescriptions, done)
  const shown = shownOf(written, slot.variant, own ?? prescriptions[0])
  if (shown) exposure.shown = shown
  if (answers) exposure.answers = answers
  progress(state, { use, exposure, fixed: fixedIn(written) }, known, hand)
}

const noSets: SetLog[] = []
const noRow: SetPrescription[] = []

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
  return [set.rir === undefined ? { load, reps } : { load, reps, rir: set.rir }]
}

/** The drops below today's top set, each with the sets that were done of it. */
const dropsOf = (prescriptions: ShownSets[], done: SetLog[]): Exposure['lines'] =>
  prescriptions
    .filter(({ today }) => today)
    .map((one) => ({
      id: one.prescription,
      sets: setsOf(prescriptions, one, done).flatMap((set) => setSeen(one, set)),
    }))

/** What was shown of sets and goal, where progressions wrote it. */
function shownOf(
  row: readonly SetPrescription[],
  variant: string | undefined,
  own: ShownSets | undefined,
): Exposure['shown'] {
  if (!own?.byRule || row.some(({ fixed }) => fixed)) return undefined
  const { sets, moreSets = 0, moreReps = 0 } = own.byRule
  const shown: Exposure['shown'] = { sets, reps: own.reps, moreSets, moreReps }
  if (own.goal) shown.goal = own.goal
  if (variant) shown.variant = variant
  return shown
}

/** What the writer has fixed in a row where rules would write their own. */
const fixedIn = (row: readonly SetPrescription[]): readonly Fixable[] =>
  row.some(({ fixed }) => fixed) ? row.flatMap(({ fixed }) => fixed ?? []) : nothing
const nothing: readonly Fixable[] = []

/** The prescription whose goal a progression without loads writes. */
function carrier({ rules, writesLoad }: Traits, prescriptions: ShownSets[]): ShownSets | undefined {
  if (writesLoad) return undefined
  return prescriptions.find(({ goal, reps, least }) => {
    const sets = { goal: goal ?? { reps: reps ?? 1 }, least }
    return rules.some(({ carriedBy }) => carriedBy && canCarry(carriedBy, sets))
  })
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

/** The reps of the AMRAP set that a progression loads, where there is one and something was logged of it; of several the best. */
function hearAmrap(exposure: Exposure, prescriptions: ShownSets[], done: SetLog[]): void {
  const prescribed = prescriptions.find(({ ruled, amrap }) => ruled && amrap)
  if (!prescribed) return
  if (prescribed.amrap === 'all')
    return hearBest(exposure, prescribed, setsOf(prescriptions, prescribed, done))
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

/** Of sets that are all for as many reps as possible, the one with most. */
function hearBest(exposure: Exposure, { reps }: ShownSets, sets: SetLog[]): void {
  if (reps !== null) exposure.asked = reps
  for (const set of sets) {
    if (!isDone(set) && set.state !== 'failed') continue
    const own = set.state === 'failed' ? (set.reps ?? 0) : ownReps(set).reps
    if (own !== undefined) exposure.amrap = Math.max(exposure.amrap ?? 0, own)
  }
}

/** Keeps the load that was on the bar in a role, for those that read it. */
function keepRole(
  { state, place }: Situation,
  use: CompiledUse,
  role: string,
  { prescribed, verdict, done }: Outcome,
  date: Day | null,
): void {
  const { id, slot, own, prescriptions, acting } = prescribed
  const load = heaviestOf({ slot: id, lift: slot, prescriptions, sets: done })
  if (!load) return
  const kept: RoleLoad = { load, date, week: place.week }
  const felt = acting.filter(scalesLoads)
  if (felt.length) kept.felt = felt.map(nameOf)
  const key = roleKey(own, use, role)
  const had = state.roles[key]
  if (verdict === 'deload')
    state.roles[key] = had?.normal ? { normal: had.normal, deload: kept } : { deload: kept }
  else state.roles[key] = had?.deload ? { normal: kept, deload: had.deload } : { normal: kept }
}
