import { type WhyStep, declareSteps } from '../words/index.ts'
import { defaultFormula, formulaOf } from '../maxes/index.ts'
import { addLoad, snap, type Load } from '../units/index.ts'
import type { MaxInForce } from './source.ts'

const say = declareSteps({
  'repMax.set': '{reps}RM, the set itself: {load}',
  'repMax.formula': '{reps}RM {load} by {formula}',
})

export const repMaxMessages = say.messages

/**
 * The n-rep max behind the max in force: the set itself where the max was accepted from one of so many reps, else worked
 * out from the 1RM by the default formula, inverted. The 5RM of a 1RM of 116.6667 kg is 100 kg (Epley).
 */
export function repMaxOf({ load, from }: MaxInForce, reps: number): { load: Load; steps: WhyStep[] } {
  if (reps === 1) return { load, steps: [] }
  if (from?.reps === reps && !from.rir) {
    const set = from.body ? addLoad(from.body, from.load, from.help) : from.load
    return { load: set, steps: [say('repMax.set', { reps, load: set })] }
  }
  const { factor, title } = formulaOf[defaultFormula]
  const worked = { value: snap(load.value / factor(reps)), unit: load.unit }
  return { load: worked, steps: [say('repMax.formula', { reps, load: worked, formula: title })] }
}
