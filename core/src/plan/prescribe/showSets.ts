import type { Loading } from '../../evidence/index.ts'
import { type SetsDraft, changeOf, sayCap } from '../../adjustments/index.ts'
import type { WhyStep } from '../../words/index.ts'
import { kindOf } from '../../goals/index.ts'
import { isLater, isNeed, type Known, type Later, type Need, type Priced, sayMax } from '../../loads/index.ts'
import type { ShownSets } from '../../member/index.ts'
import type { AsWritten, SetPrescription } from '../../template/index.ts'
import { compareLoads, lowest, scale, snap, type Load, type Way } from '../../units/index.ts'
import type { Authored } from '../compile/changes.ts'
import { less } from './onTheBar.ts'
import { make, putLoad, type Made } from './round.ts'

/**
 * A prescription as it is asked: its price, the changes on it, one rounding, and the ladder of all of them. `sets` are those
 * that are written and those that a rule adds; `opening` are the rungs that stand before the price's own.
 */
export function showSets(
  prescribed: SetPrescription,
  sets: number,
  priced: Priced | Later | Need | null,
  opening: WhyStep[],
  changes: Authored[],
  loading: Loading,
  way: Way,
): ShownSets {
  const price = priced && !isNeed(priced) && !isLater(priced) ? priced : null
  const steps = [...opening]
  if (priced && !isNeed(priced)) steps.push(...priced.steps)
  const { draft, isOwn } = changeSets(prescribed, sets, price, changes, steps)
  const shown = asAsked(prescribed, draft)
  if (loading.body) shown.body = loading.body
  const today = price ? price.today : priced && isLater(priced) ? priced.later : undefined
  if (today) shown.today = { ...today, way }
  shown.why = steps
  if (!price || draft.percent === null) {
    if (priced && isNeed(priced)) Object.assign(shown, { missing: true, need: priced.need })
    return shown
  }
  const whole = less(multiply(price.base, draft.percent, draft.scale), price.minus)
  const most = prescribed.over || prescribed.kind === 'test' ? undefined : price.most
  const capped = draft.cap && { value: draft.cap.at[loading.here.unit], unit: loading.here.unit }
  const meant = limit(held(whole, most, steps), capped, steps, draft.cap?.author)
  const made = makeWithin([most, capped], meant, loading, way)
  steps.push(...made.steps)
  shown.target = less(scale(price.base, price.percent), price.minus)
  const isRuled = prescribed.load.of === 'progression'
  if (isRuled) shown.ruled = price.base
  const short = made.short || (isRuled && (isOwn || meant !== whole))
  if (short) shown.short = true
  return putLoad(shown, made)
}

/** What a source may know of the sets that it prices. */
export const askedOf = ({ sets, goal, rir, rest }: SetPrescription): NonNullable<Known['asked']> => ({
  sets,
  reps: lowest(kindOf(goal).reps(goal) ?? 1),
  rir,
  rest,
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
  for (const key in prescribed)
    if (asWritten.has(key)) Object.assign(shown, { [key]: prescribed[key as keyof AsWritten] })
  if (rir !== undefined) shown.rir = rir
  return shown
}

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

/** Lets the changes act on a prescription in their order, each with its rung; says whether the member's own touched its load. */
function changeSets(
  prescribed: SetPrescription,
  sets: number,
  price: Priced | null,
  changes: Authored[],
  steps: WhyStep[],
): { draft: SetsDraft; isOwn: boolean } {
  const isRuled = prescribed.load.of === 'progression'
  let draft: SetsDraft = {
    sets,
    percent: price?.percent ?? null,
    scale: 100,
    rir: prescribed.rir,
    ...('reps' in prescribed.goal && { reps: prescribed.goal.reps }),
  }
  let isOwn = false
  for (const { adjustment, author, label } of changes) {
    const change = changeOf[adjustment.do.kind]
    if (!change.onSets) continue
    if (change.scalesLoads && (price?.isScaled || (isRuled && author === 'track'))) continue
    const made = change.onSets(draft, adjustment.do, label)
    if (!made) continue
    draft = made.now
    if (made.step) steps.push(made.step)
    isOwn ||= author === 'own' && change.scalesLoads === true
  }
  return { draft, isOwn }
}

/** Multiplied in one go and cut once, so that nothing is rounded on the way. */
function multiply(base: Load, percent: number, factor: number): Load {
  return { value: snap((base.value * percent * factor) / 10000), unit: base.unit }
}

/** Made the way that is asked, but down where that would pass one of the limits. */
function makeWithin(limits: (Load | undefined)[], meant: Load, loading: Loading, way: Way): Made {
  const made = make(meant, loading, way)
  const isOver = limits.some((limit) => limit && compareLoads(made.total, limit) > 0)
  return isOver ? make(meant, loading, 'down') : made
}

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
