export { starterKinds, starterOf } from './registry.ts'
export { templateOf } from './starter.ts'
