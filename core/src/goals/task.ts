import type { AmountUnit } from '../units/index.ts'
import { defineGoal } from './goal.ts'
import { countNamed, nameOfCount } from './open.ts'

type Task = { task: string; minutes?: number; result?: 'reps' | AmountUnit }

/**
 * Task without a load and without a count: a class, a drill, an easy day. Done or not, with a note. A drill may have a result, which is
 * written down and asks nothing.
 */
export const task = defineGoal<Task>({
  key: 'task',
  title: 'Task without a load',
  cell({ task: what, minutes, result }) {
    const more = [minutes && `${minutes} min`, result && `result in ${nameOfCount(result)}`].filter(Boolean)
    return `do: ${what}${more.length ? ` (${more.join(', ')})` : ''}`
  },
  read(typed) {
    const [, whole = '', minutes, result] =
      /^do:\s*(.+?)(?:\s*\((?:(\d+)\s*min)?(?:(?:,\s*|(?<=\())result in (\w+))?\))?$/.exec(typed) ?? []
    const counted = result === undefined ? undefined : countNamed(result)
    if (!whole || counted === null) return null
    const made: Task = { task: whole }
    if (minutes) made.minutes = Number(minutes)
    if (counted) made.result = counted
    return made
  },
  reps: () => null,
  logs: ({ result }) => result ?? 'done',
  meets: () => true,
  seconds: ({ minutes }) => (minutes === undefined ? null : minutes * 60),
})
