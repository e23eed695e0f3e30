import type { Id } from '../../parsing/index.ts'
import { changeOf, type Spot, slotWith } from '../../adjustments/index.ts'
import type { WhyStep } from '../../words/index.ts'
import { exerciseOf, mainMuscle, liftKey, liftOf, type Lift, type Library } from '../../library/index.ts'
import { isNeed, type Known, type Need, sourceOf } from '../../loads/index.ts'
import type { ShownSets } from '../../member/index.ts'
import { type SetPrescription, type Slot, type Template, inherit } from '../../template/index.ts'
import { addLoad, snap, type Load, type Way, heavier } from '../../units/index.ts'
import { ramp, type WarmUpSet } from '../../warmups/index.ts'
import { acting, isDeload, scalesTrackLoads, type Authored } from '../compile/changes.ts'
import { capped } from './countdown.ts'
import { loadingAt, type Loading, maxFor } from '../../evidence/index.ts'
import { ruleInputs } from '../progress/ruleInputs.ts'
import type { Line } from './lineup.ts'
import { heaviestOf, tonnageOf, totalOf, type OnTheBar } from './onTheBar.ts'
import { askProgressions, nothingAsked } from '../progress/progress.ts'
import { rowAt, rowSteps } from './rows.ts'
import { withScheme } from './withScheme.ts'
import { askedOf, showSets } from './showSets.ts'
import { lastKey, progressionKey } from '../state/state.ts'
import type { Prescribed, Situation } from '../state/situation.ts'

/** One slot: row → source or rule → changes → rounding, prescription by prescription; what its load lacks is asked for. */
export function prescribeSlot(
  situation: Situation,
  spot: Spot,
  possible: Authored[],
  { id, slot, steps: lineSteps }: Line,
  before: OnTheBar[],
): Prescribed {
  const { library, template, state, evidence, place, at } = situation
  const changes = possible.length
    ? acting(possible, { ...spot, slot: slotWith(library, id, slot) })
    : possible
  const row = rowAt(situation, id, slot)
  const deload = changes.some(isDeload)
  const loading = loadingAt(library, evidence, at, slot)
  const first = firstScale(situation, spot, id, slot)
  const max = maxFor(library, evidence, slot, template.maxes, situation.day)
  const asked = slot.uses.length
    ? askProgressions(
        template,
        state,
        slot,
        place.inWeek,
        ruleInputs(situation, id, slot, { body: loading.body, unit: loading.home.unit, first, max }),
      )
    : nothingAsked
  const own: OnTheBar = { slot: id, prescriptions: [], sets: [] }
  const known: Known = {
    library,
    lift: slot,
    max,
    unit: loading.here.unit,
    trainingMax: template.trainingMax,
    progression: asked.load,
    table: template.maxes.table,
    maxOf: (lift) => maxFor(library, evidence, lift, template.maxes, situation.day),
    today: (other, only) => {
      const read = other === undefined ? own : before.find((one) => one.slot === other)
      return read ? heaviestOf(read, only) : null
    },
    role: (role) => roleSeen(situation, slot, role),
    moved: () => movedSoFar(situation, slot, before),
    body: evidence.body?.load,
  }
  // Where an exercise with a load of its own was swapped for body-weight work, the member's load is not the template's to give.
  const isOnBody = exerciseOf(library, slot).tool === 'body weight'
  const isLoaded = !isOnBody || exerciseOf(library, template.slots[id] ?? slot).tool === 'body weight'
  const held = rowSteps(slot, place, row)
  const opening =
    held.length || lineSteps.length || asked.steps.length ? [...held, ...lineSteps, ...asked.steps] : held
  const made: Prescribed = { id, slot, row, deload, prescriptions: own.prescriptions, needs: [], first }
  const written = inherit(
    slot.rows[place.phase.id]?.[row] ?? [],
    template.sessions[place.session],
    place.phase,
  )
  for (const prescribed of withScheme(written, asked)) {
    if (prescribed.lift) {
      own.prescriptions.push(
        showLine(situation, spot, possible, { known, opening, made }, prescribed, prescribed.lift),
      )
      continue
    }
    const sets = prescribed.sets + (prescribed.fixed?.includes('sets') ? 0 : asked.moreSets)
    known.asked = askedOf({ ...prescribed, sets })
    known.last = () => lastLoad(situation, id, prescribed.id, slot)
    const priced = isLoaded
      ? needsBody(library, sourceOf[prescribed.load.of].price(known, prescribed.load), slot, loading)
      : null
    if (priced && isNeed(priced) && !made.needs.length)
      made.needs.push({ ...priced, lift: liftOf(priced.lift) })
    own.prescriptions.push(
      showSets(prescribed, sets, priced, opening, changes, loading, wayOf(template, prescribed, deload)),
    )
  }
  if (slot.by === 'toTest')
    made.prescriptions = capped(situation, id, slot, row, known, own.prescriptions, loading)
  if (asked.load && !isNeed(asked.load)) made.ruled = asked.load.base
  return made
}

