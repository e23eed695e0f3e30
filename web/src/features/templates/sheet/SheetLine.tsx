import { useLibrary } from '../../library/useLibrary.ts'
import { memo } from 'react'
import type { PlannedSlot } from '@young-oak/core/plan'
import { liftName, type Library } from '@young-oak/core/library'
import { waysTo } from '@young-oak/core/loads'
import type { RepTable } from '@young-oak/core/maxes'
import type { ShownSets } from '@young-oak/core/member'
import { formatAsked, needCells } from '@young-oak/core/views'
import {
  cellFields,
  cellNames,
  detailsSaid,
  formatCell,
  type SetPrescription,
  type SheetField,
} from '@young-oak/core/template'
import { formatNumber } from '@young-oak/core/units'
import { Why } from '../../../ui/Why.tsx'
import type { Selected } from '../inspector/selected.ts'
import type { LineActs } from './lineActs.ts'
import { fieldNames, sheetFields, type At, type SetsLine } from './sheet.ts'
import { SlotHead } from './SlotHead.tsx'
import { Aside } from './Aside.tsx'
import { TypingCell, Understood } from './TypingCell.tsx'
import type { Typing } from './acts/index.ts'

type Props = {
  line: SetsLine
  table?: RepTable
  planned?: PlannedSlot
  isPreviewed: boolean
  column: number
  index: number
  /** The field under the keyboard, where it is in this line. */
  field: number | null
  /** The fields of this line that are marked. */
  markedFrom: number | null
  markedTo: number | null
  typing: Typing | null
  onAct: LineActs
  onInspect: (selected: Selected) => void
}

const widths: Record<SheetField, string> = {
  sets: 'min-w-6 shrink-0 text-right',
  goal: 'min-w-8 max-w-28 shrink-0 text-left',
  load: 'w-full text-left',
  rir: 'min-w-5 shrink-0 text-right',
  rest: 'min-w-8 shrink-0 text-right',
}
const loadField = sheetFields.indexOf('member')

/** A line of the sheet: "3 × 5 @ 75%", reserve, rest, and the chosen member's load at the right. */
export const SheetLine = memo(function SheetLine({
  line,
  table,
  planned,
  isPreviewed,
  column,
  index,
  field,
  markedFrom,
  markedTo,
  typing,
  onAct,
  onInspect,
}: Props) {
  const library = useLibrary()
  const { prescribed, isFirst, has } = line
  const asked = isPreviewed ? planned?.sets.find((one) => one.prescription === prescribed.id) : undefined
  const isMarked = (f: number) => markedFrom !== null && markedTo !== null && f >= markedFrom && f <= markedTo
  const at = (f: number): At => ({ column, line: index, field: f })
  const cell = (f: number) => ({
    role: 'gridcell',
    'aria-colindex': f + 1,
    'aria-selected': isMarked(f),
    'data-cell': `${column}-${index}-${f}`,
    tabIndex: field === f || (column === 0 && index === 0 && f === 1) ? 0 : -1,
    onFocus: () => onAct({ do: 'focus', at: at(f), selects: false }),
    onPointerDown: (event: { shiftKey: boolean; preventDefault(): void }) => {
      if (event.shiftKey) event.preventDefault()
      onAct(event.shiftKey ? { do: 'focus', at: at(f), selects: true } : { do: 'deselect' })
    },
    onDoubleClick: () => onAct({ do: 'open', at: at(f) }),
  })
  const writing = field !== null && typing
  return (
    <div className={isFirst ? 'border-t border-line pt-1.5' : ''}>
      {isFirst && (
        <SlotHead
          line={line}
          index={index}
          isMarked={isMarked(0)}
          cell={cell(0)}
          at={at(0)}
          typing={field === 0 ? typing : null}
          onAct={onAct}
          onInspect={onInspect}
        />
      )}
      {isFirst && line.marks.length > 0 && (
        <Aside className="border-l-2 border-mist pl-2 text-xs text-mist">
          In the track: {line.marks.join('; ')}
        </Aside>
      )}
      {prescribed.lift && <Aside className="pl-3.5 text-sm">{liftName(library, prescribed.lift)}</Aside>}
      <div role="row" className="flex items-center pb-1 text-[0.8125rem]">
        {cellFields.map((one) => {
          const f = sheetFields.indexOf(one)
          return (
            <SetCell
              key={one}
              line={line}
              field={one}
              asked={asked}
              cell={cell(f)}
              isMarked={isMarked(f)}
              typing={field === f ? typing : null}
              onAct={onAct}
            />
          )
        })}
        <MemberLoad line={line} planned={planned} isPreviewed={isPreviewed} cell={cell(loadField)} />
      </div>
      <Said prescribed={prescribed} has={has} table={table} />
      {writing && <Understood typing={typing} onAct={onAct} />}
    </div>
  )
})

type CellProps = {
  line: SetsLine
  field: SheetField
  asked: ShownSets | undefined
  cell: object
  isMarked: boolean
  typing: Typing | null
  onAct: LineActs
}

