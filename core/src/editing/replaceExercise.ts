import { liftKey, liftName, liftOf, type Lift, type Library } from '../library/index.ts'
import type { Command, Slot, Template } from '../template/index.ts'
import { step, type Built } from './built.ts'

/** One exercise in place of another wherever it stands: in slots, in lines of circuits, among lifts that take turns or may be chosen. */
export function replaceExercise(library: Library, draft: Template, from: Lift, to: Lift): Built {
  const isIt = (lift: Lift | undefined) => lift !== undefined && liftKey(lift) === liftKey(from)
  const commands = Object.entries(draft.slots).flatMap(([slot, own]): Command[] => {
    const lines = Object.values(own.rows)
      .flat(2)
      .some(({ lift }) => isIt(lift))
    const turns = own.rotation?.with.some(isIt)
    const offers = own.choices?.some(isIt)
    if (!lines && !turns && !offers)
      return isIt(own) ? [{ do: 'setExercise', slot, from: liftOf(own), to }] : []
    const rows = Object.entries(own.rows).map(([phase, list]) => [
      phase,
      list.map((row) =>
        row.map((prescribed) => (isIt(prescribed.lift) ? { ...prescribed, lift: to } : prescribed)),
      ),
    ])
    const { exercise, variant, ...rest } = own
    const changed: Slot = {
      ...(isIt(own) ? to : { exercise, ...(variant && { variant }) }),
      ...rest,
      ...(own.rotation && {
        rotation: { ...own.rotation, with: own.rotation.with.map((lift) => (isIt(lift) ? to : lift)) },
      }),
      ...(own.choices && { choices: own.choices.map((lift) => (isIt(lift) ? to : lift)) }),
      rows: Object.fromEntries(rows),
    }
    return [{ do: 'setSlot', slot, from: own, to: changed }]
  })
  if (!commands.length) return { fault: `${liftName(library, from)} is not in this template.` }
  return step(
    `${liftName(library, from)} → ${liftName(library, to)} in ${commands.length} ${commands.length === 1 ? 'slot' : 'slots'}`,
    commands,
  )
}
