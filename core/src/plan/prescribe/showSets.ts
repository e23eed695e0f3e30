import type { Loading } from '../../evidence/index.ts'
import { type SetsDraft, changeOf, sayCap, sayPoints } from '../../adjustments/index.ts'
import type { WhyStep } from '../../words/index.ts'
import type { Id } from '../../parsing/index.ts'
import { kindOf } from '../../goals/index.ts'
import {
  type Felt,
  isLater,
  isNeed,
  type Known,
  type Later,
  type Need,
  type Priced,
  sayMax,
  sourceOf,
} from '../../loads/index.ts'
import { mostTableReps, percentFor, type RepTable } from '../../maxes/index.ts'
import type { ShownSets } from '../../member/index.ts'
import type { AsWritten, SetPrescription, Template } from '../../template/index.ts'
import {
  addLoad,
  compareLoads,
  highest,
  inUnit,
  lowest,
  scale,
  snap,
  type Load,
  type Way,
} from '../../units/index.ts'
import { isDeload, nameOf, scalesLoads, type Authored } from '../compile/changes.ts'
import { shifted } from './onTheBar.ts'
import { make, putLoad, upToStep, type Made } from './round.ts'

/**
 * A prescription as it is asked: its price, the changes on it, one rounding, and the ladder of all of them. Beside it the
 * changes that have acted on its load.
 */
export function showSets(
  { prescribed, sets, slot, priced, opening, changes, able, byRule }: Asking,
  loading: Loading,
  rounding: Rounding,
): { shown: ShownSets; felt: Felt } {
  const base = priced && !isNeed(priced) ? priced : null
  const price = base && !isLater(base) ? base : null
  const steps = base ? [...opening, ...base.steps] : [...opening]
  const { draft, felt, isOwn, isCut } = changeSets({ prescribed, sets, slot, changes }, base, loading, steps)
  const shown = asAsked(prescribed, draft)
  const way = wayOf(rounding, prescribed, isCut)
  if (loading.body) shown.body = loading.body
  if (byRule) shown.byRule = byRule
  shown.why = steps
  const capped = draft.cap && { value: draft.cap.at[loading.here.unit], unit: loading.here.unit }
  const today = price ? price.today : priced && isLater(priced) ? priced.later : undefined
  if (today) {
    shown.today = { ...today, way }
    if (draft.percent !== null) shown.today.percent = draft.percent
    if (draft.scale !== 100) shown.today.scale = draft.scale
    if (capped) shown.today.most = capped
  }
  if (!price || draft.percent === null) {
    if (priced && isNeed(priced)) {
      shown.missing = true
      shown.need = priced.need
    }
    return { shown, felt }
  }
  const asked =
    price.minus || price.plus
      ? scale(shifted(scale(price.base, draft.percent), price), draft.scale)
      : multiply(price.base, draft.percent, draft.scale)
  const whole = cutAdded(asked, draft.added, loading.body)
  const isMeant = prescribed.over === true || prescribed.kind === 'test'
  const most = isMeant ? undefined : price.most
  const allowed = able && allows(able, draft, prescribed)
  const ofOwn = price.isOther && !isMeant ? allowed?.most : undefined
  const meant = limit(heldToOwn(held(whole, most, steps), ofOwn, steps), capped, steps, draft.cap?.author)
  const made = makeWithin(most, ofOwn, capped, meant, loading, way)
  for (const step of made.steps) steps.push(step)
  const upper = upperOf(price, draft, loading, [most, ofOwn, capped])
  const isBand = upper !== null && !made.help && compareLoads(upper.total, made.total) > 0
  if (isBand) {
    shown.upTo = upper.load
    steps.push(upToStep(upper.load))
  }
  shown.target = shifted(scale(price.base, price.percent), price)
  const isHeld = ofOwn !== undefined && compareLoads(whole, ofOwn) > 0
  const heaviest = isBand ? upper.total : made.total
  if (allowed && (isHeld || isAbove(allowed, isBand ? heaviest : meant, heaviest)))
    shown.beyond = { how: isHeld ? 'held' : isMeant ? 'meant' : (price.reached ?? 'written'), ...allowed }
  const isRuled = prescribed.load.of === 'progression'
  if (isRuled) shown.ruled = price.base
  const short = made.short || (isRuled && (isOwn || meant !== whole))
  if (short) shown.short = true
  return { shown: putLoad(shown, made), felt }
}

/** Sets on their way to the bar: those that are written and those that a rule adds, the rungs before the price's own, and the changes. */
type Asking = {
  prescribed: SetPrescription
  sets: number
  slot: Id
  priced: Priced | Later | Need | null
  opening: readonly WhyStep[]
  changes: Authored[]
  able: Able | null
  /** What progressions have written of sets and reps, where they do. */
  byRule?: ShownSets['byRule'] | undefined
}

