export {
  estimate,
  isDoubtful,
  mostRir as mostInReserve,
  mostReps,
  mostRepsWarned,
  spread,
} from './estimate.ts'
export { findLoad, type Found, type Try } from './findLoad.ts'
export { defaultFormula, type FormulaKind, formulaKinds, formulaOf } from './registry.ts'
export { writtenReps } from './handbook.ts'
export { mostTableReps, percentFor, repsFor, type RepTable, repTables, repTableTitle } from './table.ts'
