import { useLayoutEffect, useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react'
import { minutesOf, type PlannedSession } from '@young-oak/core/plan'
import {
  cellFields,
  formatCell,
  parseCell,
  type Cell,
  type CellField,
  type Command,
  type Template,
} from '@young-oak/core/template'
import { formatDay } from '@young-oak/core/units'
import { useAppDispatch } from '../../app/store.ts'
import type { Preview } from '../../workers/planner.worker.ts'
import { edit } from './editorSlice.ts'
import { columnsOf, fieldAt, moved, plannedAt, type At, type Column, type Line } from './sheet.ts'
import { SheetLine } from './SheetLine.tsx'
import { SlotMenu } from './SlotMenu.tsx'

type Props = {
  draft: Template
  week: number
  weeks: number
  onWeek: (week: number) => void
  /** What is being typed, as the command it would be, or null. */
  onTry: (command: Command | null) => void
  preview: Preview | null
  memberName?: string
  /** Opens what all weeks of a slot come to. */
  onForesee: (slot: string) => void
}

/** What is being typed into the cell under the keyboard. */
export type Typing = { text: string; error?: string; replaced: boolean }

/** The week's sessions side by side, edited in place by keyboard. */
export function WeekSheet({ draft, week, weeks, onWeek, onTry, preview, memberName, onForesee }: Props) {
  const dispatch = useAppDispatch()
  const columns = useMemo(() => columnsOf(draft, week), [draft, week])
  const [at, setAt] = useState<At>({ column: 0, line: 0, field: 0 })
  const [typing, setTyping] = useState<Typing | null>(null)
  const sheet = useRef<HTMLDivElement>(null)
  const line = columns[at.column]?.lines[at.line]

  const isToFocus = useRef(false)
  useLayoutEffect(() => {
    if (!isToFocus.current) return
    isToFocus.current = false
    cellElement(sheet.current, at)?.focus()
  })
  const focus = (next: At) => {
    isToFocus.current = true
    setAt({ ...next })
  }
  const type = (text: string) => {
    setTyping({ text, replaced: true })
    const field = fieldAt(at)
    const parsed = line && field && parseCell(field, text, line.group, line.slot, draft)
    onTry(parsed && parsed.error === undefined ? setCells(draft, line, field, parsed.value, false) : null)
  }
  const stopTyping = () => {
    setTyping(null)
    onTry(null)
  }
  const turn = (to: number) => {
    isToFocus.current = true
    onWeek(Math.min(Math.max(to, 1), weeks))
  }
  const keep = (text: string, next: At, fill: boolean): boolean => {
    const field = fieldAt(at)
    if (!line || !field) return false
    const parsed = parseCell(field, text, line.group, line.slot, draft)
    if (parsed.error !== undefined) {
      setTyping({ text, error: parsed.error, replaced: true })
      return false
    }
    const command = setCells(draft, line, field, parsed.value, fill)
    if (command) dispatch(edit(command))
    stopTyping()
    focus(next)
    return true
  }
  /** Menus and dialogs of the sheet stand elsewhere in the page, but their events come through here. */
  const isOurs = (event: { target: EventTarget }) => sheet.current?.contains(event.target as Node) ?? false
  const press = (event: KeyboardEvent) => {
    if (!isOurs(event)) return
    const field = fieldAt(at)
    if (event.target instanceof HTMLInputElement) return pressTyping(event)
    const isPlainKey = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey
    if (event.key === 'PageDown') turn(week + 1)
    else if (event.key === 'PageUp') turn(week - 1)
    else if (/^(Arrow|Home$|End$)/.test(event.key) && !event.altKey) focus(moved(columns, at, event.key))
    else if (event.key === 'Enter' && event.shiftKey && line && field)
      keep(formatCell(field, line.group), at, true)
    else if ((event.key === 'Enter' || event.key === 'F2') && line && field)
      setTyping({ text: formatCell(field, line.group), replaced: false })
    else if ((event.key === 'Delete' || event.key === 'Backspace') && (field === 'rir' || field === 'rest'))
      keep('', at, false)
    else if (isPlainKey && event.key !== ' ' && event.key !== '?' && field) type(event.key)
    else return
    event.preventDefault()
  }
  const pressTyping = (event: KeyboardEvent) => {
    const text = typing?.text ?? ''
    if (event.key === 'Escape') {
      stopTyping()
      focus(at)
    } else if (event.key === 'Enter')
      keep(text, event.shiftKey ? at : moved(columns, at, 'ArrowDown'), event.shiftKey)
    else if (event.key === 'Tab')
      keep(text, moved(columns, at, event.shiftKey ? 'ArrowLeft' : 'ArrowRight'), false)
    else return
    event.preventDefault()
  }
  const copy = (event: ClipboardEvent) => {
    const field = fieldAt(at)
    if (!isOurs(event) || typing || !line || !field) return
    event.clipboardData.setData('text/plain', formatCell(field, line.group))
    event.preventDefault()
  }
  const paste = (event: ClipboardEvent) => {
    if (!isOurs(event) || typing || !line || !fieldAt(at)) return
    event.preventDefault()
    keep(event.clipboardData.getData('text/plain').trim(), at, false)
  }
  const leave = () => {
    if (typing && !typing.error) keep(typing.text, at, false)
  }

  return (
    <div
      ref={sheet}
      role="group"
      aria-label={`Week ${week}`}
      className="grid gap-x-4 gap-y-6 overflow-x-auto pb-2"
      style={{
        gridTemplateColumns: `repeat(${Math.min(columns.length, 4)}, minmax(18.5rem, ${columns.length > 2 ? '1fr' : '30rem'}))`,
      }}
      onKeyDown={press}
      onCopy={copy}
      onPaste={paste}
    >
      {columns.map((column, c) => (
        <section key={column.position} aria-label={`${column.name}, place ${column.inWeek}`}>
          <ColumnHead
            column={column}
            columns={columns}
            planned={plannedAt(preview, column)}
            memberName={memberName}
            draft={draft}
          />
          {column.parts.map((part) => (
            <div key={part.name}>
              {column.parts.length > 1 && <p className="mt-2 text-xs tracking-wide text-bark">{part.name}</p>}
              {part.lines.map((one) => {
                const l = column.lines.indexOf(one)
                const isHere = at.column === c && at.line === l
                return (
                  <SheetLine
                    key={`${one.slotId}/${one.group.id}`}
                    line={one}
                    draft={draft}
                    planned={plannedAt(preview, column)?.slots.find(({ slot }) => slot === one.slotId)}
                    isPreviewed={memberName !== undefined}
                    name={`${c}-${l}`}
                    field={isHere ? at.field : null}
                    typing={isHere ? typing : null}
                    onFocus={(field) => {
                      if (!typing) setAt({ column: c, line: l, field })
                    }}
                    onOpen={(field) => {
                      leave()
                      setAt({ column: c, line: l, field })
                      setTyping({
                        text: formatCell(cellFields[field] as CellField, one.group),
                        replaced: false,
                      })
                    }}
                    onType={type}
                    onLeave={leave}
                    menu={
                      one.isFirst ? (
                        <SlotMenu
                          draft={draft}
                          slotId={one.slotId}
                          session={column.session}
                          phase={one.phase}
                          row={one.row}
                          onForesee={() => onForesee(one.slotId)}
                        />
                      ) : null
                    }
                  />
                )
              })}
            </div>
          ))}
        </section>
      ))}
    </div>
  )
}

/** Counted back from the test day: a member’s own date decides when it is. */
const sayToTest = (weeks: number): string =>
  weeks === 0 ? 'Week of the test' : `${weeks} ${weeks === 1 ? 'week' : 'weeks'} before the test`

type HeadProps = {
  column: Column
  columns: Column[]
  planned?: PlannedSession
  memberName?: string
  draft: Template
}

function ColumnHead({ column, columns, planned, memberName, draft }: HeadProps) {
  const minutes = planned && memberName ? minutesOf(draft, column.session, planned.slots) : 0
  const twin = columns.find(
    ({ session, position }) => session === column.session && position < column.position,
  )
  return (
    <header className="border-b-2 border-ink pb-1">
      <h2 className="text-lg">
        <span className="mr-2 text-bark">{column.inWeek}</span>
        {column.name}
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

const cellElement = (sheet: HTMLElement | null, { column, line, field }: At) =>
  sheet?.querySelector<HTMLElement>(`[data-cell="${column}-${line}-${field}"]`)

/** The command that sets a cell, and with `fill` the same cell of every later week of the phase; nothing where all have it. */
function setCells(draft: Template, line: Line, field: CellField, to: Cell, fill: boolean): Command | null {
  const rows = draft.slots[line.slotId]?.rows[line.phase] ?? []
  const commands: Command[] = []
  for (let row = line.row; row < (fill ? line.rows : line.row + 1); row++) {
    const group = rows[row]?.find(({ id }) => id === line.group.id)
    if (!group) continue
    const from: Cell = group[field] ?? null
    if (JSON.stringify(from) === JSON.stringify(to)) continue
    commands.push({
      do: 'setCell',
      slot: line.slotId,
      phase: line.phase,
      row,
      group: group.id,
      field,
      from,
      to,
    })
  }
  if (commands.length <= 1) return commands[0] ?? null
  return { do: 'several', commands }
}
