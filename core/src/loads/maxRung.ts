import type { Rung } from '../explain/rung.ts'
import { formulaOf, type FormulaKind } from '../maxes/registry.ts'
import type { MaxInForce } from './source.ts'

/** The first rung of every load that comes from a max: its size, its day and how it is known. */
export function maxRung({ load, date, from }: MaxInForce): Rung {
  if (!from) return { id: 'max.tested', data: { load, date } }
  const formula = formulaOf[from.formula as FormulaKind].title
  return { id: 'max.estimated', data: { load, date, set: from.load, reps: from.reps, formula } }
}

export const maxMessages = {
  'max.tested': '1RM {load}, tested on {date}',
  'max.estimated': '1RM {load}, accepted on {date} from {set} × {reps} by {formula}',
}
