import { task as goal } from '../task.ts'
import { defineExamples } from './example.ts'

export const task = defineExamples(goal, [
  {
    say: 'a drill of ten minutes',
    goal: { task: 'hip drill', minutes: 10 },
    cell: 'do: hip drill (10 min)',
    done: [{}],
    meets: true,
  },
  {
    say: 'a drill with a result, whatever it is',
    goal: { task: 'standing broad jumps', minutes: 5, result: 'm' },
    cell: 'do: standing broad jumps (5 min, result in m)',
    done: [{ amount: { value: 2.1, unit: 'm' } }],
    meets: true,
  },
  {
    say: 'a time that is written down',
    goal: { task: 'easy lap of the quay', result: 's' },
    cell: 'do: easy lap of the quay (result in time)',
    done: [{ amount: { value: 600, unit: 's' } }],
    meets: true,
  },
])
