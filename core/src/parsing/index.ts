export { Checker } from './check.ts'
export {
  choiceField,
  dayField,
  entryIdField,
  exerciseField,
  idField,
  isRise,
  laterField,
  listField,
  loadField,
  numberField,
  percentField,
  percentOffField,
  riseField,
  spanField,
  stepField,
  strictObject,
  textField,
  trueField,
  wholeField,
} from './fields.ts'
export { type Id, isId } from './id.ts'
export { at, formatIssue, type Issue } from './issue.ts'
export { formatLoadList, parseLoadList } from './loadList.ts'
export {
  type KnownRow,
  maxCells,
  maxHeader,
  type MaxReading,
  type MaxRow,
  maxSheet,
  type SheetContext,
} from './maxRows.ts'
export { fixForName } from './nearest.ts'
export { fixForRetired } from './retired.ts'
export { parseJson } from './parseJson.ts'
export { fieldIn, renameKeys, renameText, upgradeEach, upgradeFields } from './upgrade.ts'
