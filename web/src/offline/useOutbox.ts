import { useEffect } from 'react'
import type { Operation } from '@young-oak/api/training'
import { api } from '../app/api.ts'
import { today } from '../app/today.ts'
import { store, useAppDispatch, useAppSelector } from '../app/store.ts'
import { addOperation, keep, openOutbox, setAway, takeAnswers } from './outboxSlice.ts'

const retryMs = 3000
type Without<T> = T extends unknown ? Omit<T, 'id'> : never

/** Opens the seat's outbox, keeps it on the phone, and sends it until it is empty. One place on the page uses it. */
export function useOutbox(seat: string): { waiting: number; isAway: boolean } {
  const dispatch = useAppDispatch()
  const box = useAppSelector(({ outbox }) => outbox)
  useEffect(() => {
    dispatch(openOutbox(seat))
  }, [dispatch, seat])
  useEffect(() => keep(box), [box])
  const isReady = box.seat === seat && box.operations.length > 0
  useEffect(() => {
    if (!isReady) return
    void send()
    const timer = setInterval(() => void send(), retryMs)
    const online = () => void send()
    addEventListener('online', online)
    return () => {
      clearInterval(timer)
      removeEventListener('online', online)
    }
  }, [isReady, box.operations.length])
  return { waiting: box.seat === seat ? box.operations.length : 0, isAway: box.isAway }
}

/** Records what was done: it is on the phone at once, and on its way. */
export function record(operation: Without<Operation>): void {
  store.dispatch(addOperation({ ...operation, id: crypto.randomUUID() } as Operation))
}

let isSending = false

/**
 * Sends what waits, oldest first. An operation leaves only when the server has answered for it and the page has read the
 * sessions anew: otherwise a set would vanish for a moment between the two, under a thumb that is about to tap.
 */
async function send(): Promise<void> {
  const { operations } = store.getState().outbox
  if (isSending || !operations.length) return
  isSending = true
  try {
    const { data } = await store.dispatch(api.endpoints.sendOperations.initiate(operations.slice(0, 100)))
    const read =
      data &&
      (await store.dispatch(
        api.endpoints.today.initiate(
          { day: today(), location: store.getState().location.at },
          { forceRefetch: true, subscribe: false },
        ),
      ))
    if (data && read?.isSuccess) store.dispatch(takeAnswers(data.answers))
    else store.dispatch(setAway(true))
  } finally {
    isSending = false
  }
}
