import { defineFormula } from './formula.ts'

export const lander = defineFormula({
  kind: 'lander',
  title: 'Lander',
  source: 'Lander J. Maximum based on reps. NSCA Journal 6(6), 1985, 60-61. (Cited from memory.)',
  domain: 'For sets of up to 10 reps; very near Brzycki throughout.',
  factor: (reps) => 100 / (101.3 - 2.67123 * reps),
  examples: [
    { say: '100 for 5 is 113.7089', load: 100, reps: 5, want: 113.7089 },
    { say: '100 for 10 is 134.0704', load: 100, reps: 10, want: 134.0704 },
  ],
})
