import { slotSpot, weekSpot } from '@young-oak/core/adjustments'
import type { Id } from '@young-oak/core/parsing'
import { inTurn, liftOnPaper, partInTurn, placesOf, rowOnPaper, type Place } from '@young-oak/core/calendar'
import { liftKey, type Lift, type Library } from '@young-oak/core/library'
import type { PlannedSession } from '@young-oak/core/plan'
import {
  cellFields,
  cellsByRule,
  rulesCells,
  inherited,
  lettersOf,
  sayProgression,
  trackAt,
  type Inherited,
  type SetPrescription,
  type SheetField,
  type Slot,
  type Template,
} from '@young-oak/core/template'
import type { Preview } from '../../../workers/planner.ts'

/** A column of the week sheet: one place of the week, with its lines in the order they are trained. */
export type Column = {
  position: number
  phase: Id
  phaseWeek: number
  toTest?: number
  inWeek: number
  session: Id
  name: string
  sections: { name: string; minutes?: number; lines: Line[] }[]
  lines: Line[]
}

/** One prescription of one slot in this week, which is what a cell belongs to. */
export type SetsLine = {
  kind: 'sets'
  key: string
  session: Id
  section: string
  slotId: Id
  letter: string
  slot: Slot
  /** The slot's own lift, or the one whose turn it is. */
  lift: Lift
  prescribed: SetPrescription
  /** What it has from its session and phase. */
  has: Inherited
  byRule: SheetField[]
  /** Cells that a rule would write, and that stand as they are written. */
  fixed: SheetField[]
  /** What the track that is shown changes of it. */
  marks: string[]
  /** The rules that it follows, as sentences. */
  rules: string
  isFirst: boolean
  phase: Id
  row: number
  rows: number
}

/** The empty line at the end of a section, where a new slot is typed. */
export type NewLine = { kind: 'new'; key: string; session: Id; section: string; after: Id; phase: Id }
export type Line = SetsLine | NewLine

/** The cells of a line from left to right; the last is the chosen member's load. */
export const sheetFields = ['exercise', ...cellFields, 'member'] as const
export type Field = (typeof sheetFields)[number]

/** What the cells are called to those who hear them. */
export const fieldNames: Record<Field, string> = {
  exercise: 'Exercise',
  sets: 'Sets',
  goal: 'Reps',
  load: 'Load',
  rir: 'RIR',
  rest: 'Rest',
  member: 'Load of the member',
}

export const isCell = (field: Field | undefined): field is SheetField =>
  field !== undefined && field !== 'exercise' && field !== 'member'

/** The columns of a week; with a track, each line says what that changes of it. */
export function columnsOf(library: Library, template: Template, week: number, track = ''): Column[] {
  return placesOf(template)
    .filter((place) => place.week === week)
    .map((place) => {
      const { position, inWeek, session: id, phase, phaseWeek, toTest } = place
      const session = template.sessions[id]
      const ids = session ? inTurn(session, place) : []
      const letters = lettersOf(ids.map((slotId) => ({ slot: template.slots[slotId] ?? {} })))
      const sections = (session?.sections ?? []).map((section) => {
        const order = partInTurn(section, place)
        const lines = order.flatMap((slotId): Line[] =>
          linesOf(library, template, place, section.name, slotId, letters[ids.indexOf(slotId)] ?? '', track),
        )
        const last: NewLine = {
          kind: 'new',
          key: `new/${section.name}`,
          session: id,
          section: section.name,
          after: section.slots[section.slots.length - 1] ?? '',
          phase: phase.id,
        }
        return {
          name: section.name,
          ...(section.minutes && { minutes: section.minutes }),
          lines: [...lines, last],
        }
      })
      return {
        position,
        phase: phase.id,
        phaseWeek,
        ...(toTest !== undefined && { toTest }),
        inWeek,
        session: id,
        name: session?.name ?? id,
        sections,
        lines: sections.flatMap(({ lines }) => lines),
      }
    })
}

