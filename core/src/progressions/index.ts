// Loads that rise session by session.
export { linear } from './linear.ts'
