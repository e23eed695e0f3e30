import { defineFormula } from './formula.ts'

export const epley = defineFormula({
  kind: 'epley',
  title: 'Epley',
  source: 'Epley B. Poundage chart. Boyd Epley Workout. Lincoln, NE, 1985. (Cited from memory.)',
  domain: 'Linear in reps; close to the handbook table at 3 and 10 reps and a little above it between.',
  factor: (reps) => 1 + reps / 30,
  examples: [
    { say: '100 for 5 is 116.6667', load: 100, reps: 5, want: 116.6667 },
    { say: '60 for 10 is 80', load: 60, reps: 10, want: 80 },
  ],
})
