export { type Answers, soreAnswers, workedAnswers } from './answers.ts'
export { type Because, becauses, becauseWords } from './because.ts'
export { firstLoad, sayFirst, startParams } from './firstLoad.ts'
export { type RuleKind, ruleKinds, ruleOf, type Stage } from './registry.ts'
export type {
  Asks,
  Exposure,
  Hand,
  LastExposure,
  RuleAt,
  SchemeShown,
  SetSeen,
  Starting,
  TopSet,
} from './rule.ts'
export { canCarry, isBarely } from './rule.ts'
export { sampleSets as sampleGroup, sampleRole } from './sample.ts'
export { saySteady } from './steady.ts'
