import { useEffect, useRef, type ReactNode } from 'react'
import { liftName } from '@young-oak/core/library'
import type { ShownGroup } from '@young-oak/core/member'
import { formatCircuit, formatHandled, type PlannedSlot } from '@young-oak/core/plan'
import {
  cellFields,
  cellNames,
  cellsByRule,
  detailFields,
  formatCell,
  sayProgression,
  type SheetField,
  type SetGroup,
  type Slot,
  type Template,
} from '@young-oak/core/template'
import { waysTo } from '@young-oak/core/loads'
import { formatNumber } from '@young-oak/core/units'
import { Why } from '../../ui/Why.tsx'
import { loadField, type Line } from './sheet.ts'
import type { Typing } from './WeekSheet.tsx'

type Props = {
  line: Line
  draft: Template
  planned?: PlannedSlot
  isPreviewed: boolean
  name: string
  /** The field under the keyboard, where it is in this line. */
  field: number | null
  typing: Typing | null
  onFocus: (field: number) => void
  onOpen: (field: number) => void
  onType: (text: string) => void
  onLeave: () => void
  menu: ReactNode
}

const widths: Record<SheetField, string> = {
  sets: 'w-9 text-right',
  goal: 'w-11 text-left',
  load: 'w-full text-left',
  rir: 'w-6 text-right',
  rest: 'w-9 text-right',
}
const names: Record<SheetField, string> = {
  sets: 'Sets',
  goal: 'Reps',
  load: 'Load',
  rir: 'Reps in reserve',
  rest: 'Rest',
}

/** A line of the sheet: "3 × 5 @ 75%", reserve, rest, and the chosen member's load at the right. */
export function SheetLine({
  line,
  draft,
  planned,
  isPreviewed,
  name,
  field,
  typing,
  onFocus,
  onOpen,
  onType,
  onLeave,
  menu,
}: Props) {
  const { slot, group, isFirst } = line
  const asked = isPreviewed ? planned?.groups.find((one) => one.group === group.id) : undefined
  const byRule: SheetField[] = [
    ...cellsByRule(draft, slot, slot.rows[line.phase]?.[line.row] ?? [], group),
    ...(group.load.of === 'progression' ? (['load'] as const) : []),
  ]
  return (
    <div className={isFirst ? 'border-t border-line pt-1.5' : ''}>
      {isFirst && (
        <div className="flex items-baseline gap-1.5">
          <span className="w-5 shrink-0 text-sm text-bark">{line.letter}</span>
          <span className="grow font-medium" title={ruleSentences(draft, slot)}>
            {slot.circuit ? `${slot.circuit.name}: ${formatCircuit(slot.circuit)}` : liftName(line.lift)}
          </span>
          {menu}
        </div>
      )}
      {group.lift && <p className="pl-3.5 text-sm">{liftName(group.lift)}</p>}
      <div className="flex items-center pb-1 pl-2.5 text-[0.8125rem]">
        {cellFields.map((one, f) => (
          <span key={one} className={`flex items-center ${one === 'load' ? 'min-w-0 grow' : ''}`}>
            {one === 'goal' && <span className="text-bark">×</span>}
            {one === 'load' && <span className="text-bark">@</span>}
            {field === f && typing ? (
              <TypingCell
                name={`${names[one]} of ${liftName(slot)}`}
                width={widths[one]}
                typing={typing}
                onType={onType}
                onLeave={onLeave}
              />
            ) : (
              <button
                type="button"
                data-cell={`${name}-${f}`}
                tabIndex={field === f || (name === '0-0' && f === 0) ? 0 : -1}
                title={titleOf(one, group, byRule.includes(one))}
                aria-label={`${names[one]} of ${liftName(slot)}: ${formatCell(one, group) || 'empty'}`}
                onFocus={() => onFocus(f)}
                onDoubleClick={() => onOpen(f)}
                className={`h-7 truncate rounded-sm px-0.5 focus:bg-leaf-wash ${widths[one]} ${byRule.includes(one) ? 'text-mist italic' : ''} hover:bg-leaf-wash`}
              >
                {shown(one, formatCell(one, group))}
                {asked && <Instead field={one} group={group} asked={asked} />}
              </button>
            )}
          </span>
        ))}
        <MemberLoad
          line={line}
          planned={planned}
          isPreviewed={isPreviewed}
          cell={`${name}-${loadField}`}
          isHere={field === loadField}
          onFocus={() => onFocus(loadField)}
        />
      </div>
      <Said group={group} draft={draft} />
      {field !== null && typing?.error && (
        <p role="alert" className="mb-1 ml-4 rounded bg-brick-wash px-2 py-1 text-sm text-brick">
          {typing.error}
        </p>
      )}
    </div>
  )
}

