import type { GroupDraft } from '../adjustments/change.ts'
import { changeOf } from '../adjustments/registry.ts'
import { mayAct, type Spot } from '../adjustments/where.ts'
import type { Place } from '../calendar/places.ts'
import type { Rung } from '../explain/rung.ts'
import { isLater, isNeed, type Known, type Later, type Need, type Priced } from '../loads/source.ts'
import { sourceOf } from '../loads/registry.ts'
import type { Shown, ShownGroup, ShownSlot } from '../member/types.ts'
import { slotsOf, type Id, type SetGroup, type Slot, type Template } from '../template/types.ts'
import { addStep, compareLoads, inUnit, scale, snap, type Day, type Load, type Way } from '../units/index.ts'
import { acting, isLight, scalesTrackLoads, type Authored } from './changes.ts'
import { loadingAt } from './equipment.ts'
import { maxFor, type Evidence } from './evidence.ts'
import { asLift, lineup, type Line, type LineChange } from './lineup.ts'
import { heaviestOf, less, type OnTheBar } from './onTheBar.ts'
import { askProgressions, nothingAsked, roleAt } from './progress.ts'
import { make, type Loading } from './round.ts'
import { rowAt, rowRungs } from './rows.ts'
import { progressionKey, rowsKey, type FoldState } from './state.ts'