function linesOf(
  library: Library,
  template: Template,
  place: Place,
  section: string,
  slotId: Id,
  letter: string,
  track: Id,
): Line[] {
  const slot = template.slots[slotId]
  if (!slot) return []
  const { phase, session } = place
  const row = rowOnPaper(slot, place)
  const prescriptions = slot.rows[phase.id]?.[row] ?? []
  const rules = slot.uses
    .flatMap(({ progression }) => template.progressions[progression] ?? [])
    .map(sayProgression)
    .join(' ')
  const lift = liftOnPaper(template, place, slot)
  const week = weekSpot(phase.id, place.phaseWeek, null)
  const spot = slotSpot(library, { ...week, inWeek: place.inWeek, session }, slotId, lift)
  const marks = track ? trackAt(library, template, track, spot, prescriptions) : []
  return prescriptions.map((prescribed, i) => ({
    kind: 'sets',
    key: `${slotId}/${prescribed.id}`,
    session,
    section,
    slotId,
    letter,
    slot,
    lift,
    marks,
    prescribed,
    has: inherited(prescribed, template.sessions[session], phase, place.phaseWeek),
    byRule: [
      ...cellsByRule(template, slot, prescriptions, prescribed),
      ...(prescribed.load.of === 'progression' ? (['load'] as const) : []),
    ],
    fixed: fixedIn(template, slot, slot.rows[phase.id] ?? [], prescriptions, prescribed),
    rules,
    isFirst: i === 0,
    phase: phase.id,
    row,
    rows: slot.rows[phase.id]?.length ?? 0,
  }))
}

/** The cells of a prescription that stand as they are written where a rule would write its own: those fixed, and a load that is the rule's in other rows. */
function fixedIn(
  template: Template,
  slot: Slot,
  rows: SetPrescription[][],
  row: SetPrescription[],
  prescribed: SetPrescription,
): SheetField[] {
  const cells = prescribed.fixed ? rulesCells(template, slot, row, prescribed) : []
  const isLoadElsewhere =
    prescribed.load.of !== 'progression' &&
    slot.uses.length > 0 &&
    rows.some((other) => other.some(({ id, load }) => id === prescribed.id && load.of === 'progression'))
  return [
    ...cells.filter((cell) => prescribed.fixed?.includes(cell)),
    ...(isLoadElsewhere ? (['load'] as const) : []),
  ]
}

/** Columns made anew, with those that say the same as before, or else their lines, kept as the same objects: they are not drawn anew. */
export function keepColumns(was: Column[], now: Column[]): Column[] {
  return now.map((column) => {
    const before = was.find(({ position }) => position === column.position)
    if (!before) return column
    const known = new Map(before.lines.map((line) => [line.key, line]))
    const keep = (line: Line): Line => {
      const old = known.get(line.key)
      return old && isSameLine(old, line) ? old : line
    }
    const sections = column.sections.map((section) => ({ ...section, lines: section.lines.map(keep) }))
    const lines = sections.flatMap((section) => section.lines)
    const isSame =
      lines.length === before.lines.length &&
      lines.every((line, i) => line === before.lines[i]) &&
      JSON.stringify(headOf(column)) === JSON.stringify(headOf(before))
    return isSame ? before : { ...column, sections, lines }
  })
}

const headOf = ({ lines: _, sections, ...head }: Column) => [
  head,
  sections.map(({ name, minutes, lines }) => [name, minutes, lines.length]),
]

function isSameLine(a: Line, b: Line): boolean {
  if (a.kind === 'new' || b.kind === 'new') return JSON.stringify(a) === JSON.stringify(b)
  return (
    a.slot === b.slot &&
    a.prescribed === b.prescribed &&
    a.letter === b.letter &&
    a.row === b.row &&
    a.phase === b.phase &&
    a.session === b.session &&
    a.section === b.section &&
    a.rules === b.rules &&
    a.marks.join() === b.marks.join() &&
    a.byRule.join() === b.byRule.join() &&
    a.fixed.join() === b.fixed.join() &&
    liftKey(a.lift) === liftKey(b.lift) &&
    JSON.stringify(a.has) === JSON.stringify(b.has)
  )
}

