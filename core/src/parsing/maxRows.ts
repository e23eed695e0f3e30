import {
  exerciseOf,
  exercisesAtHand,
  liftKey,
  type ExerciseId,
  type Lift,
  type Library,
} from '../library/index.ts'
import {
  isDoubtful,
  mostInReserve,
  mostRepsWarned,
  defaultFormula,
  formulaKinds,
  type FormulaKind,
} from '../maxes/index.ts'
import { quote } from './issue.ts'
import { compareLoads, isDay, type Day, type Load, type Unit } from '../units/index.ts'

/** A max as one line of a sheet. Beside body weight `help` takes off. */
export type MaxRow = Lift & {
  line: number
  member: string
  load: Load
  help?: true
  reps: number
  rir?: number
  formula: FormulaKind
  date: Day
}

/** One fault of a sheet: its line, its column, what was expected, and what came. */
export type RowIssue = { line: number; column: string; expected: string; got: string; fix?: string }

/** Who the lines may speak of, and what is already stored. */
export type SheetContext = {
  members: { id: string; name: string; known: KnownRow[] }[]
  today: Day
  library: Library
}
export type KnownRow = Lift & Pick<MaxRow, 'load' | 'help' | 'reps' | 'date'>

export type MaxReading = {
  rows: MaxRow[]
  /** Lines that say what an earlier line says, and lines that say what is known. */
  doubled: number
  known: number
  /** Lines with more reps than an estimate should be made from. */
  doubtful: number
  lines: number
  /** The first hundred; `faults` counts them all. */
  issues: RowIssue[]
  faults: number
}

/** Located faults are kept up to here; reading goes on, counting only. */
export const mostRowIssues = 100

/** The columns, by any of their names; the first is the one that is written. */
export const maxColumns = {
  member: ['member', 'name', 'id'],
  lift: ['lift', 'exercise'],
  variant: ['variant'],
  load: ['load', 'max', 'weight'],
  unit: ['unit'],
  help: ['help'],
  reps: ['reps'],
  reserve: ['reserve', 'rir', 'left'],
  formula: ['formula'],
  date: ['date', 'day'],
} as const
type Column = keyof typeof maxColumns
const columns = Object.keys(maxColumns) as Column[]

/**
 * Reads the lines of a sheet one after the other: the first names the columns. `read` takes the cells of the next line; `reading` is
 * what came of them so far. Nothing is kept but the rows and the first faults, so that a sheet of any length streams through.
 */
export function maxSheet(context: SheetContext): { read(cells: string[]): void; reading: MaxReading } {
  const reading: MaxReading = { rows: [], doubled: 0, known: 0, doubtful: 0, lines: 0, issues: [], faults: 0 }
  const members = new Map<string, string | null>()
  for (const { id, name } of context.members) {
    const key = name.trim().toLowerCase()
    members.set(key, members.has(key) ? null : id)
    members.set(id.toLowerCase(), id)
  }
  const stored = new Set(context.members.flatMap(({ id, known }) => known.map((row) => keyOf(id, row))))
  const seen = new Set<string>()
  let places: Partial<Record<Column, number>> | null = null
  const note = (issue: RowIssue) => {
    reading.faults += 1
    if (reading.issues.length < mostRowIssues) reading.issues.push(issue)
  }
  const read = (cells: string[]) => {
    reading.lines += 1
    if (cells.every((cell) => !cell.trim())) return
    if (!places) {
      places = placesIn(cells, reading.lines, note)
      return
    }
    const cell = (column: Column) => (cells[places?.[column] ?? -1] ?? '').trim()
    const row = readRow(cell, reading.lines, members, context, note)
    if (!row) return
    const key = keyOf(row.member, row)
    if (stored.has(key)) reading.known += 1
    else if (seen.has(key)) reading.doubled += 1
    else {
      seen.add(key)
      reading.rows.push(row)
      if (isDoubtful(row.reps, row.rir)) reading.doubtful += 1
    }
  }
  return { read, reading }
}

const keyOf = (member: string, { load, help, reps, date, ...lift }: KnownRow): string =>
  [member, liftKey(lift), load.value, load.unit, help ?? '', reps, date].join('|')

type Note = (issue: RowIssue) => void

function placesIn(cells: string[], line: number, note: Note): Partial<Record<Column, number>> {
  const names = cells.map((cell) => cell.trim().toLowerCase())
  const places: Partial<Record<Column, number>> = {}
  for (const column of columns) {
    const at = names.findIndex((name) => (maxColumns[column] as readonly string[]).includes(name))
    if (at >= 0) places[column] = at
  }
  for (const column of ['member', 'lift', 'load'] as const)
    if (places[column] === undefined)
      note({
        line,
        column,
        expected: `a column called ${maxColumns[column].join(' or ')} in the first line`,
        got: quote(cells.join(', ')),
        fix: `The columns are ${columns.join(', ')}; member, lift and load must be there.`,
      })
  return places
}

