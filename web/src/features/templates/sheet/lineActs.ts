import type { At } from './sheet.ts'
import type { ActName } from './acts/index.ts'

/** What a line asks of the sheet. */
export type LineAct =
  | { do: 'focus'; at: At; selects: boolean }
  | { do: 'open'; at: At }
  | { do: 'act'; at: At; act: ActName }
  | { do: 'type'; text: string }
  | { do: 'leave' }
  /** Reads what is typed once more: there may be more exercises now. */
  | { do: 'seeAgain' }
  | { do: 'newExercise'; name: string }
  | { do: 'deselect' }
export type LineActs = (act: LineAct) => void
