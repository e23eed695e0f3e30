/** Why a slot is neither a hit nor a miss, and so no exposure: what a plan says of it, and what a progression does. */
export const becauseWords = {
  otherLift: 'another exercise',
  noLoad: 'no load given or noted',
  equipment: 'held back by plates or a custom change',
  helped: 'helped reps',
  partial: 'not the whole range',
  banded: 'bands on the bar',
  lighter: 'a lighter load was chosen',
}
export type Because = keyof typeof becauseWords
export const becauses = Object.keys(becauseWords) as Because[]
