import { wholeField, type Checker, type Id } from '../../parsing/index.ts'
import { limits } from '../read/shape.ts'
import { nominalWeeks, type Phase, type SetPrescription, type Template } from '../types.ts'

/** Rows by slot, of one phase. */
export type PhaseRows = Record<Id, SetPrescription[][]>

/** The rows that slots have in a phase. */
export const rowsOf = ({ slots }: Pick<Template, 'slots'>, phase: Id): PhaseRows =>
  Object.fromEntries(
    Object.entries(slots).flatMap(([id, { rows }]) => (rows[phase] ? [[id, rows[phase]]] : [])),
  )

/** Where a phase behind another stands in the list, first behind none; null where the other has gone. */
export function placeAfter({ phases }: Pick<Template, 'phases'>, after: Id | null): number | null {
  if (after === null) return 0
  const place = phases.findIndex(({ id }) => id === after)
  return place < 0 ? null : place + 1
}

export const withPhase = (draft: Template, own: Phase, next: Phase): Template => ({
  ...draft,
  phases: draft.phases.map((one) => (one === own ? next : one)),
})

export const phaseName = ({ phases }: Pick<Template, 'phases'>, id: Id): string =>
  phases.find((one) => one.id === id)?.name ?? 'Phase'

export function findUnknown(
  checker: Checker,
  { sessions }: Template,
  rotation: readonly Id[],
  path: string,
): void {
  for (const session of rotation)
    if (!sessions[session])
      checker.add(`${path}.rotation`, 'sessions of this template', session, 'Add the session first.')
}

export function findTooLong(checker: Checker, phases: Phase[]): void {
  const weeks = phases.reduce((sum, phase) => sum + nominalWeeks(phase), 0)
  checker.check(wholeField('weeks in all', 1, limits.weeks), weeks, 'phases')
}
