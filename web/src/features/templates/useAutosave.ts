import { useEffect, useRef } from 'react'
import { api, sayError } from '../../app/api.ts'
import { store, useAppDispatch, useAppSelector } from '../../app/store.ts'
import { openDraft, saved, setAway } from './editorSlice.ts'

const pauseMs = 400
const retryMs = 3000

/** Sends waiting edits after a short pause, and again until they are stored; leaving the page with some asks first. */
export function useAutosave(id: string): void {
  const dispatch = useAppDispatch()
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const isAway = useAppSelector(({ editor }) => editor.isAway)
  const isSending = useRef(false)
  useEffect(() => {
    if (!waiting) return
    const send = async () => {
      if (isSending.current) return
      isSending.current = true
      const edits = store.getState().editor.waiting.slice(0, 200)
      const { data, error } = await dispatch(api.endpoints.saveEdits.initiate({ id, edits }))
      isSending.current = false
      if (data?.conflict) return reopen(data.conflict.message)
      if (data) return void dispatch(saved(edits.map((one) => one.id)))
      const { status } = error as { status: unknown }
      if (status === 422 || status === 403 || status === 404) return reopen(sayError(error))
      dispatch(setAway(true))
    }
    const reopen = async (message: string) => {
      const { data } = await dispatch(
        api.endpoints.template.initiate(id, { forceRefetch: true, subscribe: false }),
      )
      if (data)
        dispatch(
          openDraft({
            id,
            draft: data.draft,
            notice: `${message} The template was loaded again as it is now.`,
          }),
        )
    }
    const timer = setTimeout(() => void send(), pauseMs)
    const again = setInterval(() => void send(), retryMs)
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    addEventListener('beforeunload', ask)
    return () => {
      clearTimeout(timer)
      clearInterval(again)
      removeEventListener('beforeunload', ask)
    }
  }, [dispatch, id, waiting, isAway])
}
