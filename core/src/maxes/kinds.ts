// Formulas that estimate a one-rep max, the default first, and a table that does.
export { epley } from './epley.ts'
export { brzycki } from './brzycki.ts'
export { lander } from './lander.ts'
export { lombardi } from './lombardi.ts'
export { mayhew } from './mayhew.ts'
export { oconner } from './oconner.ts'
export { wathan } from './wathan.ts'
export { handbook } from './handbook.ts'