/** A slot as it is asked at a place. */
export type Prescribed = {
  id: Id
  slot: Slot
  row: number
  light: boolean
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
  const slots = lines.map((line) => {
    const prescribed = prescribeSlot(situation, spot, changes, line, before)
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
    if (!slot.follows.length) return made
    const { unit } = loadingAt(evidence, undefined, slot).here
    const max = maxFor(evidence, slot, template.maxes, day)
    const { load } = askProgressions(template, state, slot, place.inWeek, { max, unit, first })
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
    ? askProgressions(template, state, slot, place.inWeek, { max, unit: loading.home.unit, first })
    : nothingAsked
  const own: OnTheBar = { slot: id, groups: [], sets: [] }
  const known: Known = {
    lift: slot,
    max,
    unit: loading.here.unit,
    trainingMax: template.trainingMax,
    progression: asked.load,
    today: (other, only) => {
      const read = other === undefined ? own : before.find((one) => one.slot === other)
      return read ? heaviestOf(read, only) : null
    },
    role: (role) => roleSeen(situation, slot, role),
  }
  const held = rowRungs(slot, place, row)
  const opening =
    held.length || lineRungs.length || asked.rungs.length ? [...held, ...lineRungs, ...asked.rungs] : held
  const made: Prescribed = { id, slot, row, light, groups: own.groups, needs: [], first }
  for (const group of slot.rows[place.phase.id]?.[row] ?? []) {
    const priced = sourceOf[group.load.of].price(known, group.load)
    if (priced && isNeed(priced) && !made.needs.length) made.needs.push(priced)
    const sets = group.sets + asked.moreSets
    own.groups.push(showGroup(group, sets, priced, opening, changes, loading, wayOf(template, group, light)))
  }
  if (slot.by === 'toTest') made.groups = capped(situation, id, slot, row, known, own.groups, loading)
  if (asked.load && !isNeed(asked.load)) made.ruled = asked.load.base
  return made
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

function showGroup(
  group: SetGroup,
  sets: number,
  priced: Priced | Later | Need | null,
  opening: Rung[],
  changes: Authored[],
  loading: Loading,
  way: Way,
): ShownGroup {
  const price = priced && !isNeed(priced) && !isLater(priced) ? priced : null
  const rungs = [...opening]
  if (priced && !isNeed(priced)) rungs.push(...priced.rungs)
  const { draft, isOwn } = changeGroup(group, sets, price, changes, rungs)
  const shown = asAsked(group, draft)
  const today = price ? price.today : priced && isLater(priced) ? priced.later : undefined
  if (today) shown.today = { ...today, way }
  shown.why = rungs
  if (!price || draft.percent === null) {
    if (priced && isNeed(priced)) shown.missing = true
    return shown
  }
  const whole = less(multiply(price.base, draft.percent, draft.scale), price.minus)
  const meant = limit(whole, draft.cap, rungs)
  const made = make(meant, loading, way)
  rungs.push(...made.rungs)
  shown.target = less(scale(price.base, price.percent), price.minus)
  shown.load = made.load
  if (made.side) shown.side = made.side
  const isRuled = group.load.of === 'progression'
  if (isRuled) shown.ruled = price.base
  if (made.short || (isRuled && (isOwn || meant !== whole))) shown.short = true
  return shown
}

/** The group as it is asked, but for its load. */
function asAsked({ id, goal, rest, part }: SetGroup, { sets, rir }: GroupDraft): ShownGroup {
  const shown: ShownGroup = { group: id, sets, reps: goal.reps, target: null, load: null, why: [] }
  if (part) shown.part = part
  if (goal.plus) shown.plus = goal.plus
  if (rir !== undefined) shown.rir = rir
  if (rest !== undefined) shown.rest = rest
  return shown
}

/** Lets the changes act on a group in their order, each with its rung; says whether the member's own touched its load. */
function changeGroup(
  group: SetGroup,
  sets: number,
  price: Priced | null,
  changes: Authored[],
  rungs: Rung[],
): { draft: GroupDraft; isOwn: boolean } {
  const isRuled = group.load.of === 'progression'
  let draft: GroupDraft = { sets, percent: price?.percent ?? null, scale: 100, rir: group.rir }
  let isOwn = false
  for (const { adjustment, author, label } of changes) {
    const change = changeOf[adjustment.do.kind]
    if (!change.onGroup) continue
    if (change.scalesLoads && (price?.isScaled || (isRuled && author === 'track'))) continue
    const made = change.onGroup(draft, adjustment.do, label)
    if (!made) continue
    draft = made.now
    if (made.rung) rungs.push(made.rung)
    isOwn ||= author === 'own' && change.scalesLoads === true
  }
  return { draft, isOwn }
}

/** Multiplied in one go and cut once, so that nothing is rounded on the way. */
function multiply(base: Load, percent: number, factor: number): Load {
  return { value: snap((base.value * percent * factor) / 10000), unit: base.unit }
}

function limit(load: Load, cap: GroupDraft['cap'], rungs: Rung[]): Load {
  const most = cap && { value: cap.at[load.unit], unit: load.unit }
  if (!cap || !most || compareLoads(load, most) <= 0) return load
  rungs.push({ id: 'cap.at', data: { author: cap.author, load: most } })
  return most
}

/**
 * Rows that are counted back from a test day do not wait for weeks that were missed: they are held to one step above the
 * heaviest load trained in the phase, or above the phase's first row where nothing has been trained.
 */
function capped(
  { state, place }: Situation,
  id: Id,
  slot: Slot,
  row: number,
  known: Known,
  groups: ShownGroup[],
  loading: Loading,
): ShownGroup[] {
  const trained = state.heaviest[rowsKey(place.phase.id, id)]
  const step = slot.capStep
  const base = trained ?? (row > 0 && place.phaseWeek > 1 ? firstRowLoad(slot, place.phase.id, known) : null)
  if (!base || !step) return groups
  const most = addStep(inUnit(base, loading.here.unit), step)
  return groups.map((group) => {
    if (!group.load || compareLoads(group.load, most) <= 0) return group
    const made = make(most, loading, 'down')
    const { side: _, ...rest } = group
    const why = group.why.filter(({ id: rung }) => !/^(round|plates)[.]/.test(rung))
    const rung = { id: trained ? 'row.capped' : 'row.cappedFirst', data: { heaviest: base, load: most } }
    return {
      ...rest,
      load: made.load,
      ...(made.side && { side: made.side }),
      why: [...why, rung, ...made.rungs],
    }
  })
}

function firstRowLoad(slot: Slot, phase: Id, known: Known): Load | null {
  let heaviest: Load | null = null
  for (const { load } of slot.rows[phase]?.[0] ?? []) {
    const priced = sourceOf[load.of].price(known, load)
    if (!priced || isNeed(priced) || isLater(priced)) continue
    const meant = scale(priced.base, priced.percent)
    if (!heaviest || compareLoads(meant, heaviest) > 0) heaviest = meant
  }
  return heaviest
}

/** The nearest load that a slot's lift can be given at home: where percentage cuts land. */
export function landAtHome(evidence: Evidence, slot: Slot): (load: Load) => Load {
  const loading = loadingAt(evidence, undefined, slot)
  return (load) => make(load, loading, 'nearest').load
}

/** The roles that a slot has at a place of the week, by progression. */
export const rolesAt = (slot: Slot, inWeek: number): { progression: Id; role: string }[] =>
  slot.follows.map((follow) => ({ progression: follow.progression, role: roleAt(follow, inWeek) }))