/** A line of a circuit: priced, changed and rounded as the lift that it is. */
function showLine(
  { library, template, evidence, day, at }: Situation,
  spot: Spot,
  possible: Authored[],
  { known, opening, made }: { known: Known; opening: WhyStep[]; made: Prescribed },
  prescribed: SetPrescription,
  lift: Lift,
): ShownSets {
  const loading = loadingAt(library, evidence, at, lift)
  const changes = acting(possible, { ...spot, slot: slotWith(library, made.id, lift) })
  const max = maxFor(library, evidence, lift, template.maxes, day)
  const own: Known = { ...known, lift, max, unit: loading.here.unit, asked: askedOf(prescribed) }
  const priced = needsBody(library, sourceOf[prescribed.load.of].price(own, prescribed.load), lift, loading)
  if (priced && isNeed(priced) && !made.needs.length)
    made.needs.push({ ...priced, lift: liftOf(priced.lift) })
  const way = wayOf(template, prescribed, changes.some(isDeload))
  return showSets(prescribed, prescribed.sets, priced, opening, changes, loading, way)
}

/** The ramp to a slot's first load, after what was trained before it; none for a lift that is warm already. */
export function warmUpsFor(
  { library, template, evidence, at }: Situation,
  { slot, prescriptions }: Prescribed,
  trained: Lift[],
): WarmUpSet[] | undefined {
  const rule = slot.warmUp ?? template.warmUp
  const work = prescriptions.find(({ load }) => load)?.load
  const { tool } = exerciseOf(library, slot)
  if (!rule || rule === 'none' || slot.circuit || !work || tool === 'body weight') return undefined
  if (trained.some((lift) => liftKey(lift) === liftKey(slot))) return undefined
  const isShort = trained.some((lift) => mainMuscle(library, lift) === mainMuscle(library, slot))
  return ramp(rule, work, loadingAt(library, evidence, at, slot).here, isShort)
}

/** A load of a body-weight exercise is split into the body and the rest: without a body weight there is none. */
function needsBody<T extends object | null>(
  library: Library,
  priced: T,
  lift: Lift,
  { body }: Loading,
): T | Need {
  const isLoad = priced !== null && !isNeed(priced)
  return isLoad && exerciseOf(library, lift).tool === 'body weight' && !body
    ? { need: 'bodyWeight', lift }
    : priced
}

/** What a lift has moved this week: in the sessions behind, and in the slots before this one today. */
function movedSoFar({ state, place }: Situation, lift: Lift, before: OnTheBar[]): Load | null {
  const behind = state.moved[liftKey(lift)]
  let sum = behind?.week === place.week ? behind.load : null
  for (const one of before) {
    if (one.lift !== liftKey(lift)) continue
    const more = tonnageOf(one, false)
    if (more) sum = sum ? addLoad(sum, more) : more
  }
  return sum
}

/** The load of a prescription when the slot was last trained; else the lift's last one, at another place. */
function lastLoad(
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
  const loads = last.sets.flatMap((set) => totalOf({ body, load: set.load ?? null }, set) ?? [])
  const load = loads.reduce<Load | null>(heavier, null)
  return load && { load, date: last.date, isSamePlace: false }
}

/** Test singles and deloads round down. */
const wayOf = ({ rounding }: Template, { kind: part }: SetPrescription, deload: boolean): Way =>
  deload || part === 'test' ? 'down' : rounding

const noScale: Prescribed['first'] = { scale: 100, steps: [] }

/** What the track makes of a progression's first load: a running one never feels it. */
export function firstScale(
  { library, changes }: Situation,
  spot: Spot,
  id: Id,
  slot: Slot,
): Prescribed['first'] {
  if (!slot.uses.length || !changes.some(scalesTrackLoads)) return noScale
  return acting(changes.filter(scalesTrackLoads), { ...spot, slot: slotWith(library, id, slot) }).reduce<
    Prescribed['first']
  >(({ scale: factor, steps }, { adjustment: { do: change }, label }) => {
    const made = changeOf[change.kind].onSets?.({ sets: 1, percent: 100, scale: factor }, change, label)
    if (!made) return { scale: factor, steps }
    const { percent, scale: next } = made.now
    return { scale: snap((next * (percent ?? 100)) / 100), steps: made.step ? [...steps, made.step] : steps }
  }, noScale)
}

/** The load on the bar when the slot's progression was last trained in a role: this week's, or else the last normal one. */
function roleSeen(
  { state, place }: Situation,
  slot: Slot,
  role: string,
): ReturnType<NonNullable<Known['role']>> {
  for (const { progression } of slot.uses) {
    const seen = state.roles[`${progressionKey(progression, slot)}/${role}`]
    const thisWeek = seen?.deload?.week === place.week ? seen.deload : seen?.normal
    if (thisWeek) return { ...thisWeek, isThisWeek: thisWeek.week === place.week }
  }
  return null
}
