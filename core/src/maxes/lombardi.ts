import { defineFormula } from './formula.ts'

export const lombardi = defineFormula({
  kind: 'lombardi',
  title: 'Lombardi',
  source: 'Lombardi VP. Beginning weight training. Dubuque, IA: W.C. Brown, 1989. (Cited from memory.)',
  domain: 'A power of the reps; the lowest of these from 10 reps up.',
  factor: (reps) => reps ** 0.1,
  examples: [
    { say: '100 for 5 is 117.4619', load: 100, reps: 5, want: 117.4619 },
    { say: '100 for 10 is 125.8925', load: 100, reps: 10, want: 125.8925 },
  ],
})
