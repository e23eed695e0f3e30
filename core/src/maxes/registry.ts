import type { Formula } from './formula.ts'
import * as formulas from './kinds.ts'

export type FormulaKind = keyof typeof formulas
export const formulaOf: Record<FormulaKind, Formula> = formulas
export const defaultFormula: FormulaKind = 'epley'
/** The default first. */
export const formulaKinds = [
  defaultFormula,
  ...(Object.keys(formulas) as FormulaKind[]).filter((kind) => kind !== defaultFormula),
]
