export { starterKinds, starterOf } from './registry.ts'
export { templateOf } from './starter.ts'
export { type Suit, suitsOf, type Wanted } from './suit.ts'
