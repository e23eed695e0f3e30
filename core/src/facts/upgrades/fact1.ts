import { fieldIn, renameKeys, renameText, upgradeEach, upgradeFields } from '../../parsing/index.ts'
import { adjustmentFrom1, changeFrom1 } from '../../template/index.ts'

/** A fact of member format 1 as one of format 2. */
export function factFrom1(fact: unknown): unknown {
  const kind = fieldIn(fact, 'kind')
  return upgradeFields(
    kind === 'equipment' || kind === 'home' ? renameKeys(fact, { place: 'location' }) : fact,
    {
      kind: renameText(newKinds),
      ...(kind === 'light' && { changes: (changes) => upgradeEach(changes, changeFrom1) }),
      ...(kind === 'adjust' && { adjustment: adjustmentFrom1 }),
      ...(kind === 'adviceTaken' && { answer: renameText(newAnswers) }),
    },
  )
}

const newKinds = { light: 'deload', skipLight: 'skipDeload', ceiling: 'mostSets' }
const newAnswers = { lightWeek: 'deload', partialLightWeek: 'partialDeload' }
