import { object } from 'yup'
import { liftName, liftOf, type Lift } from '../../library/index.ts'
import { at, exerciseField, textField, type Id } from '../../parsing/index.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { findSlotEnds } from '../read/slotEnds.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { withSlot } from './slots.ts'

export const setExercise = defineCommand<{ do: 'setExercise'; slot: Id; from: Lift; to: Lift }>({
  do: 'setExercise',
  apply(draft, { slot: id, from, to }) {
    const slot = draft.slots[id]
    if (!slot) return gone('The exercise')
    const { exercise, variant, ...rest } = slot
    if (exercise !== from.exercise || variant !== from.variant)
      return changed((library) => `The exercise of ${slotName(library, draft, id)}`, exercise)
    return withSlot(draft, id, { ...to, ...rest })
  },
  check(checker, draft, { slot: id, to }) {
    const path = at('slots', id)
    const shape = object({ exercise: exerciseField().required(), variant: textField('a variant', 60) })
    const lift = checker.check(shape.noUnknown(), to, path)
    const slot = draft.slots[id]
    if (lift && slot) findSlotEnds(checker, draft, { ...slot, ...to }, path)
  },
  say: (library, _, { from, to }) => `${liftName(library, from)} → ${liftName(library, to)}`,
  inverse: swapped,
  renew: fromNow(({ slots }, { slot }) => slots[slot] && liftOf(slots[slot])),
})
