import { useEffect, useRef } from 'react'
import { api } from '../../app/api.ts'
import { store, useAppDispatch, useAppSelector } from '../../app/store.ts'
import { merge, setAway } from './editorSlice.ts'
import { keepEdits } from './keptEdits.ts'

const pauseMs = 400
const retryMs = 3000
const lookMs = 6000

/**
 * Sends waiting edits after a short pause, and again until they are answered, and takes in what was done elsewhere: in another tab at
 * once, by another writer within seconds. What waits is kept by the browser, so that a closed page loses nothing.
 */
export function useAutosave(id: string, seat: string): void {
  const dispatch = useAppDispatch()
  const waiting = useAppSelector(({ editor }) => editor.waiting)
  const isAway = useAppSelector(({ editor }) => editor.isAway)
  const isSending = useRef(false)
  const tabs = useRef<BroadcastChannel | null>(null)
  const count = waiting.length

  useEffect(() => keepEdits(seat, id, waiting), [seat, id, waiting])

  useEffect(() => {
    const sync = async () => {
      if (isSending.current) return
      isSending.current = true
      const { waiting: now, revision } = store.getState().editor
      const edits = now.slice(0, 200)
      const { data, error } = await dispatch(api.endpoints.saveEdits.initiate({ id, since: revision, edits }))
      isSending.current = false
      if (store.getState().editor.id !== id) return
      if (data) {
        if (edits.length || data.revision !== revision || data.answers.length) dispatch(merge(data))
        if (edits.length) tabs.current?.postMessage('stored')
      } else if (edits.length && error) dispatch(setAway(true))
    }
    const channel = new BroadcastChannel(`young-oak/draft/${id}`)
    channel.onmessage = () => void sync()
    tabs.current = channel
    const look = () => document.visibilityState === 'visible' && void sync()
    const timer = count ? setTimeout(() => void sync(), pauseMs) : undefined
    const again = setInterval(count ? () => void sync() : look, count ? retryMs : lookMs)
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    addEventListener('focus', look)
    addEventListener('online', look)
    if (count) addEventListener('beforeunload', ask)
    return () => {
      clearTimeout(timer)
      clearInterval(again)
      channel.close()
      removeEventListener('focus', look)
      removeEventListener('online', look)
      removeEventListener('beforeunload', ask)
    }
  }, [dispatch, id, count, isAway])
}
