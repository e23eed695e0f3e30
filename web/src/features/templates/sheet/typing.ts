import { faultOf, knownProgression } from '@young-oak/core/editing'
import { liftName } from '@young-oak/core/library'
import { formatCell, formatSets, readLine, type Command } from '@young-oak/core/template'
import { mint } from '../mint.ts'
import type { Outcome, SheetView, Typing } from './acts/act.ts'
import { fieldAt, isCell, lineAt, moved, type At } from './sheet.ts'
import { overRules, typeInto } from './sheetEdits.ts'

/** The cell as it is written, to be changed; null where it cannot be. */
export function opened({ library, columns, at }: SheetView): Typing | null {
  const line = lineAt(columns, at)
  const field = fieldAt(columns, at)
  if (!line || field === 'member') return null
  if (line.kind === 'new') return { text: '', replaced: false }
  const text = isCell(field)
    ? formatCell(library, field, line.prescribed)
    : `${liftName(library, line.slot)} ${formatSets(library, line.slot.rows[line.phase]?.[line.row] ?? [])}`
  return { text, replaced: false }
}

/** Words as they are typed: what they are understood as, and what they would change. */
export function typed(view: SheetView, text: string, pick?: number): Outcome {
  const { library, draft, columns, at } = view
  const read = fieldAt(columns, at) === 'exercise' ? readLine(library, text) : null
  const found = read?.exercise ? [read.exercise, ...read.others] : undefined
  const picked = pick === undefined ? undefined : found?.[pick]
  const made = typeInto(library, draft, columns, at, text, false, mint, picked)
  const isUnderstood = made.fault === undefined && made.understood && text.trim() !== ''
  return {
    typing: {
      text,
      replaced: true,
      ...(found && { found, pick: pick ?? 0 }),
      ...(read?.name && !read.exercise && { unknown: read.name }),
      ...(isUnderstood && { understood: made.understood }),
    },
    trial: made.fault === undefined ? made.command : null,
  }
}

const ended = { typing: null, trial: null, anchor: null } as const

/** Ends typing and keeps what was typed; where it cannot be kept the words stay, with what is wrong with them. */
export function kept(view: SheetView, typing: Typing, next: At, fills = false): Outcome {
  const { library, draft, columns, at } = view
  const picked = typing.found?.[typing.pick ?? 0]
  const made = typeInto(library, draft, columns, at, typing.text, fills, mint, picked)
  const fault = made.fault ?? (made.command ? faultOf(library, draft, made.command) : null)
  if (made.fault !== undefined || fault !== null)
    return { typing: { ...typing, error: fault ?? undefined, replaced: true } }
  const { command } = made
  if (command?.do === 'addSlot') return { ...ended, ...added(view, command) }
  const byRule = fills ? overRulesOf(view, command) : 0
  if (command && byRule) {
    const here = typeInto(library, draft, columns, at, typing.text, false, mint, picked)
    const otherwise = here.fault === undefined ? here.command : null
    return { ...ended, at: next, ask: { byRule, command, otherwise } }
  }
  return { ...ended, at: next, ...(command && { put: command }) }
}

/** How many cells that progressions write a fill would go over. */
function overRulesOf({ draft, columns, at }: SheetView, command: Command | null): number {
  const line = lineAt(columns, at)
  if (!command || line?.kind !== 'sets') return 0
  return overRules(draft, command.do === 'several' ? command.commands : [command], line.row)
}

/** A new exercise; the keyboard goes to the line after it, and a progression that the lift has elsewhere is named. */
function added({ library, draft, at }: SheetView, command: Command & { do: 'addSlot' }): Outcome {
  const { exercise, rows, uses } = command.value
  const lines = Object.values(rows)[0]?.[0]?.length ?? 1
  const isKnown = !uses.length && knownProgression(draft, exercise)
  const name = liftName(library, { exercise })
  return {
    put: command,
    at: { ...at, line: at.line + lines },
    ...(isKnown && { say: `${name} has a progression already. Press Alt + F on the line to use it.` }),
  }
}

type Pressed = Pick<KeyboardEvent, 'key' | 'altKey' | 'shiftKey'>

/** What a key comes to while a cell is typed into; null where it is the cell's own. */
export function pressedTyping(view: SheetView, typing: Typing, event: Pressed): Outcome | null {
  const { columns, at } = view
  const { found = [], pick = 0, unknown, text } = typing
  if (event.altKey && event.key.toLowerCase() === 'n' && unknown !== undefined)
    return { newExercise: unknown }
  switch (event.key) {
    case 'Escape':
      return { typing: null, trial: null, at }
    case 'Enter':
      return kept(view, typing, event.shiftKey ? at : moved(columns, at, 'ArrowDown'), event.shiftKey)
    case 'Tab':
      return kept(view, typing, moved(columns, at, event.shiftKey ? 'ArrowLeft' : 'ArrowRight'))
    case 'ArrowDown':
    case 'ArrowUp':
      if (found.length < 2) return null
      return typed(view, text, (pick + (event.key === 'ArrowDown' ? 1 : found.length - 1)) % found.length)
    default:
      return null
  }
}
