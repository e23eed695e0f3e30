export { explain, messages } from './explain.ts'
