import type { Library } from '../library/index.ts'
import { applyCommand, isConflict, type Command, type Spot, type Template } from '../template/index.ts'
import type { Mint } from './built.ts'
import { typeNewSlot, type Typed } from './lines.ts'

/** What was pasted: the lines that were understood, as one step; and the others as they came, each with what is wrong. */
export type Pasted = {
  command: Command | null
  lines: number
  faults: { line: number; text: string; fault: string }[]
  /** Columns of a head line that mean nothing here, and were left out. */
  unread?: string[]
}

/**
 * Lines of a spreadsheet as new slots at a place. With a head line its columns are found by their names, in any order; without one they
 * are exercise, sets, reps, load, reserve, rest, or the exercise with its sets in shorthand. Nothing that is not understood is guessed.
 */
export function pasteSlots(
  library: Library,
  draft: Template,
  at: Spot,
  rows: string[][],
  mint: Mint,
): Pasted {
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
    const { typed, note, fault } = lineOf(columns, texts)
    const made =
      fault === undefined ? withNote(typeNewSlot(library, now, spot, typed, mint), note) : { fault }
    if (made.fault !== undefined)
      return void faults.push({ line, text: texts.filter(Boolean).join('  '), fault: made.fault })
    if (!made.command || made.command.do !== 'addSlot') return
    const next = applyCommand(now, made.command)
    if (isConflict(next))
      return void faults.push({ line, text: texts.join('  '), fault: next.conflict(library) })
    now = next
    spot = { ...spot, after: made.command.slot }
    commands.push(made.command)
  })
  const name = `Pasted: ${commands.length} ${commands.length === 1 ? 'line' : 'lines'}`
  return {
    command: commands.length ? { do: 'several', name, commands } : null,
    lines: commands.length,
    faults,
    ...(head && { unread: (rows[0] ?? []).filter((cell, i) => cell.trim() && head[i] === null) }),
  }
}

function withNote(made: Typed, note: string): Typed {
  if (made.fault !== undefined || made.command?.do !== 'addSlot' || !note) return made
  return { ...made, command: { ...made.command, value: { ...made.command.value, note } } }
}

type ColumnName = keyof typeof called
const usual: (ColumnName | null)[] = ['exercise', 'sets', 'goal', 'load', 'rir', 'rest']

/** What columns of spreadsheets are called; of those that a name fits, the first. */
const called = {
  exercise: /^((exercise|lift|movement)s?(\s+name)?|name)s?$/i,
  sets: /^((work(ing)? )?sets?|sets?\s*([x×*&/]|and)\s*reps?|scheme)$/i,
  goal: /^(reps?|reps?\s*\/\s*time|goal|time)$/i,
  percent: /^(%|percent(age)?|intensity|%\s*(of\s*)?1?\s*rm)$/i,
  load: /^(load|weight)s?\s*(\(?(kgs?|lbs?)\)?)?$/i,
  rir: /^(rir|reserve|reps in reserve|left)$/i,
  rpe: /^rpe$/i,
  rest: /^(rest|pause)s?(\s*\(?(s|sec|min)\)?)?$/i,
  tempo: /^tempo$/i,
  note: /^(note|comment|cue)s?$/i,
} as const

/** The columns of a head line, or null where the first line is none. */
function headOf(cells: string[]): (ColumnName | null)[] | null {
  const names = cells.map((cell) => {
    const text = cell.trim()
    return text
      ? ((Object.keys(called) as ColumnName[]).find((name) => called[name].test(text)) ?? null)
      : null
  })
  return names.includes('exercise') && names.filter(Boolean).length > 1 ? names : null
}

type Line =
  { typed: string; note: string; fault?: undefined } | { typed?: undefined; note?: undefined; fault: string }

/** A line of cells as it would be typed, or why it cannot be. */
function lineOf(columns: (ColumnName | null)[], texts: string[]): Line {
  const of = (name: ColumnName) => texts[columns.indexOf(name)] ?? ''
  const [exercise, sets, goal, note] = [of('exercise'), of('sets'), of('goal'), of('note').slice(0, 400)]
  if (!exercise) return { fault: 'The line names no exercise.' }
  const load = loadOf(of('percent'), of('load'))
  if (load.fault !== undefined) return load
  if (!sets && !goal && !load.text) return { typed: exercise, note }
  // One cell may hold both: "5 x 5".
  const isShort = !goal && /[x×*]/i.test(sets)
  const [rir, rpe, rest, tempo] = [of('rir'), of('rpe'), of('rest'), of('tempo')]
  const typed = [
    exercise,
    isShort ? sets : `${sets || '1'} x ${goal || '8'}`,
    load.text && `@ ${load.text}`,
    rir && (/^\d+$/.test(rir) ? `R${rir}` : rir),
    rpe && `rpe ${rpe.replace(/^@|rpe/gi, '').trim()}`,
    rest && `rest ${rest.replace(/["”]|secs?$/g, '')}`,
    tempo && `tempo ${tempo}`,
  ]
  return { typed: typed.filter(Boolean).join(' '), note }
}

/** A load as it would be typed. A bare number is a percent only where its column says so, or where it can be nothing else. */
function loadOf(percent: string, load: string): { text: string; fault?: undefined } | { fault: string } {
  const given = percent || load
  if (/^0?[.,]\d+$/.test(given)) {
    const part = Number(given.replace(',', '.'))
    return { text: `${Math.round(part * 1000) / 10}%` }
  }
  if (!/^\d+([.,]\d+)?$/.test(given)) return { text: given }
  if (percent) return { text: `${percent}%` }
  return {
    fault: `If ${load} is a percent, write ${load}%. A template holds no kilos or pounds: each member’s come from their own maxes.`,
  }
}
