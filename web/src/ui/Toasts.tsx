import { lazy, Suspense, useSyncExternalStore } from 'react'
import { asked } from './toast.ts'

const Shown = lazy(() => import('./ShownToasts.tsx'))

/** Where short confirmations appear. It stands on the pages that give some, and loads what shows them with the first. */
export function Toasts() {
  const isAsked = useSyncExternalStore(asked.subscribe, asked.now)
  return (
    isAsked && (
      <Suspense fallback={null}>
        <Shown />
      </Suspense>
    )
  )
}
