export { comesNext } from './comesNext.ts'
export { type Dependent, dependentsOf, offeredRatios } from './dependents.ts'
export { eventsOfWeeks } from './eventWeeks.ts'
export { lighterThan, sayLighter } from './lighter.ts'
export {
  formatCircuit,
  formatPrescribed as formatGroup,
  formatSetsShown,
  formatAsked,
  formatHandled,
  formatWarmUps,
  needCells,
  needWords,
} from './line.ts'
export { minutesOf } from './minutes.ts'
export { seasonOf, type WeekSummary } from './season.ts'
export { tallyOf, type WeekTally } from './tally.ts'
export {
  sayZones,
  sharesOf,
  zoneName,
  zonesIn,
  zonesOf,
  zoneStarts,
  type WeekZones,
  type Zones,
} from './zones.ts'
