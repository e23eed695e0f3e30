import { changeOf } from '../adjustments/registry.ts'
import { mayAct, type Spot } from '../adjustments/where.ts'
import type { Place } from '../calendar/places.ts'
import type { Rung } from '../explain/rung.ts'
import { exerciseOf, liftKey, type Lift } from '../library/index.ts'
import { isNeed, type Known, type Need } from '../loads/source.ts'
import { sourceOf } from '../loads/registry.ts'
import type { Shown, ShownGroup, ShownSlot } from '../member/types.ts'
import { slotsOf, type Id, type SetGroup, type Slot, type Template } from '../template/types.ts'
import { snap, type Day, type Load, type Way } from '../units/index.ts'
import { ramp, type WarmUpSet } from '../warmups/ramp.ts'
import { acting, isLight, scalesTrackLoads, type Authored } from './changes.ts'
import { capped } from './countdown.ts'
import { loadingAt } from './equipment.ts'
import { maxFor, type Evidence } from './evidence.ts'
import { asLift, lineup, type Line, type LineChange } from './lineup.ts'
import { heaviestOf, totalOf, type OnTheBar } from './onTheBar.ts'
import { askProgressions, heavier, nothingAsked, roleAt } from './progress.ts'
import { make, type Loading } from './round.ts'
import { rowAt, rowRungs } from './rows.ts'
import { askedOf, showGroup } from './showGroup.ts'
import { lastKey, progressionKey, type FoldState } from './state.ts'

/** A slot as it is asked at a place. */
export type Prescribed = {
  id: Id
  slot: Slot
  row: number
  light: boolean
  warmUps?: WarmUpSet[]
  groups: ShownGroup[]
  needs: Need[]
  /** The load of the slot's progression as it is now, where it has one. */
  ruled?: Load
  /** What a track makes of a progression's first load here. */
  first: { scale: number; rungs: Rung[] }
}

/** Everything a session is prescribed from. */
export type Situation = {
  template: Template
  state: FoldState
  evidence: Evidence
  place: Place
  day: Day
  changes: Authored[]
  /** Where it is trained; home when absent. */
  at?: Id
}

/**
 * One session of the plan: row → source or rule → changes → rounding, for each slot in the order of the session. A slot whose
 * max is missing says so and asks for it; the others stand.
 */
export function prescribe(situation: Situation): { slots: Prescribed[]; changes: LineChange[] } {
  const { template, place } = situation
  const spot = spotOf(situation)
  const changes = situation.changes.filter(({ adjustment }) => mayAct(adjustment.where, spot))
  const { lines, changes: made } = lineup(template, place.session, changes, spot)
  const before: OnTheBar[] = []
  const trained: Lift[] = []
  const slots = lines.map((line) => {
    const prescribed = prescribeSlot(situation, spot, changes, line, before)
    const warmUps = warmUpsFor(situation, prescribed, trained)
    if (warmUps?.length) prescribed.warmUps = warmUps
    trained.push(line.slot)
    before.push({ slot: line.id, groups: prescribed.groups, sets: [] })
    return prescribed
  })
  return { slots, changes: made }
}

/**
 * A session that was shown is taken as it was shown: only its rows and its progressions' loads are worked out anew, to judge
 * by.
 */
export function recall(situation: Situation, shown: Shown): Prescribed[] {
  const { template, state, evidence, place, day, changes } = situation
  const spot = spotOf(situation)
  return shownLines(template, place.session, shown).map(({ id, slot, was }) => {
    const row = rowAt(template, state, place, id, slot, changes)
    const first = firstScale(situation, spot, id, slot)
    const light = was.light === true
    const made: Prescribed = { id, slot, row, light, groups: was.groups, needs: [], first }
    if (was.warmUps) made.warmUps = was.warmUps
    if (!slot.follows.length) return made
    const { here, body } = loadingAt(evidence, undefined, slot)
    const known = { max: maxFor(evidence, slot, template.maxes, day), body, unit: here.unit, first }
    const { load } = askProgressions(template, state, slot, place.inWeek, known)
    if (load && !isNeed(load)) made.ruled = load.base
    return made
  })
}

