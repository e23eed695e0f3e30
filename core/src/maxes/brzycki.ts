import { defineFormula } from './formula.ts'

export const brzycki = defineFormula({
  kind: 'brzycki',
  title: 'Brzycki',
  source:
    'Brzycki M. Strength testing: predicting a one-rep max from reps-to-fatigue. JOPERD 64(1), 1993, 88-90. (Cited from memory.)',
  domain: 'For sets of up to 10 reps; above 12 reps the estimate climbs steeply.',
  factor: (reps) => 36 / (37 - reps),
  examples: [
    { say: '100 for 5 is 112.5', load: 100, reps: 5, want: 112.5 },
    { say: '60 for 10 is 80', load: 60, reps: 10, want: 80 },
  ],
})