/** One cell as it is written: by the writer, by a progression, or inherited; or what is typed in its place. */
function SetCell({ line, field, asked, cell, isMarked, typing, onAct }: CellProps) {
  const library = useLibrary()
  const { slot, prescribed, has } = line
  const inherits = field in has
  const text = formatCell(library, field, inherits ? { ...prescribed, ...has } : prescribed)
  const isByRule = line.byRule.includes(field)
  const isFixed = line.fixed.includes(field)
  const name = `${fieldNames[field]} of ${liftName(library, prescribed.lift ?? slot)}`
  return (
    <span className={`flex items-center ${field === 'load' ? 'min-w-0 grow' : ''}`}>
      {field === 'goal' && <span className="text-bark">×</span>}
      {field === 'load' && <span className="text-bark">@</span>}
      {typing ? (
        <TypingCell name={name} width={widths[field]} typing={typing} onAct={onAct} />
      ) : (
        <button
          type="button"
          {...cell}
          title={titleOf(field, text, isByRule, isFixed, inherits)}
          aria-label={`${name}: ${text || 'empty'}${asked ? sayInstead(library, field, prescribed, asked) : ''}${inherits ? ', inherited' : ''}${isFixed ? ', fixed' : ''}`}
          className={`h-7 truncate rounded-sm px-0.5 focus:bg-leaf-wash ${widths[field]} ${isByRule ? 'text-mist italic' : ''} ${isFixed ? 'font-semibold underline decoration-acorn decoration-2 underline-offset-4' : ''} ${inherits ? 'text-bark underline decoration-edge decoration-dotted underline-offset-4' : ''} ${isMarked ? 'bg-leaf-wash outline outline-leaf' : 'hover:bg-leaf-wash'}`}
        >
          {shown(field, text)}
          {asked && <Instead field={field} prescribed={prescribed} asked={asked} />}
        </button>
      )}
    </span>
  )
}

/** The cell as the chosen member is asked it, where that is another than is written. */
function insteadOf(
  library: Library,
  field: SheetField,
  prescribed: SetPrescription,
  asked: ShownSets,
): string | null {
  if (field !== 'sets' && field !== 'goal') return null
  const goal = asked.goal ?? { reps: asked.reps ?? 1, ...(asked.amrap && { amrap: asked.amrap }) }
  const own = formatCell(library, field, { ...prescribed, sets: asked.sets, goal })
  return own === formatCell(library, field, prescribed) ? null : own
}

const sayInstead = (
  library: Library,
  field: SheetField,
  prescribed: SetPrescription,
  asked: ShownSets,
): string => {
  const own = insteadOf(library, field, prescribed, asked)
  return own === null ? '' : `, ${own} for the member`
}

function Instead({
  field,
  prescribed,
  asked,
}: {
  field: SheetField
  prescribed: SetPrescription
  asked: ShownSets
}) {
  const library = useLibrary()
  const own = insteadOf(library, field, prescribed, asked)
  return own === null ? null : <span className="text-mist">→{own}</span>
}

/** What else the line says, under its cells: tempo, sides, style, bands; and ways to a tonnage. */
function Said({
  prescribed,
  has,
  table,
}: {
  prescribed: SetPrescription
  has: SetsLine['has']
  table?: RepTable
}) {
  const library = useLibrary()
  const said = detailsSaid(library, prescribed).flatMap(({ field, text }) =>
    field === 'kind' ? [] : text === 'yes' ? cellNames[field] : `${cellNames[field]} ${text}`,
  )
  if (has.tempo) said.unshift(`tempo ${has.tempo}, inherited`)
  const { load, sets } = prescribed
  if (load.of === 'tonnage' && !load.per) {
    const ways = waysTo(load.times, table ?? 'handbook', sets).slice(0, 4)
    said.push(
      ways.length
        ? `reached by ${ways.map((way) => `${way.sets} × ${way.reps} at ${formatNumber(way.percent)}%`).join(', ')}`
        : 'no sets of 1 to 10 reps reach it',
    )
  }
  if (!said.length) return null
  return <Aside className="pb-1 pl-3.5 text-xs text-bark">{said.join('; ')}</Aside>
}

/** What a cell that is too narrow or too short for its meaning says at length. */
function titleOf(
  field: SheetField,
  text: string,
  isByRule: boolean,
  isFixed: boolean,
  inherits: boolean,
): string | undefined {
  if (isFixed) return `${text}, fixed here; press Delete to let the progression set it`
  if (isByRule && field !== 'load') return `${text}, until the progression sets it`
  if (inherits) return `${text}, inherited from the session or phase`
  if (field === 'load' || field === 'goal') return text
  if (field === 'rir' && text) return `${text} RIR`
  return undefined
}

const shown = (field: SheetField, text: string): string => {
  if (field === 'rir') return text ? `R${text}` : '·'
  return text || '·'
}

type LoadProps = { line: SetsLine; planned?: PlannedSlot; isPreviewed: boolean; cell: object }

/** The member's load for this line, with its why; or what it lacks. Either can be reached by the keyboard. */
function MemberLoad({ line, planned, isPreviewed, cell }: LoadProps) {
  const library = useLibrary()
  const prescribed = planned?.sets.find((one) => one.prescription === line.prescribed.id)
  const load = isPreviewed ? prescribed?.load : undefined
  if (prescribed && load) {
    return (
      <Why
        {...cell}
        title={formatAsked(prescribed, load)}
        steps={prescribed.why}
        says={`Load of the member, ${liftName(library, line.prescribed.lift ?? line.slot)}: ${formatAsked(prescribed, load)}`}
        className="ml-1.5 min-w-12 text-right font-serif font-semibold whitespace-nowrap"
      >
        {formatAsked(prescribed, load)}
      </Why>
    )
  }
  return (
    <span
      {...cell}
      className={`h-5 rounded-sm text-right whitespace-nowrap text-acorn ${isPreviewed ? 'ml-1.5 min-w-12' : 'min-w-2'}`}
    >
      {isPreviewed && prescribed?.missing && needCells[planned?.needs[0]?.need ?? prescribed.need ?? 'max']}
      {isPreviewed && prescribed?.today && !load && 'from the top set'}
    </span>
  )
}
