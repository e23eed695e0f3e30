export { estimatesOf, type Seen } from './estimates.ts'
export { eightInTen, trendOf, type Trend } from './trend.ts'
export { misfits, targetOf, type Target } from './target.ts'
export { judgeTrial, type TrialResult } from './trial.ts'
