import { inTurn, partInTurn, placesOf, rowOnPaper, turnOf } from '@young-oak/core/calendar'
import type { Lift } from '@young-oak/core/library'
import type { PlannedSession } from '@young-oak/core/plan'
import type { Preview } from '../../workers/planner.worker.ts'
import {
  cellFields,
  lettersOf,
  type SheetField,
  type Id,
  type SetGroup,
  type Slot,
  type Template,
} from '@young-oak/core/template'

/** A column of the week sheet: one place of the week, with its lines in the order they are trained. */
export type Column = {
  position: number
  phase: Id
  phaseWeek: number
  toTest?: number
  inWeek: number
  session: Id
  name: string
  parts: { name: string; lines: Line[] }[]
  lines: Line[]
}

/** A line: one group of sets of one slot in this week, which is what a cell belongs to. */
export type Line = {
  slotId: Id
  letter: string
  slot: Slot
  /** The slot's own lift, or the one whose turn it is. */
  lift: Lift
  group: SetGroup
  isFirst: boolean
  phase: Id
  row: number
  rows: number
}

export function columnsOf(template: Template, week: number): Column[] {
  return placesOf(template)
    .filter((place) => place.week === week)
    .map((place) => {
      const { position, inWeek, session: id, phase, phaseWeek } = place
      const session = template.sessions[id]
      const ids = session ? inTurn(session, place) : []
      const letters = lettersOf(ids.map((slotId) => ({ id: slotId, slot: template.slots[slotId] ?? {} })))
      const parts = (session?.parts ?? []).map((part) => ({
        name: part.name,
        lines: partInTurn(part, place).flatMap((slotId) => {
          const slot = template.slots[slotId]
          const row = slot ? rowOnPaper(slot, place) : 0
          const groups = slot?.rows[phase.id]?.[row] ?? []
          return slot
            ? groups.map((group, i): Line => ({
                slotId,
                letter: letters[slotId] ?? '',
                slot,
                lift: (slot.turns && turnOf(template, place, slot.turns)) ?? slot,
                group,
                isFirst: i === 0,
                phase: phase.id,
                row,
                rows: slot.rows[phase.id]?.length ?? 0,
              }))
            : []
        }),
      }))
      return {
        position,
        phase: phase.id,
        phaseWeek,
        ...(place.toTest !== undefined && { toTest: place.toTest }),
        inWeek,
        session: id,
        name: session?.name ?? id,
        parts,
        lines: parts.flatMap(({ lines }) => lines),
      }
    })
}

/** Where the keyboard is: column, line within it, and cell; one past the last field is the member's load. */
export type At = { column: number; line: number; field: number }

export const loadField = cellFields.length
export const fieldAt = (at: At): SheetField | undefined => cellFields[at.field]

/** The neighbour in a direction: within the line, then the next column; within the column, then it stops. */
export function moved(columns: Column[], at: At, key: string): At {
  const clampLine = (column: number, line: number) =>
    Math.min(line, Math.max((columns[column]?.lines.length ?? 1) - 1, 0))
  const steps: Record<string, () => At> = {
    ArrowDown: () => ({ ...at, line: clampLine(at.column, at.line + 1) }),
    ArrowUp: () => ({ ...at, line: Math.max(at.line - 1, 0) }),
    ArrowRight: () =>
      at.field < loadField
        ? { ...at, field: at.field + 1 }
        : at.column < columns.length - 1
          ? { column: at.column + 1, line: clampLine(at.column + 1, at.line), field: 0 }
          : at,
    ArrowLeft: () =>
      at.field > 0
        ? { ...at, field: at.field - 1 }
        : at.column > 0
          ? { column: at.column - 1, line: clampLine(at.column - 1, at.line), field: loadField }
          : at,
    Home: () => ({ ...at, field: 0 }),
    End: () => ({ ...at, field: loadField }),
  }
  return steps[key]?.() ?? at
}

/**
 * The chosen member's session at a place of the sheet: that of the same week of the phase, which may have another number in
 * their plan; where the week stands twice, the later one.
 */
export const plannedAt = (
  preview: Preview | null,
  { phase, phaseWeek, inWeek, session }: Pick<Column, 'phase' | 'phaseWeek' | 'inWeek' | 'session'>,
): PlannedSession | undefined =>
  preview?.plan.weeks
    .findLast((week) => week.phase === phase && week.phaseWeek === phaseWeek)
    ?.places.find((place) => place.inWeek === inWeek && place.session === session)
