export * from './maxRows.ts'
