import { renameKeys, upgradeFields } from '../../parsing/index.ts'
import { shownFrom1 } from './shown1.ts'

/** A session log of member format 1 as one of format 2. Sets kept all their names. */
export const logFrom1 = (log: unknown): unknown =>
  upgradeFields(renameKeys(log, { place: 'location' }), { shown: shownFrom1 })
