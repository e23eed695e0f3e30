import { type WhyStep, declareSteps } from '../words/index.ts'
import { partsFor, round, scale, withBar, type Load, type Makeable } from '../units/index.ts'
import { warmUpOf, type WarmUp } from './registry.ts'

const say = declareSteps({ 'warmUp.step': '{percent}% of the first work set, {work}, nearest {load}' })

export const warmUpMessages = say.messages

/** A warm-up set as it is asked; for a barbell with the bar and the plates of one side. It is neither counted nor judged. */
export type WarmUpSet = { load: Load; reps: number; side?: number[]; bar?: number; why: WhyStep[] }

/** A warm-up set nearer to the work set than this, in percent of it, only tires. */
const nearest = 95

/**
 * The ramp to a first work set, lightest first, on what can be made with the work set's bar. Steps that come to no more than the one before, or within a
 * twentieth of the work set, are left out. `isShort`, for the second exercise of the same muscles, keeps the heavier half.
 */
export function ramp(rule: WarmUp, work: Load, all: Makeable, isShort: boolean): WarmUpSet[] {
  const sets: WarmUpSet[] = []
  const ownBar = partsFor(work, all)?.bar
  const can = ownBar === undefined ? all : withBar(all, ownBar)
  for (const { percent, reps } of warmUpOf[rule.kind].steps(rule)) {
    const { load } = round(scale(work, percent), can, 'nearest')
    const last = sets[sets.length - 1]?.load.value ?? 0
    if (load.value <= last || load.value > scale(work, nearest).value) continue
    const { bar, plates } = partsFor(load, can) ?? {}
    const set: WarmUpSet = { load, reps, why: [say('warmUp.step', { percent, work, load })] }
    if (bar !== undefined && plates) {
      set.bar = bar
      set.side = plates
    }
    sets.push(set)
  }
  return isShort ? sets.slice(Math.floor(sets.length / 2)) : sets
}
