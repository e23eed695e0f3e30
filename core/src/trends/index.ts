export { type Block, blocksOf } from './block.ts'
export { estimatesOf, evidenceOf, type Seen } from './estimates.ts'
export { misfits, type Target, targetOf } from './target.ts'
export { judgeTrial, type Period, type TrialResult } from './trial.ts'
