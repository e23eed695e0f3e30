import {
  applyCommand,
  isConflict,
  type Command,
  type SheetField,
  type Spot,
  type Template,
} from '../template/index.ts'
import type { Mint } from './built.ts'
import { typeNewSlot } from './lines.ts'

/** What was pasted: the lines that were understood, as one step; and the others as they came, each with what is wrong. */
export type Pasted = {
  command: Command | null
  lines: number
  faults: { line: number; text: string; fault: string }[]
}

/**
 * Lines of a spreadsheet as new slots at a place. With a head line its columns are found by their names, in any order; without one they
 * are exercise, sets, reps, load, reserve, rest, or the exercise with its sets in shorthand. Nothing that is not understood is guessed.
 */
export function pasteSlots(draft: Template, at: Spot, rows: string[][], mint: Mint): Pasted {
  const head = headOf(rows[0] ?? [])
  const lines = head ? rows.slice(1) : rows
  const columns = head ?? usual
  const commands: Command[] = []
  const faults: Pasted['faults'] = []
  let now = draft
  let spot = at
  lines.forEach((cells, i) => {
    const texts = cells.map((cell) => cell.trim())
    if (!texts.some(Boolean)) return
    const line = i + (head ? 2 : 1)
    const typed = lineOf(columns, texts)
    const made = typed === null ? { fault: 'It names no exercise.' } : typeNewSlot(now, spot, typed, mint)
    if (made.fault !== undefined)
      return void faults.push({ line, text: texts.filter(Boolean).join('  '), fault: made.fault })
    if (!made.command || made.command.do !== 'addSlot') return
    const next = applyCommand(now, made.command)
    if (isConflict(next)) return void faults.push({ line, text: texts.join('  '), fault: next.conflict })
    now = next
    spot = { ...spot, after: made.command.slot }
    commands.push(made.command)
  })
  const name = `Pasted: ${commands.length} ${commands.length === 1 ? 'line' : 'lines'}`
  return {
    command: commands.length ? { do: 'several', name, commands } : null,
    lines: commands.length,
    faults,
  }
}

type ColumnName = 'exercise' | SheetField
const usual: (ColumnName | null)[] = ['exercise', 'sets', 'goal', 'load', 'rir', 'rest']

/** What columns of spreadsheets are called. */
const called: Record<ColumnName, RegExp> = {
  exercise: /^(exercise|lift|movement|name)s?$/i,
  sets: /^(work )?sets?$/i,
  goal: /^(reps?|reps?\s*\/\s*time|goal|time)$/i,
  load: /^(load|weight|intensity|%|% ?1?rm|percent)$/i,
  rir: /^(rir|reserve|reps in reserve|left|rpe)$/i,
  rest: /^(rest|pause)s?( \(?(s|sec|min)\)?)?$/i,
}

/** The columns of a head line, or null where the first line is none. */
function headOf(cells: string[]): (ColumnName | null)[] | null {
  const names = cells.map(
    (cell) => (Object.keys(called) as ColumnName[]).find((name) => called[name].test(cell.trim())) ?? null,
  )
  return names.includes('exercise') && names.filter(Boolean).length > 1 ? names : null
}

/** A line of cells as it would be typed; null without an exercise. */
function lineOf(columns: (ColumnName | null)[], texts: string[]): string | null {
  const of = (name: ColumnName) => texts[columns.indexOf(name)] ?? ''
  const exercise = of('exercise')
  if (!exercise) return null
  const [sets, goal, load, rir, rest] = (['sets', 'goal', 'load', 'rir', 'rest'] as const).map(of)
  if (!sets && !goal) return exercise
  // One cell may hold both: "5 x 5".
  const isShort = !goal && /[x×*]/i.test(sets ?? '')
  const head = isShort ? sets : `${sets || '1'} x ${goal || '8'}`
  const isPlainPercent = load && /^0?[.,]\d+$/.test(load)
  const percent = isPlainPercent ? `${Math.round(Number(load.replace(',', '.')) * 1000) / 10}%` : load
  return [
    exercise,
    head,
    percent && `@ ${percent}`,
    rir && (/^\d+$/.test(rir) ? `R${rir}` : rir),
    rest && `rest ${rest.replace(/["”]|secs?$/g, '')}`,
  ]
    .filter(Boolean)
    .join(' ')
}
