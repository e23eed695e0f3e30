import { clear } from './clear.ts'
import { defineAct } from './act.ts'

/** From any cell of the exercise; on the exercise itself Delete does it. */
export const remove = defineAct({
  name: 'remove',
  keys: [],
  label: 'Remove the exercise',
  inMenu: 'Remove the exercise',
  run(view) {
    const { at, range } = view
    return clear.run({ ...view, at: { ...at, field: 0 }, range: { ...range, fields: [0, 0] } }, 'Delete')
  },
})
