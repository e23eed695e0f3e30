import { useLibrary } from '../../library/useLibrary.ts'
import { useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type RefObject } from 'react'
import { toast } from 'sonner'
import type { Id } from '@young-oak/core/parsing'
import {
  addSession,
  addSets,
  copySession,
  copySlots,
  faultOf,
  joinSlots,
  knownProgression,
  moveSession,
  moveSlots,
  nudgeSlot,
  partSlots,
  removeSets,
  removeSlots,
  type Built,
} from '@young-oak/core/editing'
import { liftName, type ExerciseId } from '@young-oak/core/library'
import { formatCell, formatSets, readLine, type Command, type Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { edit } from '../editorSlice.ts'
import { mint } from '../mint.ts'
import { usePutOrSay } from '../usePutOrSay.ts'
import { followKnown } from '../inspector/slotRules.ts'
import { fieldAt, isCell, lineAt, moved, rangeOf, slotsIn, type At, type Column } from './sheet.ts'
import { clearRange, copyRange, fillRange, overRules, pasteAt, typeInto } from './sheetEdits.ts'
import { actOf, type SheetAct } from './sheetKeys.ts'
import { useClipboard } from './useClipboard.ts'

/** What is being typed into the cell under the keyboard, and what it is understood as. */
export type Typing = {
  text: string
  replaced: boolean
  understood?: string
  error?: string
  /** A name that no exercise has. */
  unknown?: string
  /** Exercises that the words may mean, and the one that is taken. */
  found?: ExerciseId[]
  pick?: number
}

/** A fill that goes over what rules write, and what is done if it shall not. */
type Asked = { byRule: number; command: Command; otherwise?: Command | null }

type Props = {
  draft: Template
  columns: Column[]
  week: number
  weeks: number
  sheet: RefObject<HTMLDivElement | null>
  onWeek: (week: number) => void
  onTry: (command: Command | null) => void
  onCircuit: (slots: Id[]) => void
  onNewExercise: (name: string) => void
}

/** Where the keyboard is in the sheet, what is marked and typed, and what keys do. */
export function useSheet({
  draft,
  columns,
  week,
  weeks,
  sheet,
  onWeek,
  onTry,
  onCircuit,
  onNewExercise,
}: Props) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [at, setAt] = useState<At>({ column: 0, line: 0, field: 0 })
  const [anchor, setAnchor] = useState<At | null>(null)
  const [typing, setTyping] = useState<Typing | null>(null)
  const [asked, setAsked] = useState<Asked | null>(null)
  const range = useMemo(() => rangeOf(at, anchor), [at, anchor])
  const line = lineAt(columns, at)
  const column = columns[at.column]

  const isToFocus = useRef(false)
  useLayoutEffect(() => {
    if (!isToFocus.current) return
    isToFocus.current = false
    cellElement(sheet.current, columns, at)?.focus()
  })
  const focus = (next: At) => {
    isToFocus.current = true
    setAt({ ...next })
  }

  const putOrSay = usePutOrSay()
  /** Does a step, after which the keyboard is where it was. */
  const put = (built: Built | null): boolean => {
    const isDone = built !== null && putOrSay(built)
    if (isDone) isToFocus.current = true
    return isDone
  }

  const see = (text: string, pick?: number) => {
    const isLine = fieldAt(columns, at) === 'exercise'
    const read = isLine ? readLine(library, text) : null
    const found = read?.exercise ? [read.exercise, ...read.others] : undefined
    const typed = typeInto(
      library,
      draft,
      columns,
      at,
      text,
      false,
      mint,
      pick === undefined ? undefined : found?.[pick],
    )
    const isEmpty = !text.trim()
    setTyping({
      text,
      replaced: true,
      ...(found && { found, pick: pick ?? 0 }),
      ...(read?.name && !read.exercise && { unknown: read.name }),
      ...(typed.fault === undefined && typed.understood && !isEmpty && { understood: typed.understood }),
    })
    onTry(typed.fault === undefined ? typed.command : null)
  }
  const stopTyping = () => {
    setTyping(null)
    onTry(null)
  }
  /** Keeps what was typed and goes on; or says what is wrong with it, and keeps the words. */
  const keep = (next: (columns: Column[], at: At) => At, fill: boolean): boolean => {
    if (!typing) return true
    const picked = typing.found?.[typing.pick ?? 0]
    const typed = typeInto(library, draft, columns, at, typing.text, fill, mint, picked)
    const fault = typed.fault ?? (typed.command && faultOf(library, draft, typed.command)) ?? undefined
    if (fault !== undefined || typed.fault !== undefined) {
      setTyping({ ...typing, error: fault, replaced: true })
      return false
    }
    const { command } = typed
    const parts = command?.do === 'several' ? command.commands : command ? [command] : []
    const byRule = fill && line?.kind === 'sets' ? overRules(draft, parts, line.row) : 0
    if (command && byRule) {
      const here = typeInto(library, draft, columns, at, typing.text, false, mint, picked)
      setAsked({ byRule, command, otherwise: here.fault === undefined ? here.command : null })
    } else if (command) dispatch(edit(command))
    stopTyping()
    setAnchor(null)
    if (command?.do === 'addSlot') {
      const added = Object.values(command.value.rows)[0]?.[0]?.length ?? 1
      const known = knownProgression(draft, command.value.exercise)
      if (known && !command.value.uses.length)
        toast(
          `${liftName(library, { exercise: command.value.exercise })} has a progression already. Press Alt + F on the line to use it.`,
        )
      focus({ ...at, line: at.line + added })
    } else focus(next(columns, at))
    return true
  }
  const openCell = () => {
    const field = fieldAt(columns, at)
    if (!line || field === 'member') return
    const text =
      line.kind === 'new'
        ? ''
        : isCell(field)
          ? formatCell(library, field, line.group)
          : `${liftName(library, line.slot)} ${formatSets(library, line.slot.rows[line.phase]?.[line.row] ?? [])}`
    setTyping({ text, replaced: false })
  }

  const slots = slotsIn(columns, range)
  const turn = (to: number) => {
    isToFocus.current = true
    onWeek(Math.min(Math.max(to, 1), weeks))
  }
  const beside = (by: -1 | 1, copies: boolean) => {
    const column = nextSession(columns, at.column, by)
    const target = column === null ? undefined : columns[column]
    if (column === null || !target || !slots.length) return void toast('There is no session there.')
    const last = [...target.lines].reverse().find(({ kind }) => kind === 'new')
    if (last?.kind !== 'new') return
    const to = { session: target.session, section: last.part, after: last.after }
    const before = target.lines.length - 1
    if (put(copies ? copySlots(library, draft, slots, to, mint) : moveSlots(library, draft, slots, to))) {
      setAnchor(null)
      focus({ ...at, column, line: before })
    }
  }
  const acts: Record<SheetAct, (event: Pick<KeyboardEvent, 'key'>) => void> = {
    move: ({ key }) => {
      setAnchor(null)
      focus(moved(columns, at, key))
    },
    first: () => {
      setAnchor(null)
      focus({ column: 0, line: 0, field: 1 })
    },
    last: () => {
      setAnchor(null)
      const column = Math.max(columns.length - 1, 0)
      focus({ column, line: Math.max((columns[column]?.lines.length ?? 1) - 1, 0), field: 0 })
    },
    mark: ({ key }) => {
      const next = moved(columns, at, key)
      if (next.column !== at.column) return
      setAnchor(anchor ?? at)
      focus(next)
    },
    open: openCell,
    fill: () => {
      const { command, byRule } = fillRange(draft, columns, range)
      if (!command) return
      if (byRule) setAsked({ byRule, command })
      else put(command)
    },
    clear: () => {
      if (range.fields[0] > 0) put(clearRange(library, draft, columns, range))
      else if (slots.length && put(removeSlots(library, draft, slots))) {
        setAnchor(null)
        focus({
          ...at,
          line: Math.min(range.lines[0], Math.max((columns[at.column]?.lines.length ?? 1) - 2, 0)),
        })
      }
    },
    undoMark: () => setAnchor(null),
    copySlot: () => {
      const last = slots[slots.length - 1]
      const lineOfLast = columns[at.column]?.lines.find((one) => one.kind === 'sets' && one.slotId === last)
      if (last !== undefined && lineOfLast)
        put(
          copySlots(
            library,
            draft,
            slots,
            { session: lineOfLast.session, section: lineOfLast.part, after: last },
            mint,
          ),
        )
    },
    up: () => nudge(-1),
    down: () => nudge(1),
    left: () => beside(-1, false),
    right: () => beside(1, false),
    copyLeft: () => beside(-1, true),
    copyRight: () => beside(1, true),
    sessionEarlier: () => shift(-1),
    sessionLater: () => shift(1),
    copySession: () => {
      if (!column) return
      const { phase, session } = column
      const order = draft.phases.find(({ id }) => id === phase)?.rotation ?? []
      put(copySession(draft, session, phase, mint, order.indexOf(session) + 1))
    },
    newSession: () => {
      const name = `Session ${Object.keys(draft.sessions).length + 1}`
      if (column) put(addSession(draft, column.phase, name, mint))
    },
    join: () => void put(joinSlots(library, draft, slots)),
    circuit: () =>
      slots.length > 1 ? onCircuit(slots) : void toast('Select two lines or more to make a circuit of them.'),
    part: () => void put(partSlots(library, draft, slots)),
    moreSets: () =>
      void (line?.kind === 'sets' && put(addSets(library, draft, line.slotId, line.phase, line.group.id))),
    lessSets: () =>
      void (line?.kind === 'sets' && put(removeSets(library, draft, line.slotId, line.phase, line.group.id))),
    follow: () => {
      if (line?.kind !== 'sets') return
      const known = knownProgression(draft, line.slot.exercise)
      const isOn = line.slot.uses.some(({ progression }) => progression === known?.progression)
      if (!known || isOn)
        return void toast(
          isOn
            ? 'This line uses the progression already.'
            : 'No other line of this lift has a progression. Add one in the inspector.',
        )
      put(followKnown(draft, line.slotId, known.progression))
    },
    weekBefore: () => turn(week - 1),
    weekAfter: () => turn(week + 1),
  }
  /** The keyboard goes with the session. */
  const shift = (by: -1 | 1) => {
    if (column && put(moveSession(draft, column.phase, column.session, by)))
      focus({ ...at, column: Math.min(Math.max(at.column + by, 0), columns.length - 1) })
  }
  /** The keyboard goes with the slot. */
  const nudge = (by: -1 | 1) => {
    if (line?.kind !== 'sets') return
    const lines = columns[at.column]?.lines ?? []
    const own = lines.filter((one) => one.kind === 'sets' && one.slotId === line.slotId).length
    const other =
      lines[
        by < 0
          ? lines.findIndex((one) => one.key === line.key) - 1
          : lines.findIndex((one) => one.kind === 'sets' && one.slotId === line.slotId) + own
      ]
    const size =
      other?.kind === 'sets'
        ? lines.filter((one) => one.kind === 'sets' && one.slotId === other.slotId).length
        : 1
    if (put(nudgeSlot(library, draft, line.slotId, by))) focus({ ...at, line: at.line + by * size })
  }

  /** Menus and dialogs of the sheet stand elsewhere in the page, but their events come through here. */
  const isOurs = (event: { target: EventTarget }) => sheet.current?.contains(event.target as Node) ?? false
  const onKeyDown = (event: KeyboardEvent) => {
    if (!isOurs(event)) return
    if (event.target instanceof HTMLInputElement) return pressTyping(event)
    const act = actOf(event)
    const isPlain = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey
    const field = fieldAt(columns, at)
    if (act && !(act === 'open' && field === 'member')) acts[act](event)
    else if (isPlain && event.key !== ' ' && event.key !== '?' && field !== 'member') see(event.key)
    else return
    event.preventDefault()
  }
  const pressTyping = (event: KeyboardEvent) => {
    const isChoosing =
      typing?.found && typing.found.length > 1 && (event.key === 'ArrowDown' || event.key === 'ArrowUp')
    if (event.altKey && event.key.toLowerCase() === 'n' && typing?.unknown) onNewExercise(typing.unknown)
    else if (event.key === 'Escape') {
      stopTyping()
      focus(at)
    } else if (event.key === 'Enter')
      keep((all, here) => (event.shiftKey ? here : moved(all, here, 'ArrowDown')), event.shiftKey)
    else if (event.key === 'Tab')
      keep((all, here) => moved(all, here, event.shiftKey ? 'ArrowLeft' : 'ArrowRight'), false)
    else if (isChoosing) {
      const count = typing.found?.length ?? 1
      see(typing.text, ((typing.pick ?? 0) + (event.key === 'ArrowDown' ? 1 : count - 1)) % count)
    } else return
    event.preventDefault()
  }
  const clipboard = useClipboard({
    isFree: (event) => isOurs(event) && !typing,
    copied: () => copyRange(library, columns, range),
    clear: () => acts.clear({ key: 'Delete' }),
    paste(rows) {
      const came = pasteAt(library, draft, columns, at, range, rows, mint)
      if (came.command) put(came.command)
      return came
    },
  })
  const leave = () => {
    if (typing && !typing.error) keep((_, here) => here, false)
  }
  return {
    at,
    range,
    typing,
    asked,
    ...clipboard,
    onKeyDown,
    leave,
    see,
    /** Reads what is typed once more: there may be more exercises now. */
    seeAgain: () => typing && see(typing.text),
    openCell,
    act: (act: SheetAct) => acts[act]({ key: '' }),
    put,
    setAt: (next: At, isMark = false) => {
      if (typing) return
      if (isMark && next.column === at.column) setAnchor(anchor ?? at)
      // Focus follows the keyboard: where it is already, nothing is drawn again.
      setAt((was) =>
        was.column === next.column && was.line === next.line && was.field === next.field ? was : next,
      )
    },
    unmark: () => setAnchor(null),
    answer: (isYes: boolean) => {
      if (asked) put(isYes ? asked.command : (asked.otherwise ?? null))
      setAsked(null)
    },
  }
}

/** The column of the nearest other session on a side. */
function nextSession(columns: Column[], from: number, by: -1 | 1): number | null {
  const own = columns[from]?.session
  for (let at = from + by; at >= 0 && at < columns.length; at += by)
    if (columns[at]?.session !== own) return at
  return null
}

const cellElement = (sheet: HTMLElement | null, columns: Column[], at: At) => {
  const field = lineAt(columns, at)?.kind === 'new' ? 0 : at.field
  return sheet?.querySelector<HTMLElement>(`[data-cell="${at.column}-${at.line}-${field}"]`)
}