/** Where the keyboard is: column, line within it, and cell. */
export type At = { column: number; line: number; field: number }

export const lineAt = (columns: Column[], { column, line }: At): Line | undefined =>
  columns[column]?.lines[line]

/** The cell that an `at` comes to: new lines have only their first, further lines of a slot have none of an exercise. */
export const fieldAt = (columns: Column[], at: At): Field => {
  const line = lineAt(columns, at)
  return line?.kind === 'new' ? 'exercise' : (sheetFields[at.field] ?? 'exercise')
}

/** The neighbour in a direction: within the line, then the next column; within the column, then it stops. */
export function moved(columns: Column[], at: At, key: string): At {
  const clamp = (column: number, line: number) =>
    Math.min(line, Math.max((columns[column]?.lines.length ?? 1) - 1, 0))
  const line = lineAt(columns, at)
  const isNew = line?.kind === 'new'
  const last = sheetFields.length - 1
  const leftmost = (column: number, l: number, field: number): At =>
    settled(columns, { column, line: clamp(column, l), field })
  const steps: Record<string, () => At> = {
    ArrowDown: () => vertical(columns, at, 1),
    ArrowUp: () => vertical(columns, at, -1),
    ArrowRight: () =>
      !isNew && at.field < last
        ? { ...at, field: at.field + 1 }
        : at.column < columns.length - 1
          ? leftmost(at.column + 1, at.line, 0)
          : at,
    ArrowLeft: () => {
      const isLeft = isNew || at.field === 0
      if (!isLeft) return settled(columns, { ...at, field: at.field - 1 })
      return at.column > 0 ? leftmost(at.column - 1, at.line, last) : at
    },
    Home: () => settled(columns, { ...at, field: 0 }),
    End: () => (isNew ? at : { ...at, field: last }),
  }
  return steps[key]?.() ?? at
}

/** One line up or down; in the column of exercises only where one stands. */
function vertical(columns: Column[], at: At, by: 1 | -1): At {
  const lines = columns[at.column]?.lines ?? []
  for (let next = at.line + by; next >= 0 && next < lines.length; next += by) {
    const line = lines[next]
    if (at.field > 0 || line?.kind === 'new' || line?.isFirst) return { ...at, line: next }
  }
  return at
}

/** In the cell of the exercise: that of the slot's first line. */
function settled(columns: Column[], at: At): At {
  const lines = columns[at.column]?.lines ?? []
  let { line } = at
  if (at.field !== 0) return at
  for (let one = lines[line]; line > 0 && one?.kind === 'sets' && !one.isFirst; one = lines[line]) line -= 1
  return { ...at, line }
}

/** What a range from one cell to another in one column covers. */
export type Range = { column: number; lines: [number, number]; fields: [number, number] }

export const rangeOf = (at: At, anchor: At | null): Range => {
  const other = anchor && anchor.column === at.column ? anchor : at
  const sorted = (a: number, b: number): [number, number] => (a < b ? [a, b] : [b, a])
  return { column: at.column, lines: sorted(at.line, other.line), fields: sorted(at.field, other.field) }
}

/** The slots that a range touches, in their order. */
export const slotsIn = (columns: Column[], { column, lines: [from, to] }: Range): Id[] => [
  ...new Set(
    (columns[column]?.lines ?? [])
      .slice(from, to + 1)
      .flatMap((line) => (line.kind === 'sets' ? [line.slotId] : [])),
  ),
]

/**
 * The chosen member's session at a place of the sheet: that of the same week of the phase, which may have another number in
 * their plan; where the week stands twice, the later one.
 */
export const plannedAt = (
  preview: Preview | null,
  { phase, phaseWeek, inWeek, session }: Pick<Column, 'phase' | 'phaseWeek' | 'inWeek' | 'session'>,
): PlannedSession | undefined =>
  preview?.weeks
    .findLast((week) => week.phase === phase && week.phaseWeek === phaseWeek)
    ?.places.find((place) => place.inWeek === inWeek && place.session === session)
