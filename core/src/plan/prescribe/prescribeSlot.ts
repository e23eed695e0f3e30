import type { ShownSets } from '../../member/index.ts'
import { changeOf } from '../../adjustments/index.ts'
import type { WhyStep } from '../../words/index.ts'
import { exerciseOf, isSameLift, mainMuscle, liftOf, type Lift, type Library } from '../../library/index.ts'
import { type Felt, isNeed, type Known, type MaxInForce, type Need, sourceOf } from '../../loads/index.ts'
import type { SetPrescription } from '../../template/index.ts'
import { snap } from '../../units/index.ts'
import { ramp, type WarmUpSet } from '../../warmups/index.ts'
import { actingOn, isDeload, scalesLoads, type Author, type Authored } from '../compile/changes.ts'
import { rowIn, type CompiledSlot } from '../compile/slot.ts'
import { capped } from './countdown.ts'
import { ableFor, loadingAt, type Loading, maxFor } from '../../evidence/index.ts'
import { handOf } from './hand.ts'
import type { Line } from './lineup.ts'
import { heaviestSeen, type OnTheBar } from './onTheBar.ts'
import { askProgressions, nothingAsked, type Asked } from '../progress/progress.ts'
import { lastLoad, lighterLoad, movedSoFar, noTop, roleSeen, topOfSlot } from './reads.ts'
import { rowAt, rowSteps } from './rows.ts'
import { withScheme } from './withScheme.ts'
import { askedOf, showSets, type Able } from './showSets.ts'
import type { Prescribed, Situation } from '../state/situation.ts'

/** One slot: row → source or rule → changes → rounding, prescription by prescription; what its load lacks is asked for. */
export function prescribeSlot(
  situation: Situation,
  possible: Authored[],
  line: Line,
  before: OnTheBar[],
): Prescribed {
  const { library, template, evidence, place, at, spot } = situation
  const { own } = line
  const { id, slot } = own
  const acting = actingOn(possible, library, spot, id, slot)
  const row = rowAt(situation, own)
  const loading = loadingAt(library, evidence, at, slot)
  const { body } = loading
  const first = firstScale(own, acting)
  const max = maxFor(library, evidence, slot, template.maxes, situation.day)
  const asked = own.uses.length
    ? askProgressions({ situation, own, body, unit: loading.home.unit, first, max }, handOf)
    : nothingAsked
  const able = ableAt(situation, slot)
  const bar: OnTheBar & { felt: Felt[] } = { slot: id, lift: slot, prescriptions: [], sets: [], felt: [] }
  const known = knownAt(situation, own, loading, asked, max, bar, before)
  const isLoaded = takesLoad(situation, own)
  const opening = openingOf(rowSteps(slot, place, row), line.steps, asked.steps)
  const made: Prescribed = {
    id,
    slot,
    own,
    row,
    deload: acting.some(isDeload),
    prescriptions: bar.prescriptions,
    needs: [],
    first,
    acting,
  }
  const written = rowIn(own, place.phase, place.session, row, place.phaseWeek)
  for (const prescribed of withScheme(written, asked)) {
    if (prescribed.lift) {
      const line = showLine(situation, possible, { known, opening, made }, prescribed, prescribed.lift)
      bar.prescriptions.push(line.shown)
      bar.felt.push(line.felt)
      continue
    }
    const sets = prescribed.sets + (prescribed.fixed?.includes('sets') ? 0 : asked.moreSets)
    known.asked = askedOf(prescribed, sets)
    known.last = () => lastLoad(situation, id, prescribed.id, slot)
    const priced = isLoaded
      ? needsBody(library, sourceOf[prescribed.load.of].price(known, prescribed.load), slot, loading)
      : null
    if (priced && isNeed(priced) && !made.needs.length)
      made.needs.push({ ...priced, lift: liftOf(priced.lift) })
    const { shown, felt } = showSets(
      {
        prescribed,
        sets,
        slot: id,
        priced: ofOther(priced, max),
        opening: openingOf(opening, asked.lines?.[prescribed.id] ?? noSteps),
        changes: acting,
        able,
        byRule: asked.writesScheme || asked.total ? byRuleOf(asked, sets) : undefined,
      },
      loading,
      template,
    )
    bar.prescriptions.push(shown)
    bar.felt.push(felt)
  }
  if (slot.by === 'toTest') bar.prescriptions = capped(situation, own, row, known, bar.prescriptions, loading)
  made.prescriptions = bar.prescriptions
  before.push(bar)
  return made
}

/** Where an exercise with a load of its own was swapped for body-weight work, the member's load is not the template's to give. */
function takesLoad({ library, template }: Situation, { id, slot }: CompiledSlot): boolean {
  if (exerciseOf(library, slot).tool !== 'body weight') return true
  return exerciseOf(library, template.slots[id] ?? slot).tool === 'body weight'
}

const noSteps: readonly WhyStep[] = []

/** The steps before those of the load itself. */
function openingOf(...parts: (readonly WhyStep[])[]): readonly WhyStep[] {
  const said = parts.filter((steps) => steps.length)
  return said.length > 1 ? said.flat() : (said[0] ?? [])
}

