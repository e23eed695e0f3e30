import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { MaxReading, SheetContext } from '@young-oak/core/parsing'
import type { SheetReader } from '../../workers/sheet.worker.ts'

export type Reading =
  { state: 'idle' } | { state: 'reading'; lines: number } | { state: 'read'; reading: MaxReading }

/** Reads a sheet in a worker of its own; a new one takes the place of one that is still being read. */
export function useSheet(): {
  reading: Reading
  read: (source: File | string, context: SheetContext) => void
  forget: () => void
} {
  const [reading, setReading] = useState<Reading>({ state: 'idle' })
  const worker = useRef<Worker | null>(null)
  const stop = () => {
    worker.current?.terminate()
    worker.current = null
  }
  useEffect(() => stop, [])
  return {
    reading,
    read(source, context) {
      stop()
      setReading({ state: 'reading', lines: 0 })
      const mine = new Worker(new URL('../../workers/sheet.worker.ts', import.meta.url), { type: 'module' })
      worker.current = mine
      const reader: Remote<SheetReader> = wrap<SheetReader>(mine)
      const say = proxy((lines: number) => setReading({ state: 'reading', lines }))
      void reader.read(source, context, say).then((made) => {
        if (worker.current === mine) setReading({ state: 'read', reading: made })
      })
    },
    forget() {
      stop()
      setReading({ state: 'idle' })
    },
  }
}