type ShownLine = { id: Id; slot: Slot; was: ShownSlot }

/** What was shown, in the order of the session; slots that a track had added stand at the end. */
function shownLines({ sessions, slots }: Template, session: Id, shown: Shown): ShownLine[] {
  const known = linesShown.get(shown)
  if (known?.slots === slots) return known.lines
  const own = sessions[session]
  const order = own ? slotsOf(own) : []
  const rest = Object.keys(shown.slots).filter((id) => !order.includes(id))
  const lines = [...order, ...rest.sort()].flatMap((id): ShownLine[] => {
    const [slot, was] = [slots[id], shown.slots[id]]
    return slot && was ? [{ id, slot: asLift(slot, was), was }] : []
  })
  linesShown.set(shown, { slots, lines })
  return lines
}

/** Snapshots are never changed, so their lines are kept beside them. */
const linesShown = new WeakMap<Shown, { slots: Template['slots']; lines: ShownLine[] }>()

function spotOf({ place, day }: Situation): Spot {
  const { phase, phaseWeek, toTest, session } = place
  return { phase: phase.id, phaseWeek, toTest, day, session }
}

function prescribeSlot(
  situation: Situation,
  spot: Spot,
  possible: Authored[],
  { id, slot, rungs: lineRungs }: Line,
  before: OnTheBar[],
): Prescribed {
  const { template, state, evidence, place, at } = situation
  const changes = possible.length ? acting(possible, { ...spot, slot: { id, lift: slot } }) : possible
  const row = rowAt(template, state, place, id, slot, situation.changes)
  const light = changes.some(isLight)
  const loading = loadingAt(evidence, at, slot)
  const first = firstScale(situation, spot, id, slot)
  const max = maxFor(evidence, slot, template.maxes, situation.day)
  const asked = slot.follows.length
    ? askProgressions(template, state, slot, place.inWeek, {
        max,
        body: loading.body,
        unit: loading.home.unit,
        first,
      })
    : nothingAsked
  const own: OnTheBar = { slot: id, groups: [], sets: [] }
  const known: Known = {
    lift: slot,
    max,
    unit: loading.here.unit,
    trainingMax: template.trainingMax,
    progression: asked.load,
    table: template.maxes.table,
    maxOf: (lift) => maxFor(evidence, lift, template.maxes, situation.day),
    today: (other, only) => {
      const read = other === undefined ? own : before.find((one) => one.slot === other)
      return read ? heaviestOf(read, only) : null
    },
    role: (role) => roleSeen(situation, slot, role),
    body: evidence.body?.load,
  }
  // Where an exercise with a load of its own was swapped for body-weight work, the member's load is not the template's to give.
  const isOnBody = exerciseOf(slot).tool === 'body weight'
  const isLoaded = !isOnBody || exerciseOf(template.slots[id] ?? slot).tool === 'body weight'
  const held = rowRungs(slot, place, row)
  const opening =
    held.length || lineRungs.length || asked.rungs.length ? [...held, ...lineRungs, ...asked.rungs] : held
  const made: Prescribed = { id, slot, row, light, groups: own.groups, needs: [], first }
  for (const group of slot.rows[place.phase.id]?.[row] ?? []) {
    const sets = group.sets + asked.moreSets
    known.asked = askedOf({ ...group, sets })
    known.last = () => lastLoad(situation, id, group.id, slot)
    const priced = isLoaded
      ? needsBody(sourceOf[group.load.of].price(known, group.load), slot, loading)
      : null
    if (priced && isNeed(priced) && !made.needs.length) made.needs.push(priced)
    own.groups.push(showGroup(group, sets, priced, opening, changes, loading, wayOf(template, group, light)))
  }
  if (slot.by === 'toTest') made.groups = capped(situation, id, slot, row, known, own.groups, loading)
  if (asked.load && !isNeed(asked.load)) made.ruled = asked.load.base
  return made
}