/** What the sources of a slot's loads may read. */
function knownAt(
  situation: Situation,
  own: CompiledSlot,
  { here }: Loading,
  { load }: Asked,
  max: MaxInForce | null,
  bar: OnTheBar,
  before: OnTheBar[],
): Known {
  const { library, template, evidence, day } = situation
  const { id, slot } = own
  return {
    library,
    lift: slot,
    max,
    unit: here.unit,
    trainingMax: template.trainingMax,
    progression: lighterLoad(situation, own) ?? load,
    table: template.maxes.table,
    maxOf: (lift) => maxFor(library, evidence, lift, template.maxes, day),
    today: (other, only) =>
      other === undefined
        ? (heaviestSeen(bar, only) ?? noTop)
        : topOfSlot(template, slot, id, before, other, only),
    role: (role) => roleSeen(situation, own, role),
    moved: (lift) => movedSoFar(situation, lift, before),
    body: evidence.body?.load,
    asked: undefined,
    last: undefined,
  }
}

/** A line of a circuit: priced, changed and rounded as the lift that it is. */
function showLine(
  situation: Situation,
  possible: Authored[],
  { known, opening, made }: { known: Known; opening: readonly WhyStep[]; made: Prescribed },
  prescribed: SetPrescription,
  lift: Lift,
): ReturnType<typeof showSets> {
  const { library, template, evidence, day, at, spot } = situation
  const loading = loadingAt(library, evidence, at, lift)
  const changes = actingOn(possible, library, spot, made.id, lift)
  const max = maxFor(library, evidence, lift, template.maxes, day)
  const own: Known = {
    ...known,
    lift,
    max,
    unit: loading.here.unit,
    asked: askedOf(prescribed, prescribed.sets),
  }
  const priced = needsBody(library, sourceOf[prescribed.load.of].price(own, prescribed.load), lift, loading)
  if (priced && isNeed(priced) && !made.needs.length)
    made.needs.push({ ...priced, lift: liftOf(priced.lift) })
  return showSets(
    {
      prescribed,
      sets: prescribed.sets,
      slot: made.id,
      priced: ofOther(priced, max),
      opening,
      changes,
      able: ableAt(situation, lift),
    },
    loading,
    template,
  )
}

function byRuleOf({ moreSets, moreReps, total }: Asked, sets: number): NonNullable<ShownSets['byRule']> {
  const made: NonNullable<ShownSets['byRule']> = { sets }
  if (moreSets) made.moreSets = moreSets
  if (moreReps) made.moreReps = moreReps
  if (total) made.total = total
  return made
}

/** What is known of the lift itself, and the percentages for reps that the template goes by. */
function ableAt({ template, evidence, day }: Situation, lift: Lift): Able | null {
  const max = ableFor(evidence, lift, template.maxes, day)
  return max && { max, table: template.maxes.table ?? 'handbook' }
}

/** A load from a max by ratio is another lift's. */
const ofOther = <T extends object | null>(priced: T, max: MaxInForce | null): T =>
  max?.ratio && priced && 'base' in priced && 'most' in priced ? { ...priced, isOther: true } : priced

/** The ramp to a slot's first load, after what was trained before it; none for a lift that is warm already. */
export function warmUpsFor(
  { library, template, evidence, at }: Situation,
  { slot, prescriptions }: Prescribed,
  trained: Lift[],
): WarmUpSet[] | undefined {
  const rule = slot.warmUp ?? template.warmUp
  if (!rule || rule === 'none' || slot.circuit) return undefined
  const work = prescriptions.find(({ load }) => load)?.load
  if (!work || exerciseOf(library, slot).tool === 'body weight') return undefined
  if (trained.some((lift) => isSameLift(lift, slot))) return undefined
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
  if (body || priced === null || isNeed(priced)) return priced
  return exerciseOf(library, lift).tool === 'body weight' ? { need: 'bodyWeight', lift } : priced
}

const noScale: Prescribed['first'] = { scale: 100, points: 0, steps: [] }

/** What the track makes of a progression's first load: a running one never feels it. `acting` are the changes that act on the slot. */
export const firstScale = ({ uses }: CompiledSlot, acting: Authored[]): Prescribed['first'] =>
  uses.length ? scaleBy('track', acting) : noScale

/** What the changes in percent of one author make of a slot's load: a factor on it, and points on its percentage. */
export function scaleBy(whose: Author, acting: Authored[]): Prescribed['first'] {
  let made = noScale
  for (const one of acting) {
    if (one.author !== whose || !scalesLoads(one)) continue
    const {
      adjustment: { do: change },
      label,
    } = one
    const { scale: factor, points, steps } = made
    // Points act on the percentage that the load starts from, whatever that is: 100 only stands in for it.
    const changed = changeOf[change.kind].onSets?.({ sets: 1, percent: 100, scale: factor }, change, label)
    if (!changed) continue
    const { percent, scale: next } = changed.now
    const by = snap((percent ?? 100) - 100)
    made = by
      ? { scale: factor, points: snap(points + by), steps }
      : { scale: next, points, steps: changed.step ? [...steps, changed.step] : steps }
  }
  return made
}
