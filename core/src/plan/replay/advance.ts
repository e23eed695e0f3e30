import { isBack } from '../state/isBack.ts'
import { type Answers, ruleOf, type Exposure, type SetSeen } from '../../progressions/index.ts'
import type { Id } from '../../parsing/index.ts'
import { inWeekOf } from '../../calendar/index.ts'
import { slotWith } from '../../adjustments/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import {
  isLighterUse,
  rulesOf,
  type Fixable,
  type Progression,
  type SetPrescription,
  type Slot,
  type Template,
} from '../../template/index.ts'
import { addLoad, lowest, scale, type Day, type Load, heavier } from '../../units/index.ts'
import type { Outcome, Verdict } from '../state/fold.ts'
import { loadingAt, isDone, topSet } from '../../evidence/index.ts'
import { ruleInputs } from '../progress/ruleInputs.ts'
import { heaviestOf, tonnageOf, totalOf, type OnTheBar } from '../prescribe/onTheBar.ts'
import { handOf } from '../prescribe/hand.ts'
import {
  acting,
  lightening,
  nameOf,
  scalesLoads,
  scalesTrackLoads,
  type Authored,
} from '../compile/changes.ts'
import { scaleBy } from '../prescribe/prescribeSlot.ts'
import { spotOf, type Situation } from '../state/situation.ts'
import { progress, roleAt } from '../progress/progress.ts'
import { stateKey } from '../progress/currentStage.ts'
import { trainedRow } from '../prescribe/rows.ts'
import { signShows } from './weeks.ts'
import { heaviestKey, lastKey, progressionKey, rowsKey, type FoldState } from '../state/state.ts'
import { ownReps, setsOf } from './verdict.ts'

/** What a session leaves behind: its place taken, its rows trained, its exposures heard by their rules. */
export function advance(
  situation: Situation,
  outcomes: Outcome[],
  date: Day | null,
  position: number,
  answers?: Answers,
): void {
  const { state, template, place, day } = situation
  const worked = outcomes.filter(({ verdict }) => verdict !== 'skip')
  takePlace(state, position, worked.length > 0)
  if (worked.length) {
    if (isBack(state, template, place.week, day)) state.backWeek = place.week
    state.lastDay = day
  }
  for (const { prescribed, verdict, done } of worked) {
    const key = rowsKey(place.phase.id, prescribed.id)
    const isExposure = verdict === 'hit' || verdict === 'miss'
    const { id, slot, row, prescriptions } = prescribed
    const bar: OnTheBar = { slot: id, lift: slot, prescriptions, sets: done }
    if (verdict !== 'deload' && slot.by === 'week')
      state.rows[key] = trainedRow(state.rows[key], row, place.week)
    if (isExposure && slot.by === 'exposure') state.exposures[key] = (state.exposures[key] ?? 0) + 1
    if (readsMoved(template))
      keepMoved(state, place.week, tonnageOf(bar, date !== null), lightening(actingOn(situation, prescribed)))
    if (verdict !== 'deload') keepLast(situation, bar, slot, date)
    if (isExposure && slot.by === 'toTest') {
      const top = heaviestOf(bar, undefined, date !== null)
      const trained = heaviestKey(place.phase.id, id, slot)
      if (top) state.heaviest[trained] = heavier(state.heaviest[trained], top)
    }
  }
  tellProgressions(situation, worked, date, answers)
  const { phase, phaseWeek } = place
  const mayEnd = typeof phase.weeks !== 'number' && phaseWeek >= phase.weeks.least
  if (mayEnd && !state.ended.includes(phase.id) && signShows(state, phase))
    state.ended = [...state.ended, phase.id]
}

/** Keeps the load of prescriptions that are asked again at last time's load, without what the member's own changes made of it. */
function keepLast(situation: Situation, bar: OnTheBar, slot: Slot, date: Day | null): void {
  if (!date) return
  for (const prescribed of askedAsLast(slot)) {
    const load = heaviestOf(bar, prescribed, true)
    if (!load) continue
    const own = scaleBy('own', situation, spotOf(situation), bar.slot, slot).scale
    situation.state.lastLoads[lastKey(bar.slot, prescribed, slot)] = { load: scale(load, 10_000 / own), date }
  }
}

/** The changes that act on a slot's sets where and when it was trained; a track's never on a running load. */
function actingOn(situation: Situation, { id, slot, prescriptions }: Outcome['prescribed']): Authored[] {
  if (!situation.changes.length) return []
  const isRunning = prescriptions.some(({ ruled }) => ruled)
  const spot = { ...spotOf(situation), slot: slotWith(situation.library, id, slot) }
  return acting(situation.changes, spot).filter((one) => !(isRunning && scalesTrackLoads(one)))
}

/** Whether any load of a template is a part of what was moved in the week. */
function readsMoved({ slots }: Template): boolean {
  const known = movedReaders.get(slots)
  if (known !== undefined) return known
  const reads = Object.values(slots).some(({ rows }) =>
    Object.values(rows)
      .flat(2)
      .some(({ load }) => load.of === 'tonnage' && load.per === 'week'),
  )
  movedReaders.set(slots, reads)
  return reads
}

/** A template that has been read is never changed in place, so what it reads is kept beside it. */
const movedReaders = new WeakMap<Template['slots'], boolean>()

/** Adds what each lift has moved, as it would be without the changes on it, to what it moved before in the same week. */
function keepMoved(state: FoldState, week: number, moved: Map<string, Load>, percent: number): void {
  for (const [key, more] of moved) {
    const whole = scale(more, 10_000 / percent)
    const had = state.moved[key]
    state.moved[key] = { week, load: had?.week === week ? addLoad(had.load, whole) : whole }
  }
}

/** The prescriptions of a slot whose load is last time's, in whatever row. */
function askedAsLast({ rows }: Slot): Id[] {
  const known = lastSets.get(rows)
  if (known) return known
  const made = new Set<Id>()
  for (const { id, load } of Object.values(rows).flat(2)) if (load.of === 'lastTime') made.add(id)
  const list = [...made]
  lastSets.set(rows, list)
  return list
}

/** Rows that have been read are never changed in place, so what is found in them is kept beside them. */
const lastSets = new WeakMap<Slot['rows'], Id[]>()

function takePlace(state: FoldState, position: number, isTrained: boolean): void {
  const { course } = state
  const inWeek = inWeekOf(course, position)
  if (!course.running || inWeek === null) return
  const taken = { ...course.running.taken, [inWeek]: isTrained ? ('trained' as const) : ('skipped' as const) }
  state.course = { ...course, running: { ...course.running, taken } }
}

/** One slot of a session as a progression hears of it. */
type Hearing = { outcome: Outcome; progression: Id; role: string }

/**
 * Tells the progressions about a session. Several slots of one progression, in one role and on one lift, are one exposure: it is judged by the
 * worst of them, the first of those in the order of the session. A muscle's week hears each slot.
 */
function tellProgressions(
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
  const plus = set?.state === 'failed' ? (set.reps ?? 0) : set && isDone(set) ? set.reps : undefined
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
