export * from './loadList.ts'
export * from './maxRows.ts'
