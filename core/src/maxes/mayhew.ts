import { defineFormula } from './formula.ts'

export const mayhew = defineFormula({
  kind: 'mayhew',
  title: 'Mayhew',
  source:
    'Mayhew JL et al. Relative muscular endurance performance as a predictor of bench press strength in college men and women. J Appl Sport Sci Res 6(4), 1992, 200-206. (Cited from memory.)',
  domain: 'From bench presses; the highest of these at few reps.',
  factor: (reps) => 100 / (52.2 + 41.9 * Math.exp(-0.055 * reps)),
  examples: [
    { say: '100 for 5 is 119.0107', load: 100, reps: 5, want: 119.0107 },
    { say: '100 for 10 is 130.9343', load: 100, reps: 10, want: 130.9343 },
  ],
})
