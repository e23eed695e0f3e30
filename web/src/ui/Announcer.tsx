import { useEffect, useState } from 'react'
import { hearAnnouncements } from './announce.ts'

/** Reads out what was done and what comes next. Two regions in turn, so that the same words are read again. */
export function Announcer() {
  const [said, setSaid] = useState({ text: '', count: 0 })
  useEffect(() => hearAnnouncements((text) => setSaid(({ count }) => ({ text, count: count + 1 }))), [])
  return (
    <div className="sr-only">
      {[0, 1].map((side) => (
        <div key={side} role="status" aria-live="polite" data-announcer>
          {said.count % 2 === side ? said.text : ''}
        </div>
      ))}
    </div>
  )
}
