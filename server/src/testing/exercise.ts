import type { OwnExercise } from '@young-oak/core/library'

/** An exercise of a gym's own, as a page gives it. */
export const anExercise = (name: string): OwnExercise => ({
  name,
  pattern: 'squat',
  tool: 'barbell',
  reads: 'total',
  direct: ['quads'],
  indirect: ['trunk'],
  reps: [3, 8],
  cost: 4,
  spine: 3,
  cue: 'Stand tall.',
})
