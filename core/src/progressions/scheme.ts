import { wholeField } from '../parsing/index.ts'
import type { CarriedBy } from './rule.ts'

/** Sets and reps that a rule writes. */
export type Scheme = { sets: number; reps: number }

export const schemeFields = {
  sets: wholeField('sets', 1, 12).required(),
  reps: wholeField('reps', 1, 20).required(),
}

/** "4 × 8". */
export const sayScheme = ({ sets, reps }: Scheme): string => `${sets} × ${reps}`

/** For rules that write the sets and reps themselves. */
export const repsOfSets: CarriedBy = {
  expected: 'a load of the progression on sets of plain reps',
  fits: (goal) => 'reps' in goal && !goal.amrap,
  sample: { sets: 3, goal: { reps: 5 } },
}
