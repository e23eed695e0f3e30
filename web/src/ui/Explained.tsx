import { lazy, Suspense } from 'react'
import type { ExplainedProps } from './ExplainedText.tsx'

const Text = lazy(() => import('./ExplainedText.tsx'))

/** Steps of a why in words; the words come with the first that are shown. */
export const Explained = (props: ExplainedProps) => (
  <Suspense fallback="…">
    <Text {...props} />
  </Suspense>
)
