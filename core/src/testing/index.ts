export type {} from './exposures.ts'
