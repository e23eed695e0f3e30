export * from './day.ts'
export * from './load.ts'
export * from './rack.ts'
export * from './round.ts'
