import { useEffect, useRef } from 'react'
import type { Operation } from '@young-oak/api/training'
import { api } from '../app/api.ts'
import { today } from '../app/today.ts'
import { store, useAppDispatch, useAppSelector } from '../app/store.ts'
import { changedEntry, forgetAll, readKept } from './kept.ts'
import { keepChanges } from './keepChanges.ts'
import {
  addOperation,
  closeOutbox,
  openOutbox,
  setFull,
  setTrouble,
  takeAnswers,
  takeChange,
  type Outbox,
  type Trouble,
  type Without,
} from './outboxSlice.ts'

const retryMs = 3000

/** Opens the seat's outbox, keeps it on the phone, and sends it until it is empty. One place on the page uses it. */
export function useOutbox(seat: string): Pick<Outbox, 'trouble' | 'isFull'> & { waiting: number } {
  const dispatch = useAppDispatch()
  const box = useAppSelector(({ outbox }) => outbox)
  const before = useRef(box)
  useEffect(() => {
    dispatch(openOutbox({ seat, ...readKept(seat) }))
    const heard = (event: StorageEvent) => {
      const change = changedEntry(seat, event)
      if (change) dispatch(takeChange(change))
    }
    addEventListener('storage', heard)
    return () => removeEventListener('storage', heard)
  }, [dispatch, seat])
  useEffect(() => {
    const hasRoom = keepChanges(before.current, box)
    before.current = box
    if (hasRoom === box.isFull) dispatch(setFull(!hasRoom))
  }, [dispatch, box])
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
  const { trouble, isFull } = box
  return { waiting: box.seat === seat ? box.operations.length : 0, trouble, isFull }
}

/** Records what was done: it is on the phone at once, and on its way. */
export function record(operation: Without<Operation>): void {
  store.dispatch(addOperation({ ...operation, id: crypto.randomUUID() } as Operation))
}

/** Gives up what was not sent, on the page and on the phone. */
export function giveUpOutbox(): void {
  const { seat } = store.getState().outbox
  if (seat) forgetAll(seat)
  store.dispatch(closeOutbox())
}

const beside: ReadonlySet<Operation['kind']> = new Set(['fact', 'takeBack', 'max', 'bodyWeight'])
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
    const sent = await store.dispatch(api.endpoints.sendOperations.initiate(operations.slice(0, 100)))
    if (sent.error) return void store.dispatch(setTrouble(troubleOf(sent.error)))
    const read = await store.dispatch(
      api.endpoints.today.initiate(
        { day: today(), location: store.getState().location.at },
        { forceRefetch: true, subscribe: false },
      ),
    )
    if (!read.isSuccess) return void store.dispatch(setTrouble(troubleOf(read.error)))
    store.dispatch(takeAnswers(sent.data.answers))
    // What was entered beside sets is shown on other pages too.
    if (operations.some(({ kind }) => beside.has(kind))) store.dispatch(api.util.invalidateTags(['Training']))
  } finally {
    isSending = false
  }
}

function troubleOf(error: unknown): Trouble {
  const { status, data } = error as { status?: unknown; data?: { code?: string } }
  if (status === 401) return 'signedOut'
  return data?.code === 'otherSeat' ? 'otherSeat' : 'away'
}
