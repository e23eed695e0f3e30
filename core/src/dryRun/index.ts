export { sampleMember, type Strength } from './sampleMember.ts'
export { doingUnder, forecastKinds, forecastOf, type Supposed } from './forecasts/registry.ts'
