export { type Entry, entryFields, liftFields } from './entry.ts'
export { findOnBody, readEnrolments, readLog, readPublications, settleEnrolments } from './read.ts'
export {
  countsStill,
  enrolmentsIn,
  goingOn,
  isOverBefore,
  overFrom,
  type Publication,
  type StartUnder,
} from './publications.ts'
export { placeNamed, placeShown, sessionLogId, setLogId } from './places.ts'
export { beats, latest, resolve } from './resolve.ts'
export { enrolmentShape, memberShape, publicationShape, sessionLogShape, setLogShape } from './shape.ts'
export { readShown, shownShape } from './shown.ts'
export { reasons } from './shape.ts'
export { asCounted, withStart } from './starts.ts'
export {
  type Beyond,
  beyonds,
  type Enrolment,
  type Instead,
  type PlaceName,
  type Side,
  type Skipped,
  type Start,
  type Segment,
  type SessionLog,
  type SetLog,
  type Shown,
  type ShownAt,
  type ShownSets,
  type ShownSlot,
} from './types.ts'
export { logFormat, shownFormat, upgradeLog, upgradeSet, upgradeShown } from './upgrades/index.ts'
export { logFrom1 } from './upgrades/log1.ts'
