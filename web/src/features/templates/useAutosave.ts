import { useCallback, useEffect, useMemo, useRef } from 'react'
import { commandFormat } from '@young-oak/core/template'
import { api } from '../../app/api.ts'
import { store, useAppDispatch, useAppSelector } from '../../app/store.ts'
import { draftSync } from './draftSync.ts'
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
  const aside = useAppSelector(({ editor }) => editor.aside)
  const isAway = useAppSelector(({ editor }) => editor.isAway)
  const tabs = useRef<BroadcastChannel | null>(null)
  const count = waiting.length

  useEffect(() => {
    // A moment later, so that no key waits for the disk.
    const timer = setTimeout(() => keepEdits(seat, id, { waiting, aside }), 50)
    return () => clearTimeout(timer)
  }, [seat, id, waiting, aside])

  const send = useMemo(
    () =>
      draftSync(id, {
        now: () => store.getState().editor,
        send: (since, edits) =>
          dispatch(api.endpoints.saveEdits.initiate({ id, since, format: commandFormat, edits })),
        merge: (answer) => dispatch(merge(answer)),
        away: () => dispatch(setAway(true)),
      }),
    [dispatch, id],
  )
  const sync = useCallback(async () => {
    if (await send()) tabs.current?.postMessage('stored')
  }, [send])

  useEffect(() => {
    const channel = new BroadcastChannel(`young-oak/draft/${id}`)
    channel.onmessage = () => void sync()
    tabs.current = channel
    const look = () => document.visibilityState === 'visible' && void sync()
    addEventListener('focus', look)
    addEventListener('online', look)
    const timer = setInterval(look, lookMs)
    return () => {
      channel.close()
      clearInterval(timer)
      removeEventListener('focus', look)
      removeEventListener('online', look)
    }
  }, [id, sync])

  useEffect(() => {
    if (!count) return
    const timer = setTimeout(() => void sync(), pauseMs)
    const again = setInterval(() => void sync(), retryMs)
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    addEventListener('beforeunload', ask)
    return () => {
      clearTimeout(timer)
      clearInterval(again)
      removeEventListener('beforeunload', ask)
    }
  }, [count, isAway, sync])
}
