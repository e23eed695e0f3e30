import { useDroppable } from '@dnd-kit/core'
import { memo } from 'react'
import type { LineActs } from './lineActs.ts'
import type { At, NewLine } from './sheet.ts'
import { TypingCell, Understood } from './TypingCell.tsx'
import type { Typing } from './acts/index.ts'

type NewProps = {
  line: NewLine
  column: number
  index: number
  isFirst: boolean
  isHere: boolean
  typing: Typing | null
  onAct: LineActs
}

/** Where a new slot is typed: an exercise, with its sets if they are said. */
export const NewSlotLine = memo(function NewSlotLine({
  line,
  column,
  index,
  isFirst,
  isHere,
  typing,
  onAct,
}: NewProps) {
  const { session, section, after } = line
  const { setNodeRef, isOver } = useDroppable({
    id: `end/${session}/${section}/${column}`,
    data: { session, section, after },
  })
  const at: At = { column, line: index, field: 0 }
  return (
    <div
      ref={setNodeRef}
      role="row"
      className={`border-t border-line pt-1 ${isOver ? 'border-t-2 border-leaf' : ''}`}
    >
      {typing ? (
        <>
          <TypingCell name={`New line in ${section}`} width="w-full" typing={typing} onAct={onAct} />
          <Understood typing={typing} onAct={onAct} />
        </>
      ) : (
        <button
          type="button"
          role="gridcell"
          aria-colindex={1}
          data-cell={`${column}-${index}-0`}
          tabIndex={isHere || isFirst ? 0 : -1}
          onFocus={() => onAct({ do: 'focus', at, selects: false })}
          onClick={() => onAct({ do: 'open', at })}
          className="h-7 w-full rounded-sm pl-6 text-left text-sm text-bark hover:bg-leaf-wash focus:bg-leaf-wash"
        >
          Add an exercise
        </button>
      )}
    </div>
  )
})
