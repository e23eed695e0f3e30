export * from './check.ts'
export * from './fields.ts'
export * from './issue.ts'
export * from './parseJson.ts'
