import { useState } from 'react'
import { isFault, type Built } from '@young-oak/core/building'
import { formatIssue } from '@young-oak/core/reading'
import { checkCommand, type Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { edit } from '../editorSlice.ts'

/** Does a step, or says beside the form why it cannot be done. */
export function usePut(draft: Template): { put: (built: Built | null) => boolean; fault: string | null } {
  const dispatch = useAppDispatch()
  const [fault, setFault] = useState<string | null>(null)
  const put = (built: Built | null): boolean => {
    if (!built) return false
    const found = isFault(built) ? built.fault : (checkCommand(draft, built).map(formatIssue)[0] ?? null)
    setFault(found)
    if (found !== null || isFault(built)) return false
    dispatch(edit(built))
    return true
  }
  return { put, fault }
}
