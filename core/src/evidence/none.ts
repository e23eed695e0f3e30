import { nothingLearned } from '../facts/index.ts'
import type { Evidence } from './evidence.ts'

/** What is known of somebody of whom nothing has been said or logged. */
export const noEvidence = JSON.parse(
  JSON.stringify({ ...nothingLearned, last: {}, estimates: {}, recent: {}, trainedOn: null }),
) as Evidence
