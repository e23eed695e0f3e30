import type { Id } from '../parsing/index.ts'
import {
  exerciseOf,
  isExercise,
  liftKey,
  liftName,
  liftOfKey,
  type Lift,
  type Library,
} from '../library/index.ts'
import { sourceOf } from '../loads/index.ts'
import { slotsOf, type Ratio, setsOfSlot, type Slot, type Template } from '../template/index.ts'

/** What is worked out from a lift's max: a slot of a session, or another lift that is tied to it. */
export type Dependent = { session: string; slot: string } | { ratio: string }

/** What depends on each max that a template reads, by the lift's key: once for each slot and session. */
export function dependentsOf(library: Library, template: Template): Record<string, Dependent[]> {
  const found: Record<string, Dependent[]> = {}
  const add = (lift: Lift, dependent: Dependent) => {
    const own = (found[liftKey(lift)] ??= [])
    if (!own.some((one) => JSON.stringify(one) === JSON.stringify(dependent))) own.push(dependent)
  }
  for (const session of Object.values(template.sessions)) {
    for (const id of slotsOf(session)) {
      const slot = template.slots[id]
      for (const lift of slot ? readsOf(template, slot) : [])
        add(lift, { session: session.name, slot: slot?.circuit?.name ?? liftName(library, slot as Slot) })
    }
  }
  for (const { lift, of } of template.maxes.ratios ?? []) add(of, { ratio: liftName(library, lift) })
  return found
}

/** The ratios that the library has to begin with, for lifts whose max a template reads and that it does not tie to another yet. */
export function offeredRatios(library: Library, template: Template): Ratio[] {
  const tied = new Set((template.maxes.ratios ?? []).map(({ lift }) => liftKey(lift)))
  return Object.keys(dependentsOf(library, template)).flatMap((key): Ratio[] => {
    const lift = liftOfKey(key)
    const { parent } = exerciseOf(library, lift)
    if (tied.has(key) || lift.variant || !parent || !isExercise(library, parent.exercise)) return []
    return [{ lift, of: { exercise: parent.exercise }, percent: parent.percent }]
  })
}

/** The lifts whose maxes a slot's loads are worked out from. */
function readsOf({ progressions }: Template, slot: Slot): Lift[] {
  const prescriptions = setsOfSlot(slot)
  const direct = prescriptions.flatMap(
    ({ load, lift }) => sourceOf[load.of].readsMax?.(lift ?? slot, load) ?? [],
  )
  const isRuled = prescriptions.some(({ load }) => load.of === 'progression') && slot.uses.some(startsFromMax)
  return isRuled ? [...direct, slot] : direct

  function startsFromMax({ progression }: { progression: Id }): boolean {
    const stages = progressions[progression]?.stages ?? []
    return stages.some(({ params }) => 'startPercent' in params && params.startPercent !== undefined)
  }
}
