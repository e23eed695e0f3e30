import type { ExplainedProps } from './ExplainedText.tsx'
import { onDemand } from './onDemand.tsx'

const Text = onDemand(() => import('./ExplainedText.tsx'))

/** Steps of a why in words; the words come with the first that are shown. */
export const Explained = (props: ExplainedProps) => <Text fallback="…" of={props} />
