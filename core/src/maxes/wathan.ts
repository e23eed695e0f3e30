import { defineFormula } from './formula.ts'

export const wathan = defineFormula({
  kind: 'wathan',
  title: 'Wathan',
  source:
    'Wathan D. Load assignment. In: Baechle TR (ed.), Essentials of strength training and conditioning. Champaign, IL: Human Kinetics, 1994, 435-439. (Cited from memory.)',
  domain: 'Fits the handbook table closely to 15 reps.',
  factor: (reps) => 100 / (48.8 + 53.8 * Math.exp(-0.075 * reps)),
  examples: [
    { say: '100 for 5 is 116.5825', load: 100, reps: 5, want: 116.5825 },
    { say: '100 for 10 is 134.7467', load: 100, reps: 10, want: 134.7467 },
  ],
})
