import { useLibrary } from '../../library/useLibrary.ts'
import { liftName } from '@young-oak/core/library'
import { formatCircuit } from '@young-oak/core/views'
import type { Selected } from '../inspector/selected.ts'
import { DragHandle, useDragged } from './useDragged.tsx'
import type { LineActs } from './lineActs.ts'
import type { At, SetsLine } from './sheet.ts'
import { SlotMenu } from './SlotMenu.tsx'
import { TypingCell } from './TypingCell.tsx'
import type { Typing } from './acts/index.ts'

type HeadProps = {
  line: SetsLine
  index: number
  isMarked: boolean
  cell: object
  at: At
  typing: Typing | null
  onAct: LineActs
  onInspect: (selected: Selected) => void
}

/** The letter, by which the slot is dragged, and the exercise; another slot may be dropped above it. */
export function SlotHead({ line, index, isMarked, cell, at, typing, onAct, onInspect }: HeadProps) {
  const library = useLibrary()
  const { slot, slotId, session, section, phase, row, prescribed } = line
  const { own, isOver, handle } = useDragged({
    id: slotId,
    over: { id: `at/${session}/${slotId}/${index}`, data: { session, section, after: slotId } },
  })
  const name = slot.circuit
    ? `${slot.circuit.name}: ${formatCircuit(slot.circuit)}`
    : liftName(library, line.lift)
  return (
    <div
      {...own}
      role="row"
      className={`flex items-baseline gap-1.5 ${isOver ? 'border-b-2 border-leaf' : ''}`}
    >
      <DragHandle
        handle={handle}
        label={`Line ${line.letter}`}
        title="Drag to move, with Ctrl to copy"
        className="w-5 shrink-0 text-sm"
      >
        {line.letter}
      </DragHandle>
      {typing ? (
        <span className="grow">
          <TypingCell
            name={`Exercise ${liftName(library, slot)}`}
            width="w-full"
            typing={typing}
            onAct={onAct}
          />
        </span>
      ) : (
        <button
          type="button"
          {...cell}
          title={line.rules || undefined}
          aria-label={`Exercise: ${name}${line.letter.length > 1 ? `, ${line.letter} of a superset` : ''}`}
          className={`min-w-0 grow rounded-sm text-left text-pretty font-medium focus:bg-leaf-wash ${isMarked ? 'bg-leaf-wash outline outline-leaf' : 'hover:bg-leaf-wash'}`}
        >
          {name}
        </button>
      )}
      <span role="gridcell">
        <SlotMenu
          id={`${at.column}-${slotId}`}
          lift={liftName(library, slot)}
          onLeave={() =>
            document.querySelector<HTMLElement>(`[data-cell="${at.column}-${at.line}-0"]`)?.focus()
          }
          onAct={(act) => onAct({ do: 'act', at, act })}
          onInspect={(what) =>
            onInspect({
              phase,
              session,
              slot: slotId,
              prescription: prescribed.id,
              row,
              what,
              ...(what === 'slot' && { opens: 'details' }),
            })
          }
        />
      </span>
    </div>
  )
}
