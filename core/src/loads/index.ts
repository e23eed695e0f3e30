export { bandBefore, formatBand, mostOf } from './band.ts'
export { maxStep as maxStep, sayMax } from './maxStep.ts'
export { type LoadBasis, type SourceKind, sourceKinds, sourceOf } from './registry.ts'
export { sayMain } from './progression.ts'
export { repMaxOf } from './repMaxOf.ts'
export {
  type Felt,
  isLater,
  isNeed,
  type Known,
  type Later,
  type MaxInForce,
  type Need,
  percentBefore,
  type Priced,
  type Today,
  type TopSeen,
} from './source.ts'
export { waysTo } from './tonnage.ts'
export { sayTopSet, topSetStep as topSetStep } from './topSetStep.ts'
