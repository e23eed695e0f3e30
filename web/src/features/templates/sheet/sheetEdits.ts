import {
  giveBack,
  isFixable,
  pasteSlots,
  rowCommands,
  setCells,
  typeNewSlot,
  typeOverSlot,
  type Mint,
  type Pasted,
  type Typed,
} from '@young-oak/core/editing'
import { liftName, type ExerciseId, type Library } from '@young-oak/core/library'
import {
  formatCell,
  formatSets,
  limits,
  parseCell,
  readRamp,
  readSets,
  rirIn,
  type Cell,
  type Command,
  type SetPrescription,
  type SheetField,
  type Slot,
  type Template,
} from '@young-oak/core/template'
import {
  isCell,
  lineAt,
  sheetFields,
  type At,
  type Column,
  type Field,
  type Range,
  type SetsLine,
} from './sheet.ts'

/** What is typed into the cell, or over the whole line, as a command and how it was understood. */
export function typeInto(
  library: Library,
  draft: Template,
  columns: Column[],
  at: At,
  text: string,
  fill: boolean,
  mint: Mint,
  pick?: ExerciseId,
): Typed {
  const line = lineAt(columns, at)
  if (!line) return { fault: 'There is no line here.' }
  if (line.kind === 'new') {
    if (!text.trim()) return { command: null, understood: '' }
    const { session, section, after } = line
    return typeNewSlot(library, draft, { session, section: section, after }, text, mint, pick)
  }
  const field = sheetFields[at.field]
  if (field === 'exercise') {
    const { slotId: slot, phase, row } = line
    return typeOverSlot(library, draft, { slot, phase, row }, text, fill, pick)
  }
  if (!isCell(field)) return { fault: 'This load is computed: change the cells before it.' }
  return typeCell(library, draft, line, field, text, fill)
}

/** The text of one cell; or shorthand for the whole line, which any cell takes. */
function typeCell(
  library: Library,
  draft: Template,
  line: SetsLine,
  field: SheetField,
  text: string,
  fill: boolean,
): Typed {
  const range =
    field === 'sets'
      ? rangeOfSets(draft, line, text, fill)
      : field === 'rir'
        ? rampOfRir(draft, line, text)
        : null
  if (range) return { command: together(range), understood: '' }
  const parsed = parseCell(library, field, text, line.prescribed, line.slot, draft)
  if (parsed.error === undefined) {
    const command = together(cellCommands(draft, line, field, parsed.value, fill))
    return { command, understood: '' }
  }
  if (!/\d\s*[x×*]|@|;|\bsets?\b/i.test(text)) return { fault: parsed.error }
  const now = text.includes(';') ? (line.slot.rows[line.phase]?.[line.row] ?? []) : [line.prescribed]
  const read = readSets(library, text, now, line.slot, draft)
  if (read.prescriptions === undefined) return { fault: read.fault ?? parsed.error }
  const changed = read.prescriptions
  const next = (prescriptions: SetPrescription[]) =>
    text.includes(';')
      ? changed
      : prescriptions.map((prescribed) =>
          prescribed.id === line.prescribed.id ? (changed[0] ?? prescribed) : prescribed,
        )
  return {
    command: together(rowCommands(line.slot, line.slotId, line.phase, line.row, fill, next)),
    understood: formatSets(library, changed),
  }
}

/** "3-0" of RIR: it falls from this week to the last of the phase, each week with its own number; null where it is no ramp, or rows are not weeks. */
function rampOfRir(draft: Template, line: SetsLine, text: string): Command[] | null {
  const ramp = readRamp(text)
  const { slotId: slot, phase, row, rows, prescribed } = line
  if (!ramp || line.slot.by !== 'week') return null
  const weeks = rows - row
  return Array.from({ length: weeks }, (_, i) =>
    setCells(
      draft,
      { slot, phase, rows: [row + i], prescription: prescribed.id },
      'rir',
      rirIn(ramp, { weeks }, i + 1),
    ),
  ).flat()
}

