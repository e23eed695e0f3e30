import { useEffect, useState } from 'react'
import { formatSeconds } from '@young-oak/core/units'
import { announce } from '../../ui/announce.ts'

/** Counts from the moment of the set, not from ticks: a locked phone loses nothing. */
export function RestTimer({ from, seconds }: { from: number; seconds: number }) {
  const [now, setNow] = useState(from)
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 500)
    return () => clearInterval(timer)
  }, [])
  const left = Math.ceil(seconds - (now - from) / 1000)
  const isOver = left <= 0
  useEffect(() => {
    if (isOver) announce('Rest is over.')
  }, [isOver])
  return (
    <p
      role="timer"
      className={`sticky bottom-3 mt-4 rounded-lg border p-3 text-center text-xl ${left > 0 ? 'border-line bg-sheet' : 'border-leaf bg-leaf-wash'}`}
    >
      {left > 0 ? `Rest ${formatSeconds(left)}` : `Rested ${formatSeconds(seconds)}: go on`}
    </p>
  )
}
