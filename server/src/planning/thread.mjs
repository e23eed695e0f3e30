// A worker thread begins here: it reads the sources as they are.
import { register } from 'tsx/esm/api'

register()
export const { nextLoads, impacts } = await import('./work.ts')
