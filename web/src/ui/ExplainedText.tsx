import type { WhyStep } from '@young-oak/core/words'
import { explain } from '@young-oak/core/explain'
import { sentence } from './sentence.ts'

export type ExplainedProps = { steps: WhyStep[]; isSentence?: true }

/** Each said once, in their order. */
export default function ExplainedText({ steps, isSentence }: ExplainedProps) {
  const said = [...new Set(steps.map(explain))].join('; ')
  return isSentence ? sentence(said) : said
}
