// Formulas that estimate a one-rep max.
export { brzycki } from './brzycki.ts'
export { epley } from './epley.ts'
