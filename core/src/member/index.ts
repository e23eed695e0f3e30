export { type GivenKind, givenKinds, readEquipment, readGivenFact, readMember } from './read.ts'
export { beats, resolve } from './resolve.ts'
export { enrolmentShape, factShapes, memberShape, sessionLogShape, setLogShape } from './shape.ts'
export { shownFormat, shownShape } from './shown.ts'
export {
  type About,
  type BlockOf,
  type CheckIn,
  type Enrolment,
  type EquipmentBody,
  type EventKind,
  eventKinds,
  type Fact,
  type FactBody,
  jointAnswers,
  type LightFact,
  lightReasons,
  type MaxFact,
  type Member,
  type Segment,
  type SessionLog,
  sessionLogId,
  type SetLog,
  setLogId,
  type Shown,
  type ShownGroup,
  type ShownSlot,
  type TrialFact,
} from './types.ts'
