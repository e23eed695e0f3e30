import { defineGoal } from './goal.ts'

/** Task without a load that has no load and no count: a class, a drill, an easy day. Done or not, with a note. */
export const task = defineGoal<{ task: string; minutes?: number }>({
  key: 'task',
  title: 'Task without a load',
  cell: ({ task: what, minutes }) => `do: ${what}${minutes ? ` (${minutes} min)` : ''}`,
  read(typed) {
    const match = /^do:\s*(.+?)(?:\s*\((\d+)\s*min\))?$/.exec(typed)
    return match?.[1] ? { task: match[1], ...(match[2] && { minutes: Number(match[2]) }) } : null
  },
  reps: () => null,
  logs: () => 'done',
  meets: () => true,
  seconds: ({ minutes }) => (minutes === undefined ? null : minutes * 60),
  examples: [
    {
      say: 'a drill of ten minutes',
      goal: { task: 'hip drill', minutes: 10 },
      cell: 'do: hip drill (10 min)',
      done: [{}],
      meets: true,
    },
  ],
})
