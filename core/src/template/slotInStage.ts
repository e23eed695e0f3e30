import type { Id } from '../parsing/index.ts'
import type { Slot, Template, Use } from './types.ts'

/** A slot as it stands in a stage of its progression: with the sets and the role that it has there, where it has its own. */
export function slotInStage(progressions: Template['progressions'], slot: Slot, stage: Id | undefined): Slot {
  const { inStages, ...rest } = slot
  const own = inStages?.find((one) => one.stage === stage)
  if (!own) return slot
  const { role, rows } = own
  const hasStage = ({ progression }: Use) => progressions[progression]?.stages.some(({ id }) => id === stage)
  return {
    ...rest,
    by: 'day',
    rows: Object.fromEntries(Object.keys(slot.rows).map((phase) => [phase, rows])),
    uses: role ? slot.uses.map((use) => (hasStage(use) ? { ...use, role } : use)) : slot.uses,
  }
}
