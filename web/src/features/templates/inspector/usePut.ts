import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import { faultOf, type Built } from '@young-oak/core/editing'
import type { Command, Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { edit } from '../editorSlice.ts'

/** Does a step, or says beside the form why it cannot be done. */
export function usePut(draft: Template): { put: (built: Built | null) => boolean; fault: string | null } {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [fault, setFault] = useState<string | null>(null)
  const put = (built: Built | null): boolean => {
    if (!built) return false
    const found = faultOf(library, draft, built)
    setFault(found)
    if (found !== null) return false
    dispatch(edit(built as Command))
    return true
  }
  return { put, fault }
}
