import { courseWith, inWeekOf, takenWith, weekWith } from '../../calendar/index.ts'
import type { Answers } from '../../progressions/index.ts'
import { addLoad, heavier, scale, type Day, type Load } from '../../units/index.ts'
import { lightening, scalesTrackLoads, type Authored } from '../compile/changes.ts'
import { inPhase } from '../compile/slot.ts'
import { heaviestOf, tonnageOf, type OnTheBar } from '../prescribe/onTheBar.ts'
import { scaleBy } from '../prescribe/prescribeSlot.ts'
import { trainedRow } from '../prescribe/rows.ts'
import type { Outcome } from '../state/fold.ts'
import type { Situation } from '../state/situation.ts'
import { lastKey, turnKey, type FoldState } from '../state/state.ts'
import { tellProgressions } from './hear.ts'
import { signShows } from './weeks.ts'

/** What a session leaves behind: its place taken, its rows trained, its exposures heard by their rules. */
export function advance(
  situation: Situation,
  outcomes: Outcome[],
  date: Day | null,
  answers?: Answers,
): void {
  const { state, program, place, day, back } = situation
  const worked = outcomes.filter(({ verdict }) => verdict !== 'skip')
  takePlace(state, place.position, worked.length > 0)
  if (worked.length) {
    if (back !== null) {
      state.backWeek = place.week
      state.backBy = back
    }
    state.lastDay = day
  }
  for (const { prescribed, verdict, done } of worked) {
    const isExposure = verdict === 'hit' || verdict === 'miss'
    const { id, slot, own, row, prescriptions } = prescribed
    const { key, heaviest } = inPhase(own, place.phase.id)
    const bar: OnTheBar = { slot: id, lift: slot, prescriptions, sets: done }
    if (verdict !== 'deload' && slot.by === 'week')
      state.rows[key] = trainedRow(state.rows[key], row, place.week)
    if (isExposure && slot.by === 'exposure') count(state, key)
    if (isExposure && slot.rotation?.by === 'exposure') count(state, turnKey(id))
    if (program.readsMoved)
      keepMoved(state, place.week, tonnageOf(bar, date !== null), lightening(feltBy(prescribed)))
    if (verdict !== 'deload') keepLast(state, bar, prescribed, date)
    if (isExposure && slot.by === 'toTest') {
      const top = heaviestOf(bar, undefined, date !== null)
      if (top) state.heaviest[heaviest] = heavier(state.heaviest[heaviest], top)
    }
  }
  tellProgressions(situation, worked, date, answers)
  const { phase, phaseWeek } = place
  const mayEnd = typeof phase.weeks !== 'number' && phaseWeek >= phase.weeks.least
  if (mayEnd && !state.ended.includes(phase.id) && signShows(state, phase))
    state.ended = [...state.ended, phase.id]
}

const count = ({ exposures }: FoldState, key: string): void => {
  exposures[key] = (exposures[key] ?? 0) + 1
}

/** Keeps the load of prescriptions that are asked again at last time's load, without what the member's own changes made of it. */
function keepLast(
  state: FoldState,
  bar: OnTheBar,
  { own, acting }: Outcome['prescribed'],
  date: Day | null,
): void {
  for (const prescribed of own.asksLast) {
    const load = heaviestOf(bar, prescribed, date !== null)
    if (!load) continue
    const kept = scale(load, 10_000 / scaleBy('own', acting).scale)
    state.lastLoads[lastKey(own.id, prescribed, own.slot)] = { load: kept, date }
  }
}

/** The changes that a slot's sets have felt where and when it was trained; a track's never on a running load. */
function feltBy({ acting, prescriptions }: Outcome['prescribed']): Authored[] {
  const isRunning = prescriptions.some(({ ruled }) => ruled)
  return isRunning ? acting.filter((one) => !scalesTrackLoads(one)) : acting
}

/** Adds what each lift has moved, as it would be without the changes on it, to what it moved before in the same week. */
function keepMoved(state: FoldState, week: number, moved: Map<string, Load>, percent: number): void {
  for (const [key, more] of moved) {
    const whole = scale(more, 10_000 / percent)
    const had = state.moved[key]
    state.moved[key] = { week, load: had?.week === week ? addLoad(had.load, whole) : whole }
  }
}

function takePlace(state: FoldState, position: number, isTrained: boolean): void {
  const { course } = state
  const inWeek = inWeekOf(course, position)
  if (!course.running || inWeek === null) return
  const taken = takenWith(course.running, inWeek, isTrained ? 'trained' : 'skipped')
  state.course = courseWith(course, weekWith(course.running, taken))
}
