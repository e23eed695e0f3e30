import type { Id } from '../../parsing/index.ts'
import type { ShownSets } from '../../member/index.ts'
import { changeOf, type Spot, slotWith } from '../../adjustments/index.ts'
import type { WhyStep } from '../../words/index.ts'
import { exerciseOf, isSameLift, mainMuscle, liftOf, type Lift, type Library } from '../../library/index.ts'
import { type Felt, isNeed, type Known, type MaxInForce, type Need, sourceOf } from '../../loads/index.ts'
import { type SetPrescription, type Slot, inherit } from '../../template/index.ts'
import { snap } from '../../units/index.ts'
import { ramp, type WarmUpSet } from '../../warmups/index.ts'
import { acting, isDeload, scalesLoads, type Author, type Authored } from '../compile/changes.ts'
import { capped } from './countdown.ts'
import { ableFor, loadingAt, type Loading, maxFor } from '../../evidence/index.ts'
import { ruleInputs } from '../progress/ruleInputs.ts'
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
  const able = ableAt(situation, slot)
  const own: OnTheBar & { felt: Felt[] } = { slot: id, lift: slot, prescriptions: [], sets: [], felt: [] }
  const known: Known = {
    library,
    lift: slot,
    max,
    unit: loading.here.unit,
    trainingMax: template.trainingMax,
    progression: lighterLoad(situation, id, slot) ?? asked.load,
    table: template.maxes.table,
    maxOf: (lift) => maxFor(library, evidence, lift, template.maxes, situation.day),
    today: (other, only) =>
      other === undefined
        ? (heaviestSeen(own, only) ?? noTop)
        : topOfSlot(template, slot, id, before, other, only),
    role: (role) => roleSeen(situation, slot, role),
    moved: () => movedSoFar(situation, spot, slot, before),
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
      const line = showLine(situation, spot, possible, { known, opening, made }, prescribed, prescribed.lift)
      own.prescriptions.push(line.shown)
      own.felt.push(line.felt)
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
    const { shown, felt } = showSets(
      {
        prescribed,
        sets,
        slot: id,
        priced: ofOther(priced, max),
        opening,
        changes,
        able,
        ...((asked.writesScheme || asked.total) && { byRule: byRuleOf(asked, sets) }),
      },
      loading,
      template,
    )
    own.prescriptions.push(shown)
    own.felt.push(felt)
  }
  if (slot.by === 'toTest')
    own.prescriptions = capped(situation, id, slot, row, known, own.prescriptions, loading)
  made.prescriptions = own.prescriptions
  before.push(own)
  return made
}

/** A line of a circuit: priced, changed and rounded as the lift that it is. */
function showLine(
  situation: Situation,
  spot: Spot,
  possible: Authored[],
  { known, opening, made }: { known: Known; opening: WhyStep[]; made: Prescribed },
  prescribed: SetPrescription,
  lift: Lift,
): ReturnType<typeof showSets> {
  const { library, template, evidence, day, at } = situation
  const loading = loadingAt(library, evidence, at, lift)
  const changes = acting(possible, { ...spot, slot: slotWith(library, made.id, lift) })
  const max = maxFor(library, evidence, lift, template.maxes, day)
  const own: Known = { ...known, lift, max, unit: loading.here.unit, asked: askedOf(prescribed) }
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

const byRuleOf = ({ moreSets, moreReps, total }: Asked, sets: number): NonNullable<ShownSets['byRule']> => ({
  sets,
  ...(moreSets && { moreSets }),
  ...(moreReps && { moreReps }),
  ...(total && { total }),
})

/** What is known of the lift itself, and the percentages for reps that the template goes by. */
function ableAt({ template, evidence, day }: Situation, lift: Lift): Able | null {
  const max = ableFor(evidence, lift, template.maxes, day)
  return max && { max, table: template.maxes.table ?? 'handbook' }
}

/** A load from a max by ratio is another lift's. */
const ofOther = <T extends object | null>(priced: T, max: MaxInForce | null): T =>
  priced && 'base' in priced && 'most' in priced && max?.ratio ? { ...priced, isOther: true } : priced

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
  const isLoad = priced !== null && !isNeed(priced)
  return isLoad && exerciseOf(library, lift).tool === 'body weight' && !body
    ? { need: 'bodyWeight', lift }
    : priced
}

const noScale: Prescribed['first'] = { scale: 100, points: 0, steps: [] }

/** What the track makes of a progression's first load: a running one never feels it. */
export const firstScale = (situation: Situation, spot: Spot, id: Id, slot: Slot): Prescribed['first'] =>
  slot.uses.length ? scaleBy('track', situation, spot, id, slot) : noScale

/** What the changes in percent of one author make of a slot's load: a factor on it, and points on its percentage. */
export function scaleBy(
  whose: Author,
  { library, changes }: Situation,
  spot: Spot,
  id: Id,
  slot: Slot,
): Prescribed['first'] {
  const own = changes.filter((one) => one.author === whose && scalesLoads(one))
  if (!own.length) return noScale
  return acting(own, { ...spot, slot: slotWith(library, id, slot) }).reduce<Prescribed['first']>(
    ({ scale: factor, points, steps }, { adjustment: { do: change }, label }) => {
      // Points act on the percentage that the load starts from, whatever that is: 100 only stands in for it.
      const made = changeOf[change.kind].onSets?.({ sets: 1, percent: 100, scale: factor }, change, label)
      if (!made) return { scale: factor, points, steps }
      const { percent, scale: next } = made.now
      const by = snap((percent ?? 100) - 100)
      if (by) return { scale: factor, points: snap(points + by), steps }
      return { scale: next, points, steps: made.step ? [...steps, made.step] : steps }
    },
    noScale,
  )
}
