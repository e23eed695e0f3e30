import type { WhyStep } from '../words/index.ts'
import type { Load } from '../units/index.ts'

/** How far below the top set a load is: by a percent, or by a fixed drop. */
export const topSetRung = (percent: number, drop: Load | undefined): WhyStep =>
  drop ? { id: 'topSet.drop', data: { drop } } : { id: 'topSet.percent', data: { percent } }
