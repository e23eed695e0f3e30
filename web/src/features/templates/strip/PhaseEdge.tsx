import { useState, type PointerEvent } from 'react'
import { resizePhase } from '@young-oak/core/editing'
import { nominalWeeks, type Phase } from '@young-oak/core/template'
import type { Put } from '../usePutOrSay.ts'

type EdgeProps = { phase: Phase; first: number; onPut: Put }

/** A phase's name under its weeks, and its end, which is dragged to make it longer or shorter. */
export function PhaseEdge({ phase, first, onPut }: EdgeProps) {
  const weeks = nominalWeeks(phase)
  const [drawn, setDrawn] = useState<number | null>(null)
  const count = drawn ?? weeks
  const drag = (event: PointerEvent<HTMLSpanElement>) => {
    if (typeof phase.weeks !== 'number') return
    const { clientX, currentTarget, pointerId } = event
    const width = (currentTarget.parentElement?.offsetWidth ?? 44) / weeks
    const at = (moved: { clientX: number }) =>
      Math.max(1, Math.round(weeks + (moved.clientX - clientX) / width))
    currentTarget.setPointerCapture(pointerId)
    currentTarget.onpointermove = (moved) => setDrawn(at(moved))
    currentTarget.onpointerup = (moved) => {
      currentTarget.onpointermove = null
      currentTarget.onpointerup = null
      setDrawn(null)
      if (at(moved) !== weeks) onPut((now) => resizePhase(now, phase.id, at(moved)))
    }
  }
  return (
    <span
      style={{ flexGrow: count }}
      className="relative min-w-0 basis-0 truncate border-l border-edge pr-2 pl-1.5"
    >
      {phase.name}, weeks {first} to {first + count - 1}
      {phase.ends && ', then the test day'}
      {typeof phase.weeks !== 'number' && `, at most ${phase.weeks.most}`}
      {typeof phase.weeks === 'number' && (
        <span
          onPointerDown={drag}
          title="Drag: longer or shorter"
          className="absolute top-0 right-0 h-full w-2 cursor-ew-resize touch-none border-r-2 border-edge hover:border-leaf"
        />
      )}
    </span>
  )
}
