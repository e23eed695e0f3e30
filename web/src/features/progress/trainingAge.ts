import type { TrainingAge } from '@young-oak/core/facts'

/** How long somebody has trained, as it is asked. */
export const trainingAgeLabel = 'Years of training with weights'
export const trainingAgeChoices: readonly (readonly [TrainingAge, string])[] = [
  ['underOneYear', 'Under 1 year'],
  ['oneToThreeYears', '1 to 3 years'],
  ['overThreeYears', 'Over 3 years'],
]