/** The ramp to a slot's first load, after what was trained before it; none for a lift that is warm already. */
function warmUpsFor(
  { template, evidence, at }: Situation,
  { slot, groups }: Prescribed,
  trained: Lift[],
): WarmUpSet[] | undefined {
  const rule = slot.warmUp ?? template.warmUp
  const work = groups.find(({ load }) => load)?.load
  const { tool, works } = exerciseOf(slot)
  if (!rule || rule === 'none' || !work || tool === 'body weight') return undefined
  if (trained.some((lift) => liftKey(lift) === liftKey(slot))) return undefined
  const isShort = trained.some((lift) => exerciseOf(lift).works[0] === works[0])
  return ramp(rule, work, loadingAt(evidence, at, slot).here, isShort)
}

/** A load of a body-weight exercise is split into the body and the rest: without a body weight there is none. */
function needsBody<T extends object | null>(priced: T, slot: Slot, { body }: Loading): T | Need {
  const isLoad = priced !== null && !isNeed(priced)
  return isLoad && exerciseOf(slot).tool === 'body weight' && !body
    ? { need: 'bodyWeight', lift: slot }
    : priced
}

/** The load of a group when the slot was last trained; else the lift's last one, at another place. */
function lastLoad(
  { state, evidence }: Situation,
  slot: Id,
  group: Id,
  lift: Slot,
): ReturnType<NonNullable<Known['last']>> {
  const here = state.lastLoads[lastKey(slot, group, lift)]
  if (here) return { ...here, isSamePlace: true }
  const last = evidence.last[liftKey(lift)]
  if (!last) return null
  const body = exerciseOf(lift).tool === 'body weight' ? evidence.body?.load : undefined
  const loads = last.sets.flatMap((set) => totalOf({ body, load: set.load ?? null }, set) ?? [])
  const load = loads.reduce<Load | null>(heavier, null)
  return load && { load, date: last.date, isSamePlace: false }
}

/** Test singles and light weeks round down. */
const wayOf = ({ rounding }: Template, { part }: SetGroup, light: boolean): Way =>
  light || part === 'test' ? 'down' : rounding

const noScale: Prescribed['first'] = { scale: 100, rungs: [] }

/** What the track makes of a progression's first load: a running one never feels it. */
function firstScale({ changes }: Situation, spot: Spot, id: Id, slot: Slot): Prescribed['first'] {
  if (!slot.follows.length || !changes.some(scalesTrackLoads)) return noScale
  return acting(changes.filter(scalesTrackLoads), { ...spot, slot: { id, lift: slot } }).reduce<
    Prescribed['first']
  >(({ scale: factor, rungs }, { adjustment: { do: change }, label }) => {
    const made = changeOf[change.kind].onGroup?.({ sets: 1, percent: 100, scale: factor }, change, label)
    if (!made) return { scale: factor, rungs }
    const { percent, scale: next } = made.now
    return { scale: snap((next * (percent ?? 100)) / 100), rungs: made.rung ? [...rungs, made.rung] : rungs }
  }, noScale)
}

/** The load on the bar when the slot's progression was last trained in a role: this week's, or else the last normal one. */
function roleSeen(
  { state, place }: Situation,
  slot: Slot,
  role: string,
): ReturnType<NonNullable<Known['role']>> {
  for (const { progression } of slot.follows) {
    const seen = state.roles[`${progressionKey(progression, slot)}/${role}`]
    const thisWeek = seen?.light?.week === place.week ? seen.light : seen?.normal
    if (thisWeek) return { ...thisWeek, isThisWeek: thisWeek.week === place.week }
  }
  return null
}

/** The nearest load that a slot's lift can be given at home: where percentage cuts land. */
export function landAtHome(evidence: Evidence, slot: Slot): (load: Load) => Load {
  const loading = loadingAt(evidence, undefined, slot)
  return (load) => make(load, loading, 'nearest').total
}

/** The roles that a slot has at a place of the week, by progression. */
export const rolesAt = (slot: Slot, inWeek: number): { progression: Id; role: string }[] =>
  slot.follows.map((follow) => ({ progression: follow.progression, role: roleAt(follow, inWeek) }))
