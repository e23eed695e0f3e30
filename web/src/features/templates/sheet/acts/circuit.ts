import { defineAct, slotsHere } from './act.ts'

export const circuit = defineAct({
  name: 'circuit',
  keys: ['Alt+c'],
  shown: 'Alt + C',
  say: 'make one scored circuit of the selected lines',
  label: 'Make a circuit of the selected lines',
  run(view) {
    const slots = slotsHere(view)
    return slots.length > 1
      ? { circuit: slots }
      : { say: 'Select two lines or more to make a circuit of them.' }
  },
})
