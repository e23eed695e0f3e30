import { defineFormula } from './formula.ts'

/** Percent of the 1RM for 1 to 15 reps. */
const percents = [100, 95, 93, 90, 87, 85, 83, 80, 77, 75, 70, 67, 66.3, 65.7, 65]

/** Reps that the table is written for; above, every table is continued. */
export const writtenReps = percents.length

/**
 * From 15 reps on every table goes on from its own percent for 15 as Epley's formula does (1985; inverted, 100 ÷ (1 + reps ÷ 30)): this
 * share of that percent, 45 ÷ (30 + reps). No published table goes so far.
 */
export const continued = (reps: number): number => (reps > writtenReps ? (30 + writtenReps) / (30 + reps) : 1)

/** A table and no formula: what its percents make of a set. */
export const handbook = defineFormula({
  kind: 'handbook',
  title: 'Handbook table',
  source:
    'Haff GG, Triplett NT (eds.), Essentials of strength training and conditioning, 4th ed., Human Kinetics, 2016: percent of the 1RM and repetitions allowed, for 1 to 12 and 15 reps; 13 and 14 are read between. (Quoted from memory.)',
  domain: 'For a first fresh set of up to 12 reps; at 11 and 12 reps above most formulas.',
  factor: (reps) => 100 / ((percents[Math.min(reps, writtenReps) - 1] as number) * continued(reps)),
  examples: [
    { say: '87 for 5 is 100', load: 87, reps: 5, want: 100 },
    { say: '60 for 10 is 80', load: 60, reps: 10, want: 80 },
    { say: '58.5 for 20 is 100', load: 58.5, reps: 20, want: 100 },
  ],
})
