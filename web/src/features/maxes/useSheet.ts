import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useState } from 'react'
import type { MaxReading, SheetContext } from '@young-oak/core/parsing'
import type { SheetReader } from '../../workers/sheet.worker.ts'

export type Reading =
  { state: 'idle' } | { state: 'reading'; lines: number } | { state: 'read'; reading: MaxReading }
type Source = File | string

/**
 * Reads a spreadsheet in a worker of its own, and again where what is known of the members has changed since. A new one takes the place of
 * one that is still being read.
 */
export function useSheet(source: Source | null, { members, today, library }: SheetContext): Reading {
  const [seen, setSeen] = useState<{ source: Source; reading: Reading } | null>(null)
  useEffect(() => {
    if (source === null) return
    const worker = new Worker(new URL('../../workers/sheet.worker.ts', import.meta.url), { type: 'module' })
    const reader: Remote<SheetReader> = wrap<SheetReader>(worker)
    const say = proxy((lines: number) => setSeen({ source, reading: { state: 'reading', lines } }))
    let isOver = false
    void reader.read(source, { members, today, library }, say).then((reading) => {
      if (!isOver) setSeen({ source, reading: { state: 'read', reading } })
    })
    return () => {
      isOver = true
      worker.terminate()
    }
  }, [source, members, today, library])
  if (source === null) return { state: 'idle' }
  return seen?.source === source ? seen.reading : { state: 'reading', lines: 0 }
}
