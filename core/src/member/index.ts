export { type Entry, entryFields, liftFields } from './entry.ts'
export { findOnBody, readEnrolments, readLog } from './read.ts'
export { beats, resolve } from './resolve.ts'
export { enrolmentShape, memberShape, sessionLogShape, setLogShape } from './shape.ts'
export { shownFormat, shownShape } from './shown.ts'
export {
  type Enrolment,
  type Segment,
  type SessionLog,
  sessionLogId,
  type SetLog,
  setLogId,
  type Shown,
  type ShownAt,
  type ShownGroup,
  type ShownSlot,
} from './types.ts'
