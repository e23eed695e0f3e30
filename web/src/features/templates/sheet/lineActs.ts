import type { At } from './sheet.ts'
import type { SheetAct } from './sheetKeys.ts'

/** What a line asks of the sheet. */
export type LineAct =
  | { do: 'focus'; at: At; isMark: boolean }
  | { do: 'open'; at: At }
  | { do: 'act'; at: At; act: SheetAct }
  | { do: 'type'; text: string }
  | { do: 'leave' }
  | { do: 'newExercise'; name: string }
  | { do: 'unmark' }
export type LineActs = (act: LineAct) => void
