import { skipToken } from '@reduxjs/toolkit/query/react'
import { useEffect, useRef, useState } from 'react'
import type { ImpactView, Publish } from '@young-oak/api/publications'
import { publicationsApi } from './publicationsApi.ts'

const pauseMs = 600
/** Until the first are known, and after that: counting many takes the server a while. */
const askMs = 400
const askAgainMs = 1000

export type Looking = {
  look: ImpactView | null
  /** Of what is chosen now: it is whole, or has ended otherwise. */
  isCurrent: boolean
  error: unknown
  stop: () => void
  again: () => void
}

/** What publishing would do, worked out anew a moment after something is chosen otherwise; the latest wins. Null where there is nothing to look at. */
export function useLook(template: string, asked: Omit<Publish, 'id'> | null): Looking {
  const [begin, { error: refused }] = publicationsApi.useBeginLookMutation()
  const [stopLook] = publicationsApi.useStopLookMutation()
  const [begun, setBegun] = useState<{ id: string; said: string; view: ImpactView } | null>(null)
  const [round, setRound] = useState(0)
  const said = asked && JSON.stringify([asked, round])
  const latest = useRef(said)
  useEffect(() => {
    latest.current = said
    if (!said) return
    const timer = setTimeout(() => {
      const id = crypto.randomUUID()
      const [body] = JSON.parse(said) as [Omit<Publish, 'id'>]
      void begin({ template, id, ...body }).then(({ data }) => {
        if (data && latest.current === said) setBegun({ id, said, view: data })
        else if (data?.state === 'running') void stopLook(id)
      })
    }, pauseMs)
    return () => clearTimeout(timer)
  }, [begin, stopLook, template, said])
  const isBegun = begun !== null && begun.said === said
  const isAwaited = isBegun && begun.view.state === 'running'
  const { endpoints } = publicationsApi
  const { data: seen, error: lost } = endpoints.look.useQueryState(isAwaited ? begun.id : skipToken)
  endpoints.look.useQuerySubscription(isAwaited ? begun.id : skipToken, {
    pollingInterval: seen && seen.state !== 'running' ? 0 : seen?.looked ? askAgainMs : askMs,
  })
  const look = !isBegun ? null : seen?.id === begun.id ? seen : begun.view
  // One that nobody waits for any more is stopped.
  useEffect(() => {
    if (begun && !isBegun && begun.view.state === 'running') void stopLook(begun.id)
  }, [begun, isBegun, stopLook])
  return {
    look,
    isCurrent: look !== null && look.state !== 'running',
    error: refused ?? lost,
    stop: () => void (begun && stopLook(begun.id)),
    again: () => setRound((n) => n + 1),
  }
}
