import type { Formula } from './formula.ts'
import * as formulas from './index.ts'

export type FormulaKind = keyof typeof formulas
export const formulaOf: Record<FormulaKind, Formula> = formulas
export const formulaKinds = Object.keys(formulas) as FormulaKind[]
export const defaultFormula: FormulaKind = 'epley'
