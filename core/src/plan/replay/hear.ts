import { slotWith } from '../../adjustments/index.ts'
import { isDone, loadingAt, topSet } from '../../evidence/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import type { Id } from '../../parsing/index.ts'
import { type Answers, ruleOf, type Exposure, type SetSeen } from '../../progressions/index.ts'
import {
  isLighterUse,
  rulesOf,
  type Fixable,
  type Progression,
  type SetPrescription,
  type Slot,
  type Template,
} from '../../template/index.ts'
import { heavier, lowest, type Day, type Load } from '../../units/index.ts'
import { acting, nameOf, scalesLoads } from '../compile/changes.ts'
import { handOf } from '../prescribe/hand.ts'
import { heaviestOf, totalOf } from '../prescribe/onTheBar.ts'
import { stateKey } from '../progress/currentStage.ts'
import { progress, roleAt } from '../progress/progress.ts'
import { ruleInputs } from '../progress/ruleInputs.ts'
import type { Outcome, Verdict } from '../state/fold.ts'
import { spotOf, type Situation } from '../state/situation.ts'
import { progressionKey } from '../state/state.ts'
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
      if (isRead(template, progression)) keepRole(situation, progression, role, outcome, date)
      if (outcome.verdict === 'deload') continue
      const own = ofMuscle(template, progression) ? `/${id}` : ''
      const key = `${stateKey(template.progressions[progression] as Progression, progression, slot)}/${role}${own}`
      const before = heard.get(key)
      if (!before || worst.indexOf(outcome.verdict) < worst.indexOf(before.outcome.verdict))
        heard.set(key, { outcome, progression, role })
    }
  }
  for (const hearing of heard.values()) feed(situation, hearing, date, answers)
}

const worst: Verdict[] = ['miss', 'not comparable', 'hit']

const ofMuscle = ({ progressions }: Template, id: Id): boolean =>
  rulesOf(progressions[id]).some(({ rule }) => ruleOf[rule].of === 'muscle')

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
  const own = carrier(template, progression, prescriptions) ?? ruled
  const ownSets = own ? setsOf(prescriptions, own, done) : []
  const exposure: Exposure = {
    date,
    at: { week: place.week, inWeek: place.inWeek },
    role,
    verdict: verdict === 'hit' || verdict === 'miss' ? verdict : 'hold',
    ...(because && { because }),
    target: ruled?.ruled ?? null,
    ...heardOf(prescriptions, own, done),
    ...(own && liftedAt(own, ownSets)),
    ...(readsTop(template, progression) && topOf(ownSets, body)),
    ...(readsSets(template, progression) && { sets: ownSets.flatMap((set) => setSeen(own, set)) }),
    ...shownOf(situation, slot, row, own ?? prescriptions[0]),
    ...(answers && { answers }),
  }
  const fixed = fixedIn(slot.rows[place.phase.id]?.[row] ?? [])
  progress(template, state, { progression, lift: slot, exposure, fixed }, known, hand)
}

/** The heaviest load at which the reps asked were done by the lifter alone. */
function liftedAt(own: ShownSets, sets: SetLog[]): Pick<Exposure, 'lifted'> {
  const least = lowest(own.reps ?? 1)
  let lifted: Load | null = null
  for (const set of sets) {
    const { reps = 0 } = ownReps(set)
    const load = totalOf(own, set)
    if (isDone(set) && !set.partial && set.bands === own.bands && reps >= least && load)
      lifted = heavier(lifted, load)
  }
  return lifted ? { lifted } : {}
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
): Pick<Exposure, 'shown'> {
  if (!own?.byRule) return {}
  const { sets, moreSets = 0, moreReps = 0 } = own.byRule
  const isFixed = slot.rows[place.phase.id]?.[row]?.some(({ fixed }) => fixed)
  if (isFixed) return {}
  return {
    shown: {
      sets,
      reps: own.reps,
      ...(own.goal && { goal: own.goal }),
      moreSets,
      moreReps,
      ...(slot.variant && { variant: slot.variant }),
    },
  }
}

/** What the writer has fixed in a row where rules would write their own. */
const fixedIn = (row: SetPrescription[]): readonly Fixable[] =>
  row.some(({ fixed }) => fixed) ? row.flatMap(({ fixed }) => fixed ?? []) : nothing