function readRow(
  cell: (column: Column) => string,
  line: number,
  members: Map<string, string | null>,
  { today, library }: SheetContext,
  noteAny: Note,
): MaxRow | null {
  let isWhole = true
  const note = (column: Column, expected: string, fix?: string) => {
    isWhole = false
    noteAny({ line, column, expected, got: quote(cell(column)), ...(fix && { fix }) })
  }
  const formula = columns.find((column) => /^[=@]/.test(cell(column)))
  if (formula) {
    note(formula, 'a value, not a formula of the sheet', 'Paste the values alone.')
    return null
  }
  const member = members.get(cell('member').toLowerCase())
  if (member === null) note('member', 'one member of that name', 'Two members have this name: write the id.')
  else if (member === undefined) note('member', 'one of your members, by name or id')
  const exercise = findExercise(library, cell('lift'))
  if (!exercise) note('lift', 'a lift of the library, by name or id', near(library, cell('lift')))
  const load = readLoad(cell('load'), cell('unit'))
  const isOnBody = exercise !== undefined && exerciseOf(library, { exercise }).tool === 'body weight'
  if ('expected' in load) note(load.column, load.expected)
  else if (exercise && !isOnBody && load.value <= 0) note('load', 'a load above 0')
  else if (Math.abs(load.value) > (load.unit === 'kg' ? 500 : 1100))
    note('load', `at most ${load.unit === 'kg' ? '500 kg' : '1100 lb'}`, 'Check the number, and the unit.')
  const reps = whole(cell('reps'), 1)
  if (reps === null || reps < 1 || reps > mostRepsWarned) note('reps', `whole reps, 1 to ${mostRepsWarned}`)
  const rir = whole(cell('reserve'), 0)
  if (rir === null || rir < 0 || rir > mostInReserve)
    note('reserve', `RIR, a whole number from 0 to ${mostInReserve}`)
  const kind = cell('formula').toLowerCase() || defaultFormula
  if (!(formulaKinds as string[]).includes(kind)) note('formula', `one of ${formulaKinds.join(', ')}`)
  const date = readDate(cell('date'), today)
  if (!date) note('date', 'a day like 2026-03-02')
  else if (date > today) note('date', 'a day that is not after today')
  if (!isWhole || 'expected' in load || !exercise || !member || !date) return null
  const variant = cell('variant')
  const help = isOnBody && (load.value < 0 || /^(yes|true|1)$/i.test(cell('help')))
  return {
    line,
    member,
    exercise,
    ...(variant && { variant }),
    load: { value: Math.abs(load.value), unit: load.unit },
    ...(help && { help }),
    reps: reps as number,
    ...(rir && { rir }),
    formula: kind as FormulaKind,
    date,
  }
}

const findExercise = (library: Library, text: string): ExerciseId | undefined => {
  const wanted = text.toLowerCase()
  return exercisesAtHand(library).find(
    (id) => id.toLowerCase() === wanted || nameOf(library, id).toLowerCase() === wanted,
  )
}

/** A lift that the text may have meant: one whose name holds it, or is held by it. */
function near(library: Library, text: string): string | undefined {
  const plain = (one: string) => one.toLowerCase().replace(/[^a-z]/g, '')
  const wanted = plain(text)
  const found = exercisesAtHand(library).find((id) => {
    const name = plain(nameOf(library, id))
    return wanted.length > 2 && (name.includes(wanted) || wanted.includes(name))
  })
  return found && `Did you mean ${nameOf(library, found)}?`
}

const nameOf = (library: Library, exercise: ExerciseId): string => exerciseOf(library, { exercise }).name

/** "82.5", "82,5", "180 lb", "-15": the unit beside the number goes before the column's. */
function readLoad(
  text: string,
  unitText: string,
): { value: number; unit: Unit } | { column: 'load' | 'unit'; expected: string } {
  const match = /^([+\-−]?\s*\d+(?:[.,]\d+)?)\s*(kgs?|lbs?)?$/i.exec(text)
  const value = Number(match?.[1]?.replace(',', '.').replace('−', '-').replace(/\s/g, ''))
  if (!match || Number.isNaN(value)) return { column: 'load', expected: 'a number like 82.5 or 82,5' }
  const [beside, stated] = [match[2], unitText].map(unitOf)
  if (beside && stated && beside !== stated)
    return { column: 'unit', expected: `the unit beside the load, ${beside}` }
  const unit = beside ?? stated
  if (!unit) return { column: 'unit', expected: 'kg or lb: pounds are not read as kilos' }
  return { value, unit }
}

const unitOf = (text = ''): Unit | undefined => {
  if (/^kgs?$/i.test(text)) return 'kg'
  return /^lbs?$/i.test(text) ? 'lb' : undefined
}

const whole = (text: string, usual: number): number | null => {
  if (!text) return usual
  return /^\d+$/.test(text) ? Number(text) : null
}

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

/** A day as "2026-03-02", "2.3.2026" or "2 Mar 2026"; today where nothing is said. With slashes nobody knows which is the month. */
function readDate(text: string, today: Day): Day | null {
  if (!text) return today
  if (isDay(text)) return text
  const match = /^(\d{1,2})(?:\.\s*(\d{1,2})\.\s*|\s+([a-z]{3})[a-z]*\.?\s+)(\d{4})$/i.exec(text)
  if (!match) return null
  const month = match[2] ? Number(match[2]) : months.indexOf((match[3] ?? '').toLowerCase()) + 1
  const day = `${match[4]}-${String(month).padStart(2, '0')}-${String(match[1]).padStart(2, '0')}`
  return isDay(day) ? day : null
}

/** A max as the cells of a sheet, in the order of `maxColumns`: what is read back is the same. */
export function maxCells(library: Library, member: string, max: Omit<MaxRow, 'line' | 'member'>): string[] {
  const { exercise, variant = '', load, help, reps, rir = 0, formula, date } = max
  const cells: Record<Column, string> = {
    member,
    lift: exerciseOf(library, { exercise }).name,
    variant,
    load: String(load.value),
    unit: load.unit,
    help: help ? 'yes' : '',
    reps: String(reps),
    reserve: String(rir),
    formula,
    date,
  }
  return columns.map((column) => cells[column])
}

/** What a sheet of maxes begins with. */
export const maxHeader: string[] = columns

/** Whether two loads of one lift differ, for a preview of what a row would change. */
export const differs = (a: Load | undefined, b: Load): boolean => !a || compareLoads(a, b) !== 0
