import { amraps, type Amrap, type Goal } from '../goals/index.ts'
import { choiceField, wholeField } from '../parsing/index.ts'
import type { Fields } from '../words/index.ts'
import type { Span } from '../units/index.ts'
import type { CarriedBy } from './rule.ts'

/** Sets and reps that a rule writes. */
export type Scheme = { sets: number; reps: number }

export const schemeFields = {
  sets: wholeField('sets', 1, 12).required(),
  reps: wholeField('reps', 1, 20).required(),
}

/** Which of the sets that a rule writes are for as many reps as possible; its reps are the least. */
export type Plus = { amrap?: Amrap }
export const plusField = () => choiceField(amraps)

export const plusWords: Fields = {
  amrap: {
    label: 'AMRAP sets',
    unit: null,
    hint: 'As many good reps as possible, those of the scheme at least. More is no bigger step.',
    choices: { '': 'none', last: 'the last set', all: 'every set' },
  },
}

export const goalOf = ({ reps }: Scheme, { amrap }: Plus): Goal => (amrap ? { reps, amrap } : { reps })

/** ", the last set AMRAP": what is said of it behind the schemes. */
export const sayPlus = ({ amrap }: Plus): string =>
  amrap ? `, ${amrap === 'last' ? 'the last set' : 'every set'} for as many good reps as possible` : ''

/** "4 × 8". */
export const sayScheme = ({ sets, reps }: Scheme): string => `${sets} × ${reps}`

/** Where a scheme that was shown stands among a rule's own, and how much more it asks than another of them; null where it is none of them. */
export function creditOf(
  schemes: Scheme[],
  at: number,
  { sets, reps }: { sets: number; reps: Span | null },
): { at: number; order: number } | null {
  const isShown = (one: Scheme | undefined) => one !== undefined && one.sets === sets && one.reps === reps
  const found = isShown(schemes[at]) ? at : schemes.findIndex(isShown)
  const [own, shown] = [schemes[at], schemes[found]]
  if (!own || !shown) return null
  return { at: found, order: shown.sets * shown.reps - own.sets * own.reps }
}

/** For rules that write the sets and reps themselves. */
export const repsOfSets: CarriedBy = {
  expected: 'a load of the progression on sets of plain reps',
  fits: (goal) => 'reps' in goal && !goal.amrap,
  sample: { sets: 3, goal: { reps: 5 } },
}
