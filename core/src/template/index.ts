export { cellsByRule, hasComputedLoad, rulesCells, takesScheme, writtenIn } from './computed.ts'
export { inherit, type Inherited, inherited, inheritsByWeek } from './inherit.ts'
export { splitRests } from './rests.ts'
export { isRamp, readRamp, rirIn, sayRamp } from './rirRamp.ts'
export { slotInStage } from './slotInStage.ts'
export { lettersOf } from './letters.ts'
export { isLighterUse } from './lighterUse.ts'
export {
  type AsWritten,
  type Circuit,
  type Defaults,
  type Layout,
  type RirRamp,
  type Fixable,
  fixable,
  type Use,
  type LaterPhase,
  type Length,
  deloadPolicies,
  type DeloadPolicy,
  type MaxPolicy,
  type Missed,
  missedPolicies,
  nominalWeeks,
  type Section,
  type Phase,
  type PhaseRule,
  type Progression,
  type ProgressionStage,
  type Ratio,
  type RowClock,
  rowClocks,
  rowWeeks,
  rulesOf,
  type Session,
  type SetPrescription,
  type SetStyle,
  setStyles,
  type Slot,
  setsOfSlot,
  type SlotStage,
  slotsOf,
  type SlotRotation,
  type Template,
  type Track,
  rotationClocks,
  weekAt,
} from './types.ts'
export {
  type CellField,
  cellFields,
  cellNames,
  detailFields,
  detailsSaid,
  formatCell,
  parseCell,
  type SheetField,
} from './cells/cells.ts'
export { formatSets, readLine, readSets, usualLoad } from './cells/shorthand.ts'
export { shorthandExamples } from './cells/shorthandExamples.ts'
export { isConflict } from './commands/command.ts'
export { isCommand } from './commands/isCommand.ts'
export { applyCommand, checkCommand, invert, renewCommand, sayCommand } from './commands/edit.ts'
export { type PhaseRows, rowsOf } from './commands/phases.ts'
export { progressionName } from './commands/progressions.ts'
export { type Command, commandNames } from './commands/registry.ts'
export { sayRow } from './commands/rows.ts'
export type { Cell } from './commands/setCell.ts'
export type { Head, HeadField } from './commands/setHead.ts'
export type { RuleOfStage } from './commands/setRule.ts'
export type { SlotWarmUp } from './commands/setWarmUp.ts'
export { type Spot, spotOf } from './commands/slots.ts'
export { commandFormat, upgradeCommand } from './commands/upgrades/index.ts'
export { canonical, same } from './commands/values.ts'
export {
  compareTemplates,
  sayLater,
  sayChoices,
  sayProgression,
  sayTurns,
  sayWarmUp,
} from './compare/compare.ts'
export { sayLayout } from './compare/sayLayout.ts'
export { type Difference, sayAdjustment, slotName, trackAt } from './compare/sayAdjustment.ts'
export { sayIssue } from './compare/sayIssue.ts'
export { readDraft, readPublished, readTemplate, type ReadTemplate } from './read/read.ts'
export { readChange, readChangeOf } from './read/readAdjustment.ts'
export { ownExerciseShape } from './read/exerciseShape.ts'
export { readOwnExercise, readOwnExercises, settleExercises } from './read/readExercises.ts'
export { salvageTemplate } from './read/salvage.ts'
export { adjustmentFrom1, changeFrom1 } from './read/upgrades/template1.ts'
export { templateFormat, upgradeTemplate } from './read/upgrades/index.ts'
export {
  adjustmentShape,
  headShape,
  limits,
  sectionShape,
  phaseRuleShape,
  phaseShape,
  progressionShape,
  sessionShape,
  setPrescriptionShape,
  slotShape,
  slotStageShape,
  stageShape,
  trackShape,
  untilShape,
  weeksField,
  whereShape,
} from './read/shape.ts'
