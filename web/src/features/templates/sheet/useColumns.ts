import { useMemo, useState } from 'react'
import type { PlannedSession } from '@young-oak/core/plan'
import type { Template } from '@young-oak/core/template'
import { minutesOf } from '@young-oak/core/views'
import type { Preview } from '../../../workers/planner.ts'
import { useLibrary } from '../../library/useLibrary.ts'
import type { Selected } from '../inspector/selected.ts'
import { columnsOf, keepColumns, lineAt, plannedAt, type At, type Column } from './sheet.ts'

/** The sessions of the week as the sheet draws them; what an edit left as it was is the same object as before. */
export function useColumns(draft: Template, week: number, track: string): Column[] {
  const library = useLibrary()
  const [columns, setColumns] = useState(() => columnsOf(library, draft, week, track))
  const [made, setMade] = useState({ draft, week, track })
  if (made.draft === draft && made.week === week && made.track === track) return columns
  const next = keepColumns(columns, columnsOf(library, draft, week, track))
  setMade({ draft, week, track })
  setColumns(next)
  return next
}

/** What the chosen member would get of each session, and how many minutes it takes them. */
export function usePlanned(
  draft: Template,
  columns: Column[],
  preview: Preview | null,
): { session: PlannedSession | undefined; minutes: number }[] {
  const library = useLibrary()
  return useMemo(
    () =>
      columns.map((column) => {
        const session = plannedAt(preview, column)
        return { session, minutes: session ? minutesOf(library, draft, column.session, session.slots) : 0 }
      }),
    [library, columns, preview, draft],
  )
}

/** What the keyboard stands on, for the inspector: the same object while that is the same thing. */
export function useSelected(columns: Column[], at: At): Selected {
  const line = lineAt(columns, at)
  const column = columns[at.column]
  return useMemo(
    (): Selected => ({
      ...(column && { phase: column.phase, session: column.session }),
      ...(line?.kind === 'sets' && { slot: line.slotId, prescription: line.prescribed.id, row: line.row }),
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [column?.phase, column?.session, line?.key, line?.kind === 'sets' ? line.row : 0],
  )
}
