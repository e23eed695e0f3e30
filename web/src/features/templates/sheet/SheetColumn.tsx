import { memo } from 'react'
import type { RepTable } from '@young-oak/core/maxes'
import type { PlannedSession } from '@young-oak/core/plan'
import type { Id } from '@young-oak/core/parsing'
import { formatDay } from '@young-oak/core/units'
import type { Selected } from '../inspector/selected.ts'
import type { DraggedSession } from './Dragging.tsx'
import { DragHandle, useDragged } from './useDragged.tsx'
import { fieldNames, sheetFields, type At, type Column, type Line, type Range } from './sheet.ts'
import type { LineActs } from './lineActs.ts'
import { NewSlotLine } from './NewSlotLine.tsx'
import { SheetLine } from './SheetLine.tsx'
import type { Typing } from './acts/index.ts'

type Props = {
  column: Column
  index: number
  week: number
  twin?: number
  /** Where the keyboard is, and what is marked, where it is in this column. */
  at: At | null
  range: Range | null
  typing: Typing | null
  planned?: PlannedSession
  minutes: number
  isPreviewed: boolean
  table?: RepTable
  onAct: LineActs
  onInspect: (selected: Selected) => void
}

/** One place of the week: its session's name, its sections, their lines. */
export const SheetColumn = memo(function SheetColumn(props: Props) {
  const { column, week, twin, planned, minutes, isPreviewed, onInspect } = props
  const slots = new Map<Id, PlannedSession['slots'][number]>(planned?.slots.map((slot) => [slot.slot, slot]))
  const firsts = column.sections.map((_, p) =>
    column.sections.slice(0, p).reduce((sum, { lines }) => sum + lines.length, 0),
  )
  return (
    <section aria-label={`${column.name}, day ${column.inWeek}`} className="contain-layout">
      <ColumnHead
        column={column}
        twin={twin}
        planned={isPreviewed ? planned : undefined}
        minutes={isPreviewed ? minutes : 0}
        onInspect={() => onInspect({ phase: column.phase, session: column.session, what: 'session' })}
      />
      <div
        role="grid"
        aria-label={`${column.name}, day ${column.inWeek}, week ${week}`}
        aria-multiselectable
        aria-colcount={sheetFields.length}
      >
        <HeadRow />
        {column.sections.map((section, p) => (
          <div key={section.name} role="rowgroup" aria-label={section.name}>
            {(column.sections.length > 1 || section.minutes) && (
              <p aria-hidden className="mt-2 text-xs tracking-wide text-bark">
                {section.name}
                {section.minutes && `, ${section.minutes} min`}
              </p>
            )}
            {section.lines.map((line, i) => (
              <ColumnLine key={line.key} line={line} at={(firsts[p] ?? 0) + i} slots={slots} of={props} />
            ))}
          </div>
        ))}
      </div>
    </section>
  )
})

type LineProps = {
  line: Line
  /** The line's number in the column. */
  at: number
  slots: Map<Id, PlannedSession['slots'][number]>
  of: Props
}

/** One line of a column, told of the keyboard and the marked cells only where they are in it. */
function ColumnLine({ line, at: l, slots, of }: LineProps) {
  const { index: c, at, range, typing, isPreviewed, table, onAct, onInspect } = of
  const isHere = at?.line === l
  const isSpread = range !== null && (range.lines[0] < range.lines[1] || range.fields[0] < range.fields[1])
  const isMarked = isSpread && l >= range.lines[0] && l <= range.lines[1]
  if (line.kind === 'new')
    return (
      <NewSlotLine
        line={line}
        column={c}
        index={l}
        isFirst={c === 0 && l === 0}
        isHere={isHere}
        typing={isHere ? typing : null}
        onAct={onAct}
      />
    )
  return (
    <SheetLine
      line={line}
      table={table}
      planned={slots.get(line.slotId)}
      isPreviewed={isPreviewed}
      column={c}
      index={l}
      field={isHere ? at.field : null}
      markedFrom={isMarked ? range.fields[0] : null}
      markedTo={isMarked ? range.fields[1] : null}
      typing={isHere ? typing : null}
      onAct={onAct}
      onInspect={onInspect}
    />
  )
}

/** The names of the columns, for those who hear the sheet: a sighted reader knows 3 × 5 @ 75%. */
const HeadRow = () => (
  <div role="row" className="sr-only">
    {sheetFields.map((field, i) => (
      <span key={field} role="columnheader" aria-colindex={i + 1}>
        {fieldNames[field]}
      </span>
    ))}
  </div>
)

/** Counted back from the test day: a member’s own date decides when it is. */
const sayToTest = (weeks: number): string =>
  weeks === 0 ? 'Week of the test' : `${weeks} ${weeks === 1 ? 'week' : 'weeks'} before the test`

type HeadProps = {
  column: Column
  twin?: number
  planned?: PlannedSession
  minutes: number
  onInspect: () => void
}

/** The session's number, by which it is dragged, and its name; another session may be dropped on it. */
function ColumnHead({ column, twin, planned, minutes, onInspect }: HeadProps) {
  const { position, phase, session } = column
  const data: DraggedSession = { phase, session }
  const { own, isOver, handle } = useDragged({
    id: `session/${position}`,
    data,
    over: { id: `session-at/${position}`, data },
  })
  return (
    <header {...own} className={`border-b-2 pb-1 ${isOver ? 'border-leaf bg-leaf-wash' : 'border-ink'}`}>
      <h2 className="text-lg">
        <DragHandle
          handle={handle}
          label={`Day ${column.inWeek}`}
          title="Drag to move the session, with Ctrl to copy"
          className="mr-2 inline-block"
        >
          {column.inWeek}
        </DragHandle>
        <button
          type="button"
          tabIndex={-1}
          title="Open the session in the inspector"
          onClick={onInspect}
          className="text-left hover:text-leaf"
        >
          {column.name}
        </button>
      </h2>
      <p className="min-h-5 text-xs text-bark">
        {column.toTest !== undefined && `${sayToTest(column.toTest)}. `}
        {twin !== undefined && `Same sets as day ${twin}. `}
        {planned?.date &&
          `${planned.status === 'skipped' ? 'Skipped' : 'Trained'} on ${formatDay(planned.date)}. `}
        {minutes > 0 && `About ${minutes} minutes. `}
        {planned?.status === 'ahead' && 'Loads if every session before it is a hit.'}
        {planned?.status === 'next' && 'Next session.'}
      </p>
    </header>
  )
}
