import { useSyncExternalStore } from 'react'
import { onDemand } from './onDemand.tsx'
import { asked } from './toast.ts'

const Shown = onDemand(() => import('./ShownToasts.tsx'))

/** Where short confirmations appear. It stands on the pages that give some, and loads what shows them with the first. */
export function Toasts() {
  const isAsked = useSyncExternalStore(asked.subscribe, asked.now)
  return isAsked && <Shown fallback={null} of={{}} />
}