/** The most that is known of the lift itself, and the template's percentages for reps. */
export type Able = { max: Load; table: RepTable }

type Rounding = Pick<Template, 'rounding' | 'deloadRounding' | 'testRounding'>

/** Test singles round down, and what a deload has cut to the nearest with ties down, unless the writer says otherwise. */
const wayOf = (
  { rounding, deloadRounding = 'nearestDown', testRounding = 'down' }: Rounding,
  { kind }: SetPrescription,
  isCut: boolean,
): Way => (kind === 'test' ? testRounding : isCut ? deloadRounding : rounding)

/** What the lift's own max allows for the reps that are asked, to failure. */
function allows({ max, table }: Able, { reps }: SetsDraft, { goal }: SetPrescription) {
  const count = lowest(reps ?? kindOf(goal).reps(goal) ?? 1)
  return { max, most: scale(max, percentFor(table, Math.min(count, mostTableReps))), reps: count }
}

/** More than the reps allow before rounding, or more than the max itself on the bar. */
const isAbove = ({ max, most }: { max: Load; most: Load }, meant: Load, made: Load): boolean =>
  compareLoads(meant, most) > 0 || compareLoads(made, max) > 0

/** Of a load that is read off another lift no more than the lift's own max allows for the reps. */
function heldToOwn(load: Load, most: Load | undefined, steps: WhyStep[]): Load {
  if (!most || compareLoads(load, most) <= 0) return load
  steps.push(sayMax('max.ofOwn', { load: most }))
  return most
}

/** Of a load on top of body weight only what is added is changed; assistance stays. */
function cutAdded(total: Load, percent: number | undefined, body: Load | undefined): Load {
  if (percent === undefined || !body || compareLoads(total, body) <= 0) return total
  const whole = inUnit(body, total.unit)
  return addLoad(whole, scale({ value: snap(total.value - whole.value), unit: total.unit }, percent))
}

/** What a source may know of the sets that it prices. */
export const askedOf = ({ goal, rir, rest }: SetPrescription, sets: number): NonNullable<Known['asked']> => ({
  sets,
  reps: lowest(kindOf(goal).reps(goal) ?? 1),
  rir,
  // What a short rest takes off, the shortest that may be taken does.
  rest: rest === undefined ? undefined : lowest(rest),
})

/** The prescription as it is asked, but for its load. */
function asAsked(prescribed: SetPrescription, { sets, rir, reps }: SetsDraft): ShownSets {
  const shown: ShownSets = {
    prescription: prescribed.id,
    sets,
    reps: null,
    target: null,
    load: null,
    why: [],
  }
  if ('reps' in prescribed.goal) {
    shown.reps = reps ?? prescribed.goal.reps
    if (prescribed.goal.amrap && reps === prescribed.goal.reps) shown.amrap = prescribed.goal.amrap
  } else shown.goal = prescribed.goal
  for (const key in prescribed) if (isAsWritten(key)) put(shown, key, prescribed[key])
  // Where a change or a progression asks for fewer sets than may be left out, all of them are asked.
  if (shown.least !== undefined && shown.least > sets) shown.least = sets
  if (rir !== undefined) shown.rir = rir
  return shown
}

const put = <K extends keyof AsWritten>(shown: AsWritten, key: K, value: AsWritten[K]): void => {
  shown[key] = value
}

const isAsWritten = (key: string): key is keyof AsWritten => asWritten.has(key)
const asWritten = new Set<string>([
  'lift',
  'kind',
  'rest',
  'roundRest',
  'tempo',
  'perSide',
  'option',
  'style',
  'bands',
  'least',
  'stop',
] satisfies (keyof AsWritten)[])

/**
 * Lets the changes act on a prescription in their order, each with its rung. Says which have acted on its load, here or on the load
 * that it is read off, whether the member's own are among them, and whether a deload has cut it.
 */
