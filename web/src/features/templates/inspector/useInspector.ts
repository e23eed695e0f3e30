import { useCallback, useState } from 'react'
import type { Aspect, Selected } from './selected.ts'

/** What the inspector is open at, and on what. */
export function useInspector() {
  const [selected, select] = useState<Selected>({})
  const [aspect, choose] = useState<Aspect>('slot')
  const [isOpen, setOpen] = useState(true)
  const toggle = useCallback(() => setOpen((is) => !is), [])
  const inspect = useCallback((to: Selected) => {
    select(to)
    if (to.what) choose(to.what)
    setOpen(true)
    requestAnimationFrame(() => document.getElementById(`aspect-${to.what ?? 'slot'}`)?.focus())
  }, [])
  return { selected, select, aspect, choose, isOpen, toggle, inspect }
}
