import { useLibrary } from '../library/useLibrary.ts'
import { useCallback } from 'react'
import { toast } from '../../ui/toast.ts'
import { faultOf, type Built } from '@young-oak/core/editing'
import type { Command, Template } from '@young-oak/core/template'
import { store, useAppDispatch } from '../../app/store.ts'
import { edit } from './editorSlice.ts'

/** A step, or how it is made of the template as it is now: what was drawn may be a moment older. */
export type Put = (built: Built | ((draft: Template) => Built)) => boolean

/** Does a step where it leaves nothing that a file could not hold, and says it where it does not. */
export function usePutOrSay(): Put {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  return useCallback(
    (made) => {
      const { draft } = store.getState().editor
      if (!draft) return false
      const built = typeof made === 'function' ? made(draft) : made
      const fault = faultOf(library, draft, built)
      if (fault !== null) toast(fault)
      else dispatch(edit(built as Command))
      return fault === null
    },
    [library, dispatch],
  )
}
