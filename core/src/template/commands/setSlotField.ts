import { at, type Id } from '../../parsing/index.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { readSlotStages } from '../read/read.ts'
import { slotShape } from '../read/shape.ts'
import { findSlotEnds } from '../read/slotEnds.ts'
import type { Slot } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { withSlot } from './slots.ts'
import { fieldOf, same, withField } from './values.ts'

type Field = keyof typeof fieldNames
type Value = Slot[Field] | null

const fieldNames = {
  superset: 'superset',
  note: 'note',
  rotation: 'exercise rotation',
  choices: 'exercises to choose from',
  inStages: 'sets by stage',
  circuit: 'circuit',
  capStep: 'the step that caps it',
  counts: 'which muscles it counts for',
} satisfies Partial<Record<keyof Slot, string>>

export const setSlotField = defineCommand<{
  do: 'setSlotField'
  slot: Id
  field: Field
  from: Value
  to: Value
}>({
  do: 'setSlotField',
  apply(draft, { slot: id, field, from, to }) {
    const own = draft.slots[id]
    if (!own) return gone('The exercise')
    if (!same(own[field] ?? null, from))
      return changed((library) => `${slotName(library, draft, id)}, ${fieldNames[field]},`, own[field])
    return withSlot(draft, id, withField(own, field, to))
  },
  check(checker, draft, { slot: id, field, to }) {
    const path = at('slots', id)
    if (to !== null) checker.check(slotShape.pick([field]), { [field]: to }, path)
    if (field === 'inStages' && to !== null && !checker.issues.length) {
      const read = readSlotStages(checker, to as unknown[], path)
      const expected = 'sets by stage written out in full'
      if (!same(read, to)) checker.add(at(path, field), expected, to)
    }
    const own = draft.slots[id]
    if (own && !checker.issues.length) findSlotEnds(checker, draft, withField(own, field, to), path)
  },
  say: (library, draft, { slot, field }) => `${slotName(library, draft, slot)}: ${fieldNames[field]}`,
  inverse: swapped,
  renew: fromNow(({ slots }, { slot, field }) => fieldOf(slots[slot], field)),
})
