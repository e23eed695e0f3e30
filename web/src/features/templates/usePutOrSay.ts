import { useCallback } from 'react'
import { toast } from 'sonner'
import { faultOf, type Built } from '@young-oak/core/building'
import type { Command } from '@young-oak/core/template'
import { store, useAppDispatch } from '../../app/store.ts'
import { edit } from './editorSlice.ts'

/** Does a step where it leaves nothing that a file could not hold, and says it where it does not. */
export function usePutOrSay(): (built: Built) => boolean {
  const dispatch = useAppDispatch()
  return useCallback(
    (built) => {
      const { draft } = store.getState().editor
      if (!draft) return false
      const fault = faultOf(draft, built)
      if (fault !== null) toast(fault)
      else dispatch(edit(built as Command))
      return fault === null
    },
    [dispatch],
  )
}