const nothing: readonly Fixable[] = []

/** The prescription whose goal a progression without loads writes. */
function carrier({ progressions }: Template, id: Id, prescriptions: ShownSets[]): ShownSets | undefined {
  const rules = rulesOf(progressions[id]).map(({ rule }) => ruleOf[rule])
  if (rules.some(({ writes }) => writes.includes('load'))) return undefined
  return prescriptions.find(({ goal, reps }) =>
    rules.some(({ carriedBy }) => carriedBy?.fits(goal ?? { reps: reps ?? 1 })),
  )
}

/** What the sets of a slot tell its rule: those of the prescription that it loads, or whose goal it writes. */
function heardOf(
  prescriptions: ShownSets[],
  own: ShownSets | undefined,
  done: SetLog[],
): Pick<Exposure, 'asked' | 'reps' | 'amrap' | 'askedRir' | 'rir' | 'technique' | 'ended'> {
  const sets = own
    ? setsOf(prescriptions, own, done)
        .filter((set) => isDone(set) || set.state === 'failed')
        .map(ownReps)
    : []
  const technique = markOf(done)
  const isEnded = prescriptions.some(
    (prescribed) =>
      prescribed.stop !== undefined &&
      setsOf(prescriptions, prescribed, done).filter(isDone).length < prescribed.sets,
  )
  return {
    asked: own?.reps ?? prescriptions[0]?.reps ?? 1,
    reps: sets.map((set) => set.reps ?? set.amount?.value ?? 0),
    ...(own?.rir !== undefined && { askedRir: own.rir }),
    ...(sets.some(({ rir }) => rir !== undefined) && { rir: sets.map(({ rir }) => rir ?? null) }),
    ...(technique && { technique }),
    ...(isEnded && { ended: true }),
    ...plusDone(prescriptions, done),
  }
}

const readsTop = ({ progressions }: Template, id: Id): boolean =>
  rulesOf(progressions[id]).some(({ rule }) => ruleOf[rule].readsTop)
const readsSets = ({ progressions }: Template, id: Id): boolean =>
  rulesOf(progressions[id]).some(({ rule }) => ruleOf[rule].hearsLighter)

/** The set that says most about the max, for a rule that goes by it. */
function topOf(sets: SetLog[], body: Load | undefined): Pick<Exposure, 'top'> {
  return { top: topSet(sets.filter(isDone), body) }
}

function markOf(done: SetLog[]): Exposure['technique'] {
  if (done.some(({ technique }) => technique === 'poor')) return 'poor'
  return done.some(({ technique }) => technique === 'good') ? 'good' : undefined
}

/** The reps of the AMRAP set that a progression loads, where there is one and something was logged of it. */
function plusDone(prescriptions: ShownSets[], done: SetLog[]): Partial<Pick<Exposure, 'amrap' | 'asked'>> {
  const prescribed = prescriptions.find(({ ruled, amrap: plus }) => ruled && plus)
  if (!prescribed) return {}
  const last = setsOf(prescriptions, prescribed, done).at(-1)
  const before = prescriptions
    .slice(0, prescriptions.indexOf(prescribed) + 1)
    .reduce((sum, { sets }) => sum + sets, 0)
  const set = last?.n === before ? last : undefined
  const plus = set?.state === 'failed' ? (set.reps ?? 0) : set && isDone(set) ? ownReps(set).reps : undefined
  return {
    ...(prescribed.reps !== null && { asked: prescribed.reps }),
    ...(plus !== undefined && { amrap: plus }),
  }
}

/** Whether slots may read a progression's load of another day: in another role, or at a percentage in the same one. */
const isRead = ({ progressions }: Template, progression: Id): boolean =>
  rulesOf(progressions[progression]).some(({ rule }) => ruleOf[rule].writes.includes('load'))

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
  const felt = acting(situation.changes, {
    ...spotOf(situation),
    slot: slotWith(situation.library, id, slot),
  })
    .filter(scalesLoads)
    .map(nameOf)
  const key = `${progressionKey(progression, slot)}/${role}`
  state.roles[key] = {
    ...state.roles[key],
    [verdict === 'deload' ? 'deload' : 'normal']: {
      load,
      date,
      week: place.week,
      ...(felt.length && { felt }),
    },
  }
}
