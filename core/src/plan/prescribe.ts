import type { GroupDraft } from '../adjustments/change.ts'
import { changeOf } from '../adjustments/registry.ts'
import type { Spot } from '../adjustments/where.ts'
import type { Place } from '../calendar/places.ts'
import type { Rung } from '../explain/rung.ts'
import { isLater, isNeed, type Known, type Later, type Need, type Priced } from '../loads/source.ts'
import { sourceOf } from '../loads/registry.ts'
import type { Shown, ShownGroup, ShownSlot } from '../member/types.ts'
import { lettersOf } from '../template/letters.ts'
import type { Id, SetGroup, Slot, Template } from '../template/types.ts'
import { addStep, compareLoads, inUnit, scale, snap, type Day, type Load, type Way } from '../units/index.ts'
import { acting, isLight, scalesTrackLoads, type Authored } from './changes.ts'
import { loadingAt } from './equipment.ts'
import { maxFor, type Evidence } from './evidence.ts'
import { asLift, lineup, type Line, type LineChange } from './lineup.ts'
import { heaviestOf, less, type OnTheBar } from './onTheBar.ts'
import { askProgressions, roleAt } from './progress.ts'
import { make, type Loading } from './round.ts'
import { rowAt, rowRungs } from './rows.ts'
import { progressionKey, rowsKey, type FoldState } from './state.ts'

