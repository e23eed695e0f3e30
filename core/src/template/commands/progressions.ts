import { liftName, type Library } from '../../library/index.ts'
import { at, type Checker, type Id } from '../../parsing/index.ts'
import { findSlotEnds, findUnheard } from '../read/slotEnds.ts'
import type { ProgressionStage, Template } from '../types.ts'
import { changed, gone, isConflict, type Conflict } from './command.ts'

/** "Progression of back squat". */
export function progressionName(library: Library, { slots }: Pick<Template, 'slots'>, id: Id): string {
  const slot = Object.values(slots).find(({ uses }) => uses.some(({ progression }) => progression === id))
  return slot ? `Progression of ${liftName(library, slot).toLowerCase()}` : 'The progression'
}

export const stageOf = (
  { progressions }: Template,
  { progression, stage }: { progression: Id; stage: Id },
): ProgressionStage | undefined => progressions[progression]?.stages.find(({ id }) => id === stage)

/** The stage as changed; anything that is no stage is what stands there in place of what was meant. */
export function changeStage(
  draft: Template,
  place: { progression: Id; stage: Id },
  change: (stage: ProgressionStage) => object | string,
): Template | Conflict {
  const { progression: id } = place
  const what = (library: Library) => progressionName(library, draft, id)
  const progression = draft.progressions[id]
  const stage = stageOf(draft, place)
  if (!progression || !stage) return gone(what)
  const next = change(stage)
  if (typeof next === 'string' || !('rule' in next)) return changed(what, next)
  const stages = progression.stages.map((one) => (one === stage ? (next as typeof one) : one))
  return { ...draft, progressions: { ...draft.progressions, [id]: { ...progression, stages } } }
}

/** Every slot that feeds a progression must be able to carry it as it is after the command. */
export function checkUsers(checker: Checker, after: Template | Conflict, id: Id): void {
  if (isConflict(after)) return
  for (const [slotId, slot] of Object.entries(after.slots)) {
    if (!slot.uses.some(({ progression }) => progression === id)) continue
    findSlotEnds(checker, after, slot, at('slots', slotId))
    findUnheard(checker, after, slot, at('slots', slotId))
  }
}
