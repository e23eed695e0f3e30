import { defineFormula } from './formula.ts'

export const oconner = defineFormula({
  kind: 'oconner',
  title: 'O’Conner',
  source:
    'O’Conner B, Simmons J, O’Shea P. Weight training today. St. Paul, MN: West Publishing, 1989. (Cited from memory.)',
  domain: 'Linear in reps, and the lowest of these up to 10 reps.',
  factor: (reps) => 1 + 0.025 * reps,
  examples: [
    { say: '100 for 5 is 112.5', load: 100, reps: 5, want: 112.5 },
    { say: '60 for 10 is 75', load: 60, reps: 10, want: 75 },
  ],
})
