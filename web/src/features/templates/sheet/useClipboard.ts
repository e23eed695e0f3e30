import Papa from 'papaparse'
import { useState, type ClipboardEvent } from 'react'
import type { Pasted } from '@young-oak/core/editing'

type Props = {
  /** Whether the event is the sheet's, and no cell is being typed into. */
  isFree: (event: ClipboardEvent) => boolean
  copied: () => string
  clear: () => void
  paste: (rows: string[][]) => Pasted
}

/** Copying and pasting as spreadsheets do: lines of cells parted by tabs. What was not understood of a paste is kept until it was seen. */
export function useClipboard({ isFree, copied, clear, paste }: Props) {
  const [pasted, setPasted] = useState<Pasted | null>(null)
  const onCopy = (event: ClipboardEvent) => {
    if (!isFree(event)) return
    event.clipboardData.setData('text/plain', copied())
    event.preventDefault()
  }
  const onCut = (event: ClipboardEvent) => {
    if (!isFree(event)) return
    onCopy(event)
    clear()
  }
  const onPaste = (event: ClipboardEvent) => {
    if (!isFree(event)) return
    event.preventDefault()
    const text = event.clipboardData.getData('text/plain').replace(/\s+$/, '')
    const came = paste(Papa.parse<string[]>(text, { delimiter: '\t' }).data)
    if (came.faults.length || came.unread?.length) setPasted(came)
  }
  return { pasted, closePasted: () => setPasted(null), onCopy, onCut, onPaste }
}
