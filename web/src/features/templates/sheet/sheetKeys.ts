/** What a key does in the sheet: its name for the code, the keys that ask for it, and how the list of keys says it. */
export const sheetKeys = [
  {
    act: 'move',
    keys: ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Home', 'End'],
    shown: 'Arrows, Home, End',
    say: 'move from cell to cell',
  },
  { act: 'first', keys: ['Ctrl+Home'], shown: 'Ctrl + Home, Ctrl + End', say: 'the first session, the last' },
  { act: 'last', keys: ['Ctrl+End'] },
  {
    act: 'mark',
    keys: ['Shift+ArrowUp', 'Shift+ArrowDown', 'Shift+ArrowLeft', 'Shift+ArrowRight'],
    shown: 'Shift + arrows',
    say: 'select a range of cells or lines',
  },
  {
    act: 'open',
    keys: ['Enter', 'F2'],
    shown: 'Enter or F2',
    say: 'edit the cell; Enter again saves and moves down',
  },
  {
    act: 'fill',
    keys: ['Shift+Enter', 'Ctrl+r'],
    shown: 'Shift + Enter, Ctrl + R',
    say: 'fill what is typed or selected into the later weeks of the phase',
  },
  {
    act: 'clear',
    keys: ['Delete', 'Backspace'],
    shown: 'Delete',
    say: 'clear RIR or rest; let the progression set a load again; on an exercise, remove the exercise',
  },
  {
    act: 'undoMark',
    keys: ['Escape'],
    shown: 'Escape',
    say: 'leave the cell as it was; clear the selection',
  },
  { act: 'copySlot', keys: ['Ctrl+d'], shown: 'Ctrl + D', say: 'duplicate the exercises' },
  {
    act: 'up',
    keys: ['Alt+ArrowUp'],
    shown: 'Alt + Up, Alt + Down',
    say: 'move the exercise in its session',
  },
  { act: 'down', keys: ['Alt+ArrowDown'] },
  {
    act: 'left',
    keys: ['Alt+ArrowLeft'],
    shown: 'Alt + Left, Alt + Right',
    say: 'move the exercises to the session before, after',
  },
  { act: 'right', keys: ['Alt+ArrowRight'] },
  {
    act: 'copyLeft',
    keys: ['Alt+Shift+ArrowLeft'],
    shown: 'Alt + Shift + Left, Right',
    say: 'copy the exercises to the session before, after',
  },
  { act: 'copyRight', keys: ['Alt+Shift+ArrowRight'] },
  {
    act: 'sessionEarlier',
    keys: ['Alt+,'],
    shown: 'Alt + comma, Alt + full stop',
    say: 'move the session earlier, later in the week',
  },
  { act: 'sessionLater', keys: ['Alt+.'] },
  {
    act: 'copySession',
    keys: ['Alt+Shift+c'],
    shown: 'Alt + Shift + C',
    say: 'duplicate the session',
  },
  { act: 'newSession', keys: ['Alt+Shift+n'], shown: 'Alt + Shift + N', say: 'a new session in the week' },
  {
    act: 'join',
    keys: ['Alt+j'],
    shown: 'Alt + J',
    say: 'join the selected lines to a superset or giant set',
  },
  { act: 'circuit', keys: ['Alt+c'], shown: 'Alt + C', say: 'make one scored circuit of the selected lines' },
  { act: 'part', keys: ['Alt+u'], shown: 'Alt + U', say: 'ungroup the superset' },
  { act: 'moreSets', keys: ['Alt+Enter'], shown: 'Alt + Enter', say: 'one more line of sets below this one' },
  { act: 'lessSets', keys: ['Shift+Delete'], shown: 'Shift + Delete', say: 'delete this line of sets' },
  {
    act: 'follow',
    keys: ['Alt+f'],
    shown: 'Alt + F',
    say: 'use the progression that the lift already has',
  },
  {
    act: 'weekBefore',
    keys: ['PageUp'],
    shown: 'Page Up, Page Down',
    say: 'the week before, the week after',
  },
  { act: 'weekAfter', keys: ['PageDown'] },
] as const satisfies readonly { act: string; keys: readonly string[]; shown?: string; say?: string }[]

export type SheetAct = (typeof sheetKeys)[number]['act']

const acts = new Map<string, SheetAct>(
  sheetKeys.flatMap(({ act, keys }) => keys.map((key) => [key, act] as const)),
)

export const actOf = (
  event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>,
): SheetAct | undefined => acts.get(chordOf(event))

/** "Ctrl+Shift+d". */
function chordOf({
  key,
  ctrlKey,
  metaKey,
  altKey,
  shiftKey,
}: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>): string {
  const name = key.length === 1 ? key.toLowerCase() : key
  return [ctrlKey || metaKey ? 'Ctrl+' : '', altKey ? 'Alt+' : '', shiftKey ? 'Shift+' : '', name].join('')
}
