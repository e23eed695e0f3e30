import { actFor, type Asked, type Outcome, type SheetView, type Typing } from './acts/index.ts'
import { fieldAt, rangeOf, type At, type Column } from './sheet.ts'
import { typed } from './typing.ts'

/** Where the keyboard is in the sheet, what is selected, typed and asked. */
export type SheetState = { at: At; anchor: At | null; typing: Typing | null; asked: Asked | null }

export const startState: SheetState = {
  at: { column: 0, line: 0, field: 0 },
  anchor: null,
  typing: null,
  asked: null,
}

/** What acts and typing see of a sheet. Where another week or an undone step has fewer lines, the keyboard stands on the last of them. */
export function viewOf(
  sheet: Pick<SheetView, 'library' | 'draft' | 'columns' | 'week' | 'weeks'>,
  state: Pick<SheetState, 'at' | 'anchor'>,
): SheetView {
  const at = within(sheet.columns, state.at)
  const anchor = state.anchor && within(sheet.columns, state.anchor)
  return { ...sheet, at, anchor, range: rangeOf(at, anchor) }
}

/** The same place where it is, else the nearest that there is; the same object where nothing moves. */
function within(columns: Column[], at: At): At {
  const column = Math.min(at.column, Math.max(columns.length - 1, 0))
  const line = Math.min(at.line, Math.max((columns[column]?.lines.length ?? 1) - 1, 0))
  return column === at.column && line === at.line ? at : { ...at, column, line }
}

/** The state once an outcome has happened; what it leaves out stays. */
export function after(state: SheetState, { at, anchor, typing, ask }: Outcome): SheetState {
  return {
    at: at ?? state.at,
    anchor: anchor === undefined ? state.anchor : anchor,
    typing: typing === undefined ? state.typing : typing,
    asked: ask ?? state.asked,
  }
}

/** The keyboard put somewhere by the pointer or by focus; with Shift held the selection reaches to there. */
export function gone(state: SheetState, to: At, selects: boolean): SheetState {
  const { at, anchor, typing } = state
  if (typing) return state
  const begins = selects && to.column === at.column ? (anchor ?? at) : anchor
  // Where it is already, nothing is drawn again.
  const isHere = to.column === at.column && to.line === at.line && to.field === at.field
  return isHere && begins === anchor ? state : { ...state, at: isHere ? at : to, anchor: begins }
}

type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>

/** What a key comes to where nothing is typed; null where it is none of the sheet's. */
export function pressed(view: SheetView, event: Pressed): Outcome | null {
  const act = actFor(event)
  const isLoad = fieldAt(view.columns, view.at) === 'member'
  // On a member's load Enter and Space open how it was worked out.
  if (act) return isLoad && act.name === 'open' ? null : act.run(view, event.key)
  const isPlain = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey
  return isPlain && !isLoad && event.key !== ' ' && event.key !== '?' ? typed(view, event.key) : null
}