/** "3-5" of sets: the fewest that are enough, and the most; null where sets are one number, and were. */
function rangeOfSets(draft: Template, line: SetsLine, text: string, fill: boolean): Command[] | null {
  const { least: had, stop } = line.prescribed
  const [, first = '', last] = /^(\d+)(?:\s*[-–]\s*(\d+))?$/.exec(text.trim()) ?? []
  const sets = Number(last ?? first)
  const least = last === undefined ? null : Number(first)
  const isNothing = !first || stop !== undefined || (last === undefined && had === undefined)
  if (isNothing || sets < 1 || sets > limits.sets || (least !== null && (least < 1 || least > sets)))
    return null
  const put = (field: 'sets' | 'least', to: Cell) => cellCommands(draft, line, field, to, fill)
  // At no moment more are enough than are asked.
  return least === null || least <= line.prescribed.sets
    ? [...put('least', least), ...put('sets', sets)]
    : [...put('sets', sets), ...put('least', least)]
}

/** The commands that set a cell, and with `fill` the same cell of every later row of the phase. */
export function cellCommands(
  draft: Template,
  line: SetsLine,
  field: SheetField | 'least',
  to: Cell,
  fill: boolean,
): Command[] {
  const { slotId: slot, phase, row, prescribed } = line
  const count = fill ? (draft.slots[slot]?.rows[phase]?.length ?? 0) - row : 1
  const rows = Array.from({ length: count }, (_, i) => row + i)
  return setCells(draft, { slot, phase, rows, prescription: prescribed.id }, field, to)
}

/** The cells that a range covers, each with its line. */
export function cellsIn(
  columns: Column[],
  { column, lines, fields }: Range,
): { line: SetsLine; field: SheetField }[] {
  const all = (columns[column]?.lines ?? []).slice(lines[0], lines[1] + 1)
  const wanted = sheetFields.slice(fields[0], fields[1] + 1).filter(isCell)
  return all.flatMap((line) => (line.kind === 'sets' ? wanted.map((field) => ({ line, field })) : []))
}

/** What stands in a range, filled into the later weeks of the phase; and how many of those cells are a rule's to write. */
export function fillRange(
  draft: Template,
  columns: Column[],
  range: Range,
): { command: Command | null; byRule: number } {
  const cells = cellsIn(columns, range)
  const commands = cells.flatMap(({ line, field }) =>
    // What a rule writes here is nothing to fill in elsewhere.
    isFixable(field) && line.byRule.includes(field)
      ? []
      : cellCommands(draft, line, field, line.prescribed[field] ?? null, true),
  )
  return {
    command: named(`Filled over ${commands.length} ${commands.length === 1 ? 'cell' : 'cells'}`, commands),
    byRule: overRules(draft, commands),
  }
}

/** How many cells that a rule writes, in rows behind one, commands put something else into. */
export function overRules(draft: Template, commands: readonly Command[], behind = -1): number {
  return commands.reduce((sum, one) => {
    if (one.do === 'setRow' && one.row > behind) return sum + loadsTaken(one.from ?? [], one.to ?? [])
    if (one.do !== 'setCell' || one.row <= behind) return sum
    const own = draft.slots[one.slot]?.rows[one.phase]?.[one.row]?.find(({ id }) => id === one.prescription)
    return one.field === 'fixed' || (one.field === 'load' && own?.load.of === 'progression') ? sum + 1 : sum
  }, 0)
}

/** Loads that a rule wrote, in lines that say another one or are gone. */
const loadsTaken = (from: readonly SetPrescription[], to: readonly SetPrescription[]): number =>
  from.filter(
    ({ id, load }) => load.of === 'progression' && to.find((one) => one.id === id)?.load.of !== 'progression',
  ).length

/** Empties what may be empty; gives what a rule would write back to it. */
export function clearRange(
  library: Library,
  draft: Template,
  columns: Column[],
  range: Range,
): Command | null {
  const commands = cellsIn(columns, range).flatMap(({ line, field }) => {
    if (isFixable(field) && line.fixed.includes(field)) return giveBack(draft, cellOf(line), field)
    if (field === 'rir' || field === 'rest') return cellCommands(draft, line, field, null, false)
    if (field !== 'load' || !line.slot.uses.length || !givesLoads(library, draft, line.slot)) return []
    return cellCommands(draft, line, 'load', { of: 'progression' }, false)
  })
  return named(`Emptied ${commands.length} ${commands.length === 1 ? 'cell' : 'cells'}`, commands)
}

