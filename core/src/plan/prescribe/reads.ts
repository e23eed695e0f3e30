import { exerciseOf, isSameLift, liftKey, type Lift } from '../../library/index.ts'
import { type Known, type Priced, sayMain, type TopSeen } from '../../loads/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Slot, Template } from '../../template/index.ts'
import { addLoad, heavier, scale, type Load } from '../../units/index.ts'
import { actingOn, lightening, nameOf, scalesTrackLoads } from '../compile/changes.ts'
import { inPhase, roleAt, roleKey, type CompiledSlot } from '../compile/slot.ts'
import { lastKey } from '../state/state.ts'
import type { Situation } from '../state/situation.ts'
import { heaviestSeen, tonnageOf, totalOf, type OnTheBar } from './onTheBar.ts'

// What a load may be read off: other sets of today, of the week, in another role, or of last time.

/**
 * The top set of another slot today. Loads do not carry from one exercise to another: where the two lifts differ it is read only as the
 * template ties them, with both slots on the exercises that are written.
 */
export function topOfSlot(
  { slots }: Template,
  lift: Lift,
  id: Id,
  before: OnTheBar[],
  other: Id,
  only: Id | undefined,
): TopSeen {
  const read = before.find((one) => one.slot === other)
  if (!read) return { lacks: 'leftOut' }
  const isOther = !isSameLift(read.lift, lift)
  if (!isOther) return heaviestSeen(read, only) ?? noTop
  const [own, from] = [slots[id], slots[other]]
  const isTied = own && from && isSameLift(own, lift) && isSameLift(from, read.lift)
  if (!isTied) return { lacks: 'otherLift', of: read.lift }
  const seen = heaviestSeen(read, only) ?? noTop
  return { ...seen, isOther: true }
}

export const noTop: TopSeen = { load: null }

/**
 * What a lift has moved this week, in the sessions behind and in the slots before this one today, as it would be without the week's
 * changes: those act on what is read off it, once.
 */
export function movedSoFar(
  { library, state, place, changes, spot }: Situation,
  lift: Lift,
  before: OnTheBar[],
): Load | null {
  const key = liftKey(lift)
  const behind = state.moved[key]
  let sum = behind?.week === place.week ? behind.load : null
  for (const one of before) {
    const more = tonnageOf(one, false).get(key)
    if (!more) continue
    const felt = new Set(one.felt?.flat())
    const own = actingOn(changes, library, spot, one.slot, one.lift)
    const isRunning = one.prescriptions.some(({ ruled }) => ruled)
    const acted = own.filter((change) => felt.has(nameOf(change)) && !(isRunning && scalesTrackLoads(change)))
    const whole = scale(more, 10_000 / lightening(acted))
    sum = sum ? addLoad(sum, whole) : whole
  }
  return sum
}

/** The load of a prescription when the slot was last trained; else the lift's last one, at another place. */
export function lastLoad(
  { library, state, evidence }: Situation,
  slot: Id,
  prescribed: Id,
  lift: Slot,
): ReturnType<NonNullable<Known['last']>> {
  const here = state.lastLoads[lastKey(slot, prescribed, lift)]
  if (here) return { ...here, isSamePlace: true }
  const last = evidence.last[liftKey(lift)]
  if (!last) return null
  const body = exerciseOf(library, lift).tool === 'body weight' ? evidence.body?.load : undefined
  const done = last.sets.filter(({ failed }) => !failed)
  const loads = done.flatMap((set) => totalOf({ body, load: set.load ?? null }, set) ?? [])
  const load = loads.reduce<Load | null>(heavier, null)
  return load && { load, date: last.date, isSamePlace: false }
}

/** Of a slot on the lighter side of its progression: the load of the other slot's day this week, where that was trained. */
export function lighterLoad(situation: Situation, own: CompiledSlot): Priced | null {
  const { place } = situation
  const [lighter] = inPhase(own, place.phase.id).lighter
  const seen = lighter && roleSeen(situation, own, roleAt(lighter.use, place.inWeek))
  if (!seen?.isThisWeek) return null
  const { load, date, felt } = seen
  const step = date ? sayMain('progression.main', { load, date }) : sayMain('progression.mainAhead', { load })
  const priced: Priced = { base: load, percent: 100, steps: [step] }
  if (felt) priced.felt = felt
  return priced
}

/** The load on the bar when the slot's progression was last trained in a role: this week's, or else the last normal one. */
export function roleSeen(
  { state, place }: Situation,
  own: CompiledSlot,
  role: string,
): ReturnType<NonNullable<Known['role']>> {
  for (const use of own.uses) {
    const seen = state.roles[roleKey(own, use, role)]
    const thisWeek = seen?.deload?.week === place.week ? seen.deload : seen?.normal
    if (thisWeek) return { ...thisWeek, isThisWeek: thisWeek.week === place.week }
  }
  return null
}