/** What the chosen member is asked in place of the sets or reps that are written. */
function Instead({ field, group, asked }: { field: SheetField; group: SetGroup; asked: ShownGroup }) {
  if (field !== 'sets' && field !== 'goal') return null
  const goal = asked.goal ?? { reps: asked.reps ?? 1, ...(asked.plus && { plus: asked.plus }) }
  const own = formatCell(field, { ...group, sets: asked.sets, goal })
  return own === formatCell(field, group) ? null : <span className="text-mist">→{own}</span>
}

/** What else the line says, under its cells: tempo, sides, style, bands; and ways to a tonnage. */
function Said({ group, draft }: { group: SetGroup; draft: Template }) {
  const said = detailFields.flatMap((field) => {
    const value = formatCell(field, group)
    if (!value || field === 'part') return []
    return value === 'yes' ? cellNames[field] : `${cellNames[field]} ${value}`
  })
  const { load, sets } = group
  if (load.of === 'tonnage' && !load.per) {
    const ways = waysTo(load.times, draft.maxes.table ?? 'handbook', sets).slice(0, 4)
    said.push(
      ways.length
        ? `reached by ${ways.map((way) => `${way.sets} × ${way.reps} at ${formatNumber(way.percent)}%`).join(', ')}`
        : 'no sets of 1 to 10 reps reach it',
    )
  }
  if (!said.length) return null
  return <p className="pb-1 pl-3.5 text-xs text-bark">{said.join('; ')}</p>
}

/** What a cell that is too narrow or too short for its meaning says at length. */
function titleOf(field: SheetField, group: SetGroup, isByRule: boolean): string | undefined {
  if (isByRule && field !== 'load') return `${formatCell(field, group)}, until the rule puts its own in place`
  if (field === 'load' || field === 'goal') return formatCell(field, group)
  if (field === 'rir' && group.rir !== undefined) return `${group.rir} reps left in reserve`
  return undefined
}

const shown = (field: SheetField, text: string): string => {
  if (field === 'rir') return text ? `R${text}` : '·'
  return text || '·'
}

type TypingProps = {
  name: string
  width: string
  typing: Typing
  onType: (text: string) => void
  onLeave: () => void
}

function TypingCell({ name, width, typing, onType, onLeave }: TypingProps) {
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => {
    input.current?.focus()
    if (!typing.replaced) input.current?.select()
    // Only when the cell is opened: later keys must not select what was typed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])
  return (
    <input
      ref={input}
      aria-label={name}
      aria-invalid={Boolean(typing.error)}
      value={typing.text}
      onChange={(event) => onType(event.target.value)}
      onBlur={onLeave}
      className={`h-7 rounded-sm border bg-paper px-0.5 ${width} ${typing.error ? 'border-brick' : 'border-leaf'}`}
    />
  )
}

type LoadProps = {
  line: Line
  planned?: PlannedSlot
  isPreviewed: boolean
  cell: string
  isHere: boolean
  onFocus: () => void
}

/** The member's load for this line, with its why; or what it lacks. Either can be reached by the keyboard. */
function MemberLoad({ line, planned, isPreviewed, cell, isHere, onFocus }: LoadProps) {
  const group = planned?.groups.find((one) => one.group === line.group.id)
  const load = isPreviewed ? group?.load : undefined
  const place = { 'data-cell': cell, tabIndex: isHere ? 0 : -1, onFocus }
  if (group && load) {
    return (
      <Why
        {...place}
        title={formatHandled(group, load)}
        rungs={group.why}
        className="min-w-16 text-right font-serif font-semibold whitespace-nowrap"
      >
        {formatHandled(group, load)}
      </Why>
    )
  }
  return (
    <span {...place} className="h-5 min-w-16 rounded-sm text-right whitespace-nowrap text-acorn">
      {isPreviewed &&
        group?.missing &&
        (planned?.needs[0]?.need === 'bodyWeight' ? 'no body weight' : 'no max')}
      {isPreviewed && group?.today && !load && 'from the top set'}
    </span>
  )
}

const ruleSentences = (draft: Template, { follows }: Slot): string | undefined =>
  follows
    .flatMap(({ progression }) => draft.progressions[progression] ?? [])
    .map(sayProgression)
    .join(' ') || undefined
