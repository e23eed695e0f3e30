import { slotWith } from '../../adjustments/index.ts'
import { courseWith, inWeekOf, weekWith } from '../../calendar/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Answers } from '../../progressions/index.ts'
import type { Slot, Template } from '../../template/index.ts'
import { addLoad, heavier, scale, type Day, type Load } from '../../units/index.ts'
import { acting, lightening, scalesTrackLoads, type Authored } from '../compile/changes.ts'
import { heaviestOf, tonnageOf, type OnTheBar } from '../prescribe/onTheBar.ts'
import { scaleBy } from '../prescribe/prescribeSlot.ts'
import { trainedRow } from '../prescribe/rows.ts'
import type { Outcome } from '../state/fold.ts'
import { isBack } from '../state/isBack.ts'
import { spotOf, type Situation } from '../state/situation.ts'
import { heaviestKey, lastKey, rowsKey, type FoldState } from '../state/state.ts'
import { tellProgressions } from './hear.ts'
import { signShows } from './weeks.ts'

/** What a session leaves behind: its place taken, its rows trained, its exposures heard by their rules. */
export function advance(
  situation: Situation,
  outcomes: Outcome[],
  date: Day | null,
  answers?: Answers,
): void {
  const { state, template, place, day } = situation
  const worked = outcomes.filter(({ verdict }) => verdict !== 'skip')
  takePlace(state, place.position, worked.length > 0)
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
  state.course = courseWith(course, weekWith(course.running, taken))
}
