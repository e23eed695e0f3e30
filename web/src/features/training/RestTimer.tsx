import { useEffect, useState } from 'react'
import { formatSeconds, highest, lowest, type Span } from '@young-oak/core/units'
import { announce } from '../../ui/announce.ts'

/** Counts from the moment of the set, not from ticks: a locked phone loses nothing. */
export function RestTimer({ from, rest }: { from: number; rest: Span }) {
  const [now, setNow] = useState(from)
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 500)
    return () => clearInterval(timer)
  }, [])
  const rested = (now - from) / 1000
  const left = Math.ceil(lowest(rest) - rested)
  const isOver = left <= 0
  useEffect(() => {
    if (isOver) announce('Rest is over.')
  }, [isOver])
  return (
    <p
      role="timer"
      className={`sticky bottom-3 mt-4 rounded-lg border p-3 text-center text-xl ${left > 0 ? 'border-line bg-sheet' : 'border-leaf bg-leaf-wash'}`}
    >
      {left > 0 ? `Rest ${formatSeconds(left)}` : sayOver(rest, rested)}
    </p>
  )
}

/** Of a rest from so long to so long, until when there is time. */
function sayOver(rest: Span, rested: number): string {
  const [least, most] = [lowest(rest), highest(rest)]
  return least < most && rested < most
    ? `Rested ${formatSeconds(least)}: go on by ${formatSeconds(most)}`
    : `Rested ${formatSeconds(most)}: go on`
}
