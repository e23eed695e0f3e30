import { useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type RefObject } from 'react'
import { toast } from '../../../ui/toast.ts'
import type { Id } from '@young-oak/core/parsing'
import type { Built } from '@young-oak/core/editing'
import type { Command, Template } from '@young-oak/core/template'
import { useLibrary } from '../../library/useLibrary.ts'
import { announce } from '../../../ui/announce.ts'
import { usePutOrSay } from '../usePutOrSay.ts'
import { actOf, type ActName, type Outcome, type SheetView } from './acts/index.ts'
import { lineAt, rangeOf, type At, type Column } from './sheet.ts'
import { copyRange, pasteAt } from './sheetEdits.ts'
import { after, gone, pressed, startState, viewOf } from './sheetState.ts'
import { kept, opened, pressedTyping, typed } from './typing.ts'
import { useClipboard } from './useClipboard.ts'
import { mint } from '../mint.ts'

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

/** The sheet's state, and what it tells the page: acts and typing say what a key comes to, and here it happens. */
export function useSheet({ draft, columns, week, weeks, sheet, ...tell }: Props) {
  const library = useLibrary()
  const putOrSay = usePutOrSay()
  const [state, setState] = useState(startState)
  const { typing, asked } = state
  const view = viewOf({ library, draft, columns, week, weeks }, state)
  const { at, anchor } = view
  const range = useMemo(() => rangeOf(at, anchor), [at, anchor])

  const isToFocus = useRef(false)
  useLayoutEffect(() => {
    if (!isToFocus.current) return
    isToFocus.current = false
    cellElement(sheet.current, columns, at)?.focus()
  })

  /** Makes an outcome happen; where its step has a fault that is said, and nothing happens. */
  const happen = (outcome: Outcome): boolean => {
    if (outcome.say) toast(outcome.say)
    if (outcome.put && !putOrSay(outcome.put)) return false
    if (outcome.trial !== undefined) tell.onTry(outcome.trial)
    if (outcome.week !== undefined) tell.onWeek(outcome.week)
    if (outcome.circuit) tell.onCircuit(outcome.circuit)
    if (outcome.newExercise !== undefined) tell.onNewExercise(outcome.newExercise)
    if (outcome.menu) openMenu(sheet.current, columns, at)
    const told = sayChange(view, outcome)
    if (told) announce(told)
    if (outcome.at || outcome.put || outcome.week !== undefined) isToFocus.current = !outcome.typing
    setState(after(state, outcome))
    return true
  }
  const put = (built: Built | null): boolean => built !== null && happen({ put: built })

  /** Menus and dialogs of the sheet stand elsewhere in the page, but their events come through here. */
  const isOurs = (event: { target: EventTarget }) => sheet.current?.contains(event.target as Node) ?? false
  const onKeyDown = (event: KeyboardEvent) => {
    if (!isOurs(event)) return
    // Buttons and menus of a line have keys of their own.
    const isTyping = event.target instanceof HTMLInputElement
    if (!isTyping && !(event.target as Element).closest('[data-cell]')) return
    const outcome = isTyping ? typing && pressedTyping(view, typing, event) : pressed(view, event)
    if (!outcome) return
    happen(outcome)
    event.preventDefault()
  }
  const clipboard = useClipboard({
    isFree: (event) => isOurs(event) && !typing,
    copied: () => copyRange(library, columns, range),
    clear: () => void happen(actOf.clear.run(view, 'Delete')),
    paste(rows) {
      const came = pasteAt(library, draft, columns, at, range, rows, mint)
      if (came.command) put(came.command)
      return came
    },
  })
  const see = (text: string) => void happen(typed(view, text))
  return {
    at,
    range,
    typing,
    asked,
    ...clipboard,
    onKeyDown,
    see,
    seeAgain: () => typing && see(typing.text),
    /** Focus has left the cell: what was typed is kept where it can be. */
    leave: () => {
      if (typing && !typing.error) setStateAndTell(kept(view, typing, at))
    },
    open: () => {
      const next = opened(view)
      if (next) setState({ ...state, typing: next })
    },
    act: (name: ActName) => void happen(actOf[name].run(view, '')),
    put,
    goTo: (to: At, selects = false) => setState((was) => gone(was, to, selects)),
    deselect: () => setState((was) => ({ ...was, anchor: null })),
    answer: (isYes: boolean) => {
      if (asked) put(isYes ? asked.command : (asked.otherwise ?? null))
      setState((was) => ({ ...was, asked: null }))
    },
  }

  /** As `happen`, but focus goes where the writer has put it. */
  function setStateAndTell(outcome: Outcome): void {
    happen(outcome)
    isToFocus.current = false
  }
}

/** What somebody who works by ear is told of: another week, and how much is selected. Steps of the draft are said by their names. */
function sayChange({ at, weeks }: SheetView, outcome: Outcome): string | null {
  if (outcome.week !== undefined) return `Week ${outcome.week} of ${weeks}`
  if (!outcome.anchor) return null
  const { lines, fields } = rangeOf(outcome.at ?? at, outcome.anchor)
  const count = (lines[1] - lines[0] + 1) * (fields[1] - fields[0] + 1)
  return `${count} ${count === 1 ? 'cell' : 'cells'} selected`
}

const cellElement = (sheet: HTMLElement | null, columns: Column[], at: At) => {
  const field = lineAt(columns, at)?.kind === 'new' ? 0 : at.field
  return sheet?.querySelector<HTMLElement>(`[data-cell="${at.column}-${at.line}-${field}"]`)
}

/** The menu of the exercise that the keyboard stands on, which stands beside its first line. */
function openMenu(sheet: HTMLElement | null, columns: Column[], at: At): void {
  const line = lineAt(columns, at)
  if (line?.kind !== 'sets') return
  const menu = sheet?.querySelector<HTMLElement>(`[data-menu="${at.column}-${CSS.escape(line.slotId)}"]`)
  menu?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
}
