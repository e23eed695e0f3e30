import type { Loading } from '../../evidence/index.ts'
import type { Id } from '../../parsing/index.ts'
import { isLater, isNeed, type Known, sourceOf } from '../../loads/index.ts'
import type { ShownSets } from '../../member/index.ts'
import type { Slot } from '../../template/index.ts'
import { addStep, compareLoads, inUnit, scale, type Load } from '../../units/index.ts'
import type { Situation } from '../state/situation.ts'
import { totalOf } from './onTheBar.ts'
import { make, withLoad, showMessages } from './round.ts'
import { askedOf } from './showSets.ts'
import { inPhase, type CompiledSlot } from '../compile/slot.ts'

/**
 * Rows that are counted back from a test day do not wait for weeks that were missed: they are held to one step above the
 * heaviest load trained in the phase, or above the phase's first row where nothing has been trained.
 */
export function capped(
  { state, place }: Situation,
  own: CompiledSlot,
  row: number,
  known: Known,
  prescriptions: ShownSets[],
  loading: Loading,
): ShownSets[] {
  const { slot } = own
  const trained = state.heaviest[inPhase(own, place.phase.id).heaviest]
  const step = slot.capStep
  const base = trained ?? (row > 0 && place.phaseWeek > 1 ? firstRowLoad(slot, place.phase.id, known) : null)
  if (!base || !step) return prescriptions
  const most = addStep(inUnit(base, loading.here.unit), step)
  return prescriptions.map((prescribed) => {
    const asked = totalOf(prescribed, prescribed)
    if (!asked || compareLoads(asked, most) <= 0) return withinBand(prescribed, most)
    const made = make(most, loading, 'down')
    const why = prescribed.why.filter(({ id: step }) => !(step in showMessages))
    const step = { id: trained ? 'row.capped' : 'row.cappedFirst', data: { heaviest: base, load: most } }
    return { ...withLoad(prescribed, made), why: [...why, step, ...made.steps] }
  })
}

/** A band whose lower end is within the cap gives up its upper end where that is above it. */
function withinBand(prescribed: ShownSets, most: Load): ShownSets {
  const { upTo, ...rest } = prescribed
  const upper = upTo && totalOf(prescribed, { load: upTo })
  if (!upper || compareLoads(upper, most) <= 0) return prescribed
  return { ...rest, why: rest.why.filter((step) => step.id !== 'band.upTo') }
}

function firstRowLoad(slot: Slot, phase: Id, known: Known): Load | null {
  let heaviest: Load | null = null
  for (const prescribed of slot.rows[phase]?.[0] ?? []) {
    const { load } = prescribed
    const priced = sourceOf[load.of].price({ ...known, asked: askedOf(prescribed, prescribed.sets) }, load)
    if (!priced || isNeed(priced) || isLater(priced)) continue
    const meant = scale(priced.base, priced.percent)
    if (!heaviest || compareLoads(meant, heaviest) > 0) heaviest = meant
  }
  return heaviest
}
