import { copySlots } from '@young-oak/core/editing'
import { mint } from '../../mint.ts'
import { columnHere, defineAct, slotsHere } from './act.ts'

export const copySlot = defineAct({
  name: 'copySlot',
  keys: ['Ctrl+d'],
  shown: 'Ctrl + D',
  say: 'copy the exercises below',
  label: 'Copy the exercise below',
  inMenu: 'Copy the exercise below',
  run(view) {
    const slots = slotsHere(view)
    const after = slots[slots.length - 1]
    const line = columnHere(view)?.lines.find((one) => one.kind === 'sets' && one.slotId === after)
    if (after === undefined || !line) return {}
    const { session, section } = line
    return { put: copySlots(view.library, view.draft, slots, { session, section, after }, mint) }
  },
})
