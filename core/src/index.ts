export { engine } from './engine.ts'