const cellOf = ({ slotId: slot, phase, row, prescribed }: SetsLine) => ({
  slot,
  phase,
  row,
  prescription: prescribed.id,
})

const givesLoads = (library: Library, draft: Template, slot: Slot): boolean =>
  parseCell(
    library,
    'load',
    'rule',
    { id: '', sets: 1, goal: { reps: 1 }, load: { of: 'free' } },
    slot,
    draft,
  ).error === undefined

/** A range as a spreadsheet takes it: lines of cells parted by tabs; from the exercise on, the whole line. */
export function copyRange(library: Library, columns: Column[], { column, lines, fields }: Range): string {
  const all = (columns[column]?.lines ?? []).slice(lines[0], lines[1] + 1)
  const wanted: readonly Field[] =
    fields[0] === 0
      ? ['exercise', ...sheetFields.filter(isCell)]
      : sheetFields.slice(fields[0], fields[1] + 1)
  return all
    .flatMap((line) =>
      line.kind === 'sets' ? [wanted.map((field) => textOf(library, line, field)).join('\t')] : [],
    )
    .join('\n')
}

function textOf(library: Library, line: SetsLine, field: Field): string {
  if (field === 'exercise') return liftName(library, line.lift)
  return isCell(field) ? formatCell(library, field, line.prescribed) : ''
}

/**
 * Lines of text put in at a cell: whole lines become slots below the one that is under the keyboard; cells go into cells, one into all
 * that are marked, several from the first one on.
 */
export function pasteAt(
  library: Library,
  draft: Template,
  columns: Column[],
  at: At,
  range: Range,
  rows: string[][],
  mint: Mint,
): Pasted {
  const line = lineAt(columns, at)
  if (!line) return { command: null, lines: 0, faults: [] }
  if (line.kind === 'new' || at.field === 0) {
    const { session, section } = line
    return pasteSlots(
      library,
      draft,
      { session, section: section, after: line.kind === 'new' ? line.after : line.slotId },
      rows,
      mint,
    )
  }
  const isOne = rows.length === 1 && rows[0]?.length === 1
  const cells = isOne
    ? cellsIn(columns, range).map((cell) => ({ ...cell, text: rows[0]?.[0] ?? '' }))
    : cellsFrom(columns, { ...at, line: range.lines[0], field: range.fields[0] }, rows)
  const commands: Command[] = []
  const faults: Pasted['faults'] = []
  cells.forEach(({ line: own, field, text }) => {
    const range = field === 'sets' ? rangeOfSets(draft, own, text, false) : null
    if (range) return void commands.push(...range)
    const parsed = parseCell(library, field, text, own.prescribed, own.slot, draft)
    if (parsed.error !== undefined) faults.push({ line: faults.length + 1, text, fault: parsed.error })
    else commands.push(...cellCommands(draft, own, field, parsed.value, false))
  })
  return {
    command: named(`Pasted ${commands.length} ${commands.length === 1 ? 'cell' : 'cells'}`, commands),
    lines: commands.length,
    faults,
  }
}

function cellsFrom(
  columns: Column[],
  at: At,
  rows: string[][],
): { line: SetsLine; field: SheetField; text: string }[] {
  const lines = (columns[at.column]?.lines ?? []).slice(at.line).filter((line) => line.kind === 'sets')
  return rows.flatMap((texts, i) =>
    texts.flatMap((text, j) => {
      const [line, field] = [lines[i], sheetFields[at.field + j]]
      return line && isCell(field) ? [{ line, field, text }] : []
    }),
  )
}

const together = (commands: Command[]): Command | null =>
  commands.length > 1 ? { do: 'several', commands } : (commands[0] ?? null)

const named = (name: string, commands: Command[]): Command | null =>
  commands.length > 1 ? { do: 'several', name, commands } : (commands[0] ?? null)
