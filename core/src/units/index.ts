export { typedNumber } from './typedNumber.ts'
export {
  type Amount,
  type AmountUnit,
  amountUnits,
  type DistanceUnit,
  distanceUnits,
  formatAmount,
  formatRest,
  formatSeconds,
  isAtLeast,
  parseRest,
  parseSeconds,
  sizeOf,
} from './amount.ts'
export { addDays, type Day, daysBetween, formatDay, isDay, lastDay, weekdayOf } from './day.ts'
export {
  addLoad,
  addStep,
  compareLoads,
  formatLoad,
  formatNumber,
  heavier,
  inUnit,
  type Load,
  type Rise,
  rise,
  riseOf,
  scale,
  snap,
  type Step,
  type Unit,
} from './load.ts'
export {
  type Fixed,
  type FixedTool,
  fixedTools,
  lastAtOrBelow,
  type Makeable,
  makeable,
  makeableOnBody,
  makeableWith,
  type Parts,
  partsFor,
  type Rack,
  type SpecialBar,
  specialBars,
  usualFixed,
  usualRack,
  withBar,
} from './rack.ts'
export { type Met, round, type Way, ways, wayWords } from './round.ts'
export { formatSpan, highest, lowest, type Span } from './span.ts'
