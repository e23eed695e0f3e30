import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core'
import { startTransition, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { copySlots, moveSlots } from '@young-oak/core/building'
import { minutesOf, type PlannedSession } from '@young-oak/core/plan'
import { spotOf, type Command, type Id, type Template } from '@young-oak/core/template'
import { formatDay } from '@young-oak/core/units'
import { Button } from '../../../ui/Button.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import type { Preview } from '../../../workers/planner.worker.ts'
import type { Selected } from '../inspector/selected.ts'
import { mint } from '../mint.ts'
import { CircuitDialog } from './CircuitDialog.tsx'
import { PasteFaults } from './PasteFaults.tsx'
import { columnsOf, lineAt, plannedAt, type Column } from './sheet.ts'
import { NewSlotLine, SheetLine, type LineActs } from './SheetLine.tsx'
import { useSheet } from './useSheet.ts'

type Props = {
  draft: Template
  week: number
  weeks: number
  onWeek: (week: number) => void
  /** What is being typed, as the command it would be, or null. */
  onTry: (command: Command | null) => void
  preview: Preview | null
  memberName?: string
  /** A track whose differences are marked. */
  track: string
  /** What the keyboard stands on, for the inspector. */
  onSelect: (selected: Selected) => void
  /** Opens the inspector on it. */
  onInspect: (selected: Selected) => void
}

/** The week's sessions side by side, edited in place by keyboard. */
export function WeekSheet({
  draft,
  week,
  weeks,
  onWeek,
  onTry,
  preview,
  memberName,
  track,
  onSelect,
  onInspect,
}: Props) {
  const columns = useMemo(() => columnsOf(draft, week, track), [draft, week, track])
  const sheet = useRef<HTMLDivElement>(null)
  const [circuit, setCircuit] = useState<Id[] | null>(null)
  const state = useSheet({ draft, columns, week, weeks, sheet, onWeek, onTry, onCircuit: setCircuit })
  const { at, range, typing } = state
  const line = lineAt(columns, at)
  const column = columns[at.column]
  const selected = useMemo(
    (): Selected => ({
      ...(column && { phase: column.phase, session: column.session }),
      ...(line?.kind === 'sets' && { slot: line.slotId, group: line.group.id, row: line.row }),
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [column?.phase, column?.session, line?.key, line?.kind === 'sets' ? line.row : 0],
  )
  useEffect(() => startTransition(() => onSelect(selected)), [selected, onSelect])

  const now = useRef(state)
  useLayoutEffect(() => {
    now.current = state
  })
  /** The same function through all renderings, so that lines that did not change are not drawn anew. */
  const onAct = useCallback<LineActs>((act) => {
    const { setAt, see, leave, unmark } = now.current
    if (act.do === 'focus') setAt(act.at, act.isMark)
    else if (act.do === 'open') {
      leave()
      unmark()
      setAt(act.at)
      requestAnimationFrame(() => now.current.openCell())
    } else if (act.do === 'type') see(act.text)
    else if (act.do === 'leave') leave()
    else if (act.do === 'unmark') unmark()
    else {
      unmark()
      setAt(act.at)
      requestAnimationFrame(() => now.current.act(act.act))
    }
  }, [])

  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const drop = ({ active, over, activatorEvent }: DragEndEvent) => {
    const to = over?.data.current as { session: Id; part: string; after: Id } | undefined
    if (!to || to.after === active.id) return
    const copies =
      activatorEvent instanceof PointerEvent && (activatorEvent.ctrlKey || activatorEvent.metaKey)
    const slot = String(active.id)
    if (JSON.stringify(spotOf(draft, slot)) === JSON.stringify(to)) return
    state.put(copies ? copySlots(draft, [slot], to, mint) : moveSlots(draft, [slot], to))
  }

  return (
    <DndContext
      sensors={sensors}
      onDragEnd={drop}
      accessibility={{ screenReaderInstructions: { draggable: 'Alt and an arrow key move the slot.' } }}
    >
      <div
        ref={sheet}
        role="group"
        aria-label={`Week ${week}`}
        className="grid gap-x-4 gap-y-6 overflow-x-auto pb-2"
        style={{
          gridTemplateColumns: `repeat(${Math.min(Math.max(columns.length, 1), 6)}, minmax(16.5rem, ${columns.length > 2 ? '1fr' : '30rem'}))`,
        }}
        onKeyDown={state.onKeyDown}
        onCopy={state.onCopy}
        onCut={state.onCut}
        onPaste={state.onPaste}
      >
        {columns.map((one, c) => {
          const planned = plannedAt(preview, one)
          return (
            <section key={one.position} aria-label={`${one.name}, place ${one.inWeek}`}>
              <ColumnHead
                column={one}
                columns={columns}
                planned={planned}
                memberName={memberName}
                draft={draft}
                onInspect={() => onInspect({ phase: one.phase, session: one.session, what: 'session' })}
              />
              {one.parts.map((part) => (
                <div key={part.name}>
                  {(one.parts.length > 1 || part.minutes) && (
                    <p className="mt-2 text-xs tracking-wide text-bark">
                      {part.name}
                      {part.minutes && `, ${part.minutes} min`}
                    </p>
                  )}
                  {part.lines.map((own) => {
                    const l = one.lines.indexOf(own)
                    const isHere = at.column === c && at.line === l
                    if (own.kind === 'new')
                      return (
                        <NewSlotLine
                          key={own.key}
                          line={own}
                          column={c}
                          index={l}
                          isFirst={c === 0 && l === 0}
                          isHere={isHere}
                          typing={isHere ? typing : null}
                          onAct={onAct}
                        />
                      )
                    const isMarked = range.column === c && l >= range.lines[0] && l <= range.lines[1]
                    const isSpread = range.lines[0] < range.lines[1] || range.fields[0] < range.fields[1]
                    return (
                      <SheetLine
                        key={own.key}
                        line={own}
                        table={draft.maxes.table}
                        planned={planned?.slots.find(({ slot }) => slot === own.slotId)}
                        isPreviewed={memberName !== undefined}
                        column={c}
                        index={l}
                        field={isHere ? at.field : null}
                        markedFrom={isMarked && isSpread ? range.fields[0] : null}
                        markedTo={isMarked && isSpread ? range.fields[1] : null}
                        typing={isHere ? typing : null}
                        onAct={onAct}
                        onInspect={onInspect}
                      />
                    )
                  })}
                </div>
              ))}
            </section>
          )
        })}
      </div>
      <Legend />
      {state.asked && (
        <Modal title="Fill over what a rule writes?" isOpen onClose={() => state.answer(false)}>
          <p>
            {state.asked.byRule} {state.asked.byRule === 1 ? 'load is' : 'loads are'} a rule’s in the later
            weeks. What is filled in takes their place there.
          </p>
          <div className="mt-4 flex gap-3">
            <Button autoFocus onClick={() => state.answer(true)}>
              Fill
            </Button>
            <Button look="plain" onClick={() => state.answer(false)}>
              Leave them
            </Button>
          </div>
        </Modal>
      )}
      {state.pasted && <PasteFaults pasted={state.pasted} onClose={state.closePasted} />}
      {circuit && (
        <CircuitDialog draft={draft} slots={circuit} onPut={state.put} onClose={() => setCircuit(null)} />
      )}
    </DndContext>
  )
}

const Legend = () => (
  <p className="flex flex-wrap gap-x-5 text-xs text-bark">
    <span>
      <span className="text-ink">3:00</span> written
    </span>
    <span>
      <span className="underline decoration-edge decoration-dotted underline-offset-4">3:00</span> inherited
      from the session or phase
    </span>
    <span>
      <span className="text-mist italic">by rule</span> worked out by a rule
    </span>
    <span>Type over a cell, or a whole line: back squat 5 x 5 @ 75% R2 rest 3:00</span>
  </p>
)

/** Counted back from the test day: a member’s own date decides when it is. */
const sayToTest = (weeks: number): string =>
  weeks === 0 ? 'Week of the test' : `${weeks} ${weeks === 1 ? 'week' : 'weeks'} before the test`

type HeadProps = {
  column: Column
  columns: Column[]
  planned?: PlannedSession
  memberName?: string
  draft: Template
  onInspect: () => void
}

function ColumnHead({ column, columns, planned, memberName, draft, onInspect }: HeadProps) {
  const minutes = planned && memberName ? minutesOf(draft, column.session, planned.slots) : 0
  const twin = columns.find(
    ({ session, position }) => session === column.session && position < column.position,
  )
  return (
    <header className="border-b-2 border-ink pb-1">
      <h2 className="text-lg">
        <span className="mr-2 text-bark">{column.inWeek}</span>
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
        {twin && `The same cells as place ${twin.inWeek}. `}
        {planned?.date &&
          memberName &&
          `${planned.status === 'skipped' ? 'Skipped' : 'Trained'} on ${formatDay(planned.date)}.`}
        {minutes > 0 && `About ${minutes} minutes. `}
        {planned?.status === 'ahead' && memberName && 'Loads if every session before is a hit.'}
        {planned?.status === 'next' && memberName && 'Comes next.'}
      </p>
    </header>
  )
}