/** A slot as it is asked at a place. */
export type Prescribed = {
  id: Id
  letter: string
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
  const { template, place, changes } = situation
  const { lines, changes: made } = lineup(template, place.session, changes, spotOf(situation))
  const letters = lettersOf(lines)
  const before: OnTheBar[] = []
  const slots = lines.map((line) => {
    const prescribed = {
      id: line.id,
      letter: letters[line.id] ?? '',
      ...prescribeSlot(situation, line, before),
    }
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
  const { template, state, place, changes } = situation
  const lines = shownLines(template, place.session, shown.slots)
  const letters = lettersOf(lines)
  return lines.map(({ id, slot, was }) => {
    const row = rowAt(template, state, place, id, slot, changes)
    const first = firstScale(situation, id, slot)
    const { load } = askNow(situation, slot, first)
    const light = was.light === true
    return {
      id,
      letter: letters[id] ?? '',
      slot,
      row,
      light,
      groups: was.groups,
      needs: [],
      first,
      ...ruledBy(load),
    }
  })
}

type ShownLine = { id: Id; slot: Slot; was: ShownSlot }

/** What was shown, in the order of the session; slots that a track had added stand at the end. */
function shownLines({ sessions, slots }: Template, session: Id, shown: Record<Id, ShownSlot>): ShownLine[] {
  const order = sessions[session]?.parts.flatMap((part) => part.slots) ?? []
  const rest = Object.keys(shown).filter((id) => !order.includes(id))
  return [...order, ...rest.sort()].flatMap((id): ShownLine[] => {
    const [slot, was] = [slots[id], shown[id]]
    return slot && was ? [{ id, slot: asLift(slot, was), was }] : []
  })
}

const spotOf = ({ place, day }: Situation): Spot => ({
  phase: place.phase.id,
  phaseWeek: place.phaseWeek,
  ...(place.toTest !== undefined && { toTest: place.toTest }),
  day,
  session: place.session,
})

type Made = Omit<Prescribed, 'id' | 'letter'>

function prescribeSlot(situation: Situation, { id, slot, rungs: lineRungs }: Line, before: OnTheBar[]): Made {
  const { template, state, evidence, place, at } = situation
  const all = situation.changes
  const changes = all.length ? acting(all, { ...spotOf(situation), slot: { id, lift: slot } }) : all
  const row = rowAt(template, state, place, id, slot, all)
  const light = changes.some(isLight)
  const loading = loadingAt(evidence, at, slot)
  const first = changes.length ? firstScale(situation, id, slot) : noScale
  const asked = askNow(situation, slot, first)
  const own: OnTheBar = { slot: id, groups: [], sets: [] }
  const known: Known = {
    lift: slot,
    max: maxFor(evidence, slot, template.maxes, situation.day),
    unit: loading.here.unit,
    trainingMax: template.trainingMax,
    ...(asked.load && { progression: asked.load }),
    today: (other, only) => {
      const read = other === undefined ? own : before.find((one) => one.slot === other)
      return read ? heaviestOf(read, only) : null
    },
    role: (role) => roleSeen(situation, slot, role),
  }
  const written = slot.rows[place.phase.id] ?? []
  const opening = [...rowRungs(slot, place, row), ...lineRungs]
  const needs: Need[] = []
  for (const group of written[row] ?? []) {
    const priced = sourceOf[group.load.of].price(known, group.load)
    if (priced && isNeed(priced)) needs.push(priced)
    const rungs = [...opening, ...asked.rungs]
    const sets = group.sets + asked.moreSets
    own.groups.push(
      showGroup({ ...group, sets }, priced, rungs, changes, loading, wayOf(template, group, light)),
    )
  }
  const groups =
    slot.by === 'toTest' ? capped(situation, id, slot, row, known, own.groups, loading) : own.groups
  return { slot, row, light, groups, needs: needs.slice(0, 1), first, ...ruledBy(asked.load) }
}

/** Test singles and light weeks round down. */
const wayOf = ({ rounding }: Template, { part }: SetGroup, light: boolean): Way =>
  light || part === 'test' ? 'down' : rounding

const ruledBy = (asked: Priced | Need | undefined): { ruled?: Load } =>
  asked && !isNeed(asked) ? { ruled: asked.base } : {}

const noScale: Prescribed['first'] = { scale: 100, rungs: [] }

/** What the track makes of a progression's first load: a running one never feels it. */
function firstScale(situation: Situation, id: Id, slot: Slot): Prescribed['first'] {
  const tracked = situation.changes.filter(scalesTrackLoads)
  if (!tracked.length || !slot.follows.length) return noScale
  return acting(tracked, { ...spotOf(situation), slot: { id, lift: slot } }).reduce<Prescribed['first']>(
    ({ scale: factor, rungs }, { adjustment: { do: change }, label }) => {
      const made = changeOf[change.kind].onGroup?.({ sets: 1, percent: 100, scale: factor }, change, label)
      if (!made) return { scale: factor, rungs }
      const { percent, scale: next } = made.now
      return {
        scale: snap((next * (percent ?? 100)) / 100),
        rungs: made.rung ? [...rungs, made.rung] : rungs,
      }
    },
    noScale,
  )
}

function askNow(
  { template, state, evidence, place, day }: Situation,
  slot: Slot,
  first: Prescribed['first'],
) {
  if (!slot.follows.length) return { moreSets: 0, rungs: [] } as ReturnType<typeof askProgressions>
  const { unit } = loadingAt(evidence, undefined, slot).here
  const max = maxFor(evidence, slot, template.maxes, day)
  return askProgressions(template, state, slot, place.inWeek, { max, unit, first })
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
  priced: Priced | Later | Need | null,
  opening: Rung[],
  changes: Authored[],
  loading: Loading,
  way: Way,
): ShownGroup {
  const price = priced && !isNeed(priced) && !isLater(priced) ? priced : null
  const isRuled = group.load.of === 'progression'
  const rungs = [...opening, ...(price?.rungs ?? (priced && isLater(priced) ? priced.rungs : []))]
  let draft: GroupDraft = {
    sets: group.sets,
    percent: price?.percent ?? null,
    scale: 100,
    ...(group.rir !== undefined && { rir: group.rir }),
  }
  let isOwn = false
  for (const { adjustment, author, label } of changes) {
    const change = changeOf[adjustment.do.kind]
    if (!change.onGroup || (change.scalesLoads && (price?.isScaled || (isRuled && author === 'track'))))
      continue
    const made = change.onGroup(draft, adjustment.do, label)
    if (!made) continue
    draft = made.now
    if (made.rung) rungs.push(made.rung)
    isOwn ||= author === 'own' && change.scalesLoads === true
  }
  const { id, goal, rest, part } = group
  const asked = {
    group: id,
    sets: draft.sets,
    reps: goal.reps,
    ...(part && { part }),
    ...(goal.plus && { plus: goal.plus }),
    ...(draft.rir !== undefined && { rir: draft.rir }),
    ...(rest !== undefined && { rest }),
  }
  const today = price?.today ?? (priced && isLater(priced) ? priced.later : undefined)
  const follows = today && { today: { ...today, way } }
  if (!price || draft.percent === null) {
    const missing = priced && isNeed(priced) && { missing: true as const }
    return { ...asked, target: null, load: null, ...missing, ...follows, why: rungs }
  }
  const whole = less(multiply(price.base, draft.percent, draft.scale), price.minus)
  const limited = limit(whole, draft.cap)
  rungs.push(...limited.rungs)
  const made = make(limited.load, loading, way)
  const isShort = made.short ?? (isRuled && (isOwn || limited.rungs.length > 0))
  return {
    ...asked,
    target: less(scale(price.base, price.percent), price.minus),
    ...(isRuled && { ruled: price.base }),
    load: made.load,
    ...(made.side && { side: made.side }),
    ...(isShort && { short: true as const }),
    ...follows,
    why: [...rungs, ...made.rungs],
  }
}

/** Multiplied in one go and cut once, so that nothing is rounded on the way. */
function multiply(base: Load, percent: number, factor: number): Load {
  return { value: snap((base.value * percent * factor) / 10000), unit: base.unit }
}

function limit(load: Load, cap: GroupDraft['cap']): { load: Load; rungs: Rung[] } {
  const most = cap && { value: cap.at[load.unit], unit: load.unit }
  if (!cap || !most || compareLoads(load, most) <= 0) return { load, rungs: [] }
  return { load: most, rungs: [{ id: 'cap.at', data: { author: cap.author, load: most } }] }
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