function changeSets(
  { prescribed, sets, slot, changes }: Pick<Asking, 'prescribed' | 'sets' | 'slot' | 'changes'>,
  price: Priced | Later | null,
  { body }: Loading,
  steps: WhyStep[],
): { draft: SetsDraft; felt: Felt; isOwn: boolean; isCut: boolean } {
  let draft: SetsDraft = {
    sets,
    percent: price ? (isLater(price) ? price.later.percent : price.percent) : null,
    scale: 100,
    rir: prescribed.rir,
  }
  if (body) draft.isOnBody = true
  if ('reps' in prescribed.goal) draft.reps = prescribed.goal.reps
  if (!changes.length) return { draft, felt: price?.felt ?? noneFelt, isOwn: false, isCut: false }
  const felt: string[] = [...(price?.felt ?? noneFelt)]
  let isOwn = false
  let isCut = false
  for (const one of changes) {
    const { adjustment, author, label } = one
    const change = changeOf[adjustment.do.kind]
    if (!change.onSets) continue
    const isFelt = price?.felt?.includes(nameOf(one)) === true
    const isRunning = author === 'track' && price !== null && !isLater(price) && price.isRunning === true
    const isBarred = change.scalesLoads && (isFelt || isRunning || !actsOnLoad(one, prescribed, slot))
    const made = change.onSets(draft, adjustment.do, label)
    if (isRunning && change.scalesLoads && !isFelt) felt.push(nameOf(one))
    if (!made) continue
    const { percent, scale: by, added } = draft
    const now = isBarred ? { ...made.now, percent, scale: by, added } : made.now
    if (isBarred && change.onPercentages && price && !isFelt && !isRunning && !isPercentage(prescribed))
      steps.push(sayPoints('points.none', { author: label }))
    if (isBarred && isSameAsk(now, draft)) continue
    const isScaled = now.percent !== percent || now.scale !== by || now.added !== added
    draft = now
    if (made.step) steps.push(made.step)
    if (!isFelt) felt.push(nameOf(one))
    isOwn ||= author === 'own' && isScaled
    isCut ||= isDeload(one) && isScaled
  }
  return {
    draft,
    felt,
    isOwn,
    isCut: isCut || changes.some((one) => isDeload(one) && felt.includes(nameOf(one)) && scalesLoads(one)),
  }
}

const noneFelt: Felt = []

const isSameAsk = (a: SetsDraft, b: SetsDraft): boolean =>
  a.sets === b.sets && a.rir === b.rir && JSON.stringify(a.reps) === JSON.stringify(b.reps) && a.cap === b.cap

/**
 * Whether a change in percent may act on the load of a prescription: one by points only where a percentage is written; a track's not on
 * tests and heavy singles, which are the same for all, unless it names the slot or says that they are meant.
 */
function actsOnLoad({ adjustment, author }: Authored, prescribed: SetPrescription, slot: Id): boolean {
  const { do: change, where } = adjustment
  if (changeOf[change.kind].onPercentages && !isPercentage(prescribed)) return false
  if (author !== 'track' || where.slots?.includes(slot)) return true
  return ('singles' in change && change.singles === 'changed') || !isHeavySingle(prescribed)
}

/** Whether a load is written as a percentage of something. */
const isPercentage = ({ load }: SetPrescription): boolean =>
  sourceOf[load.of].isPercentage === true || ('percent' in load && load.percent !== undefined)

/** A test, or a single that is no speed work: by a progression, by effort, or at 85% of the max and more. */
function isHeavySingle({ kind, goal, style, load }: SetPrescription): boolean {
  if (kind === 'test') return true
  if (!('reps' in goal) || highest(goal.reps) !== 1 || goal.amrap || style !== undefined) return false
  return !('percent' in load) || load.percent === undefined || load.percent >= heavyFrom
}
const heavyFrom = 85

/** Multiplied in one go and cut once, so that nothing is rounded on the way. */
function multiply(base: Load, percent: number, factor: number): Load {
  return { value: snap((base.value * percent * factor) / 10000), unit: base.unit }
}

/** Made the way that is asked, but down where that would pass one of the limits. */
function makeWithin(
  most: Load | undefined,
  ofOwn: Load | undefined,
  capped: Load | undefined,
  meant: Load,
  loading: Loading,
  way: Way,
): Made {
  const made = make(meant, loading, way)
  const isOver = isBeyond(made.total, most) || isBeyond(made.total, ofOwn) || isBeyond(made.total, capped)
  return isOver ? make(meant, loading, 'down') : made
}

/** The upper end of a band, changed like its lower end and within the same limits: down to what can be loaded. */
function upperOf(
  { base, percent, to, minus }: Priced,
  draft: SetsDraft,
  loading: Loading,
  limits: (Load | undefined)[],
): Made | null {
  if (to === undefined || minus || draft.percent === null) return null
  const asked = multiply(base, snap(draft.percent + to - percent), draft.scale)
  const whole = cutAdded(asked, draft.added, loading.body)
  const within = limits.reduce<Load>(
    (load, most) => (most && compareLoads(load, most) > 0 ? most : load),
    whole,
  )
  return make(within, loading, 'down')
}

const isBeyond = (load: Load, limit: Load | undefined): boolean =>
  limit !== undefined && compareLoads(load, limit) > 0

/** No more than the 1RM, where it is known and more was not said to be meant. */
function held(load: Load, most: Load | undefined, steps: WhyStep[]): Load {
  if (!most || compareLoads(load, most) <= 0) return load
  steps.push(sayMax('max.held', { load: most }))
  return most
}

/** No more than a cap, in the unit of the plates: it is written in both and never converted. */
function limit(load: Load, most: Load | undefined, steps: WhyStep[], author = ''): Load {
  if (!most || compareLoads(load, most) <= 0) return load
  steps.push(sayCap('cap.at', { author, load: most }))
  return most
}
