// A worker thread begins here: it reads the sources as they are.
import { register } from 'tsx/esm/api'

register()
const { default: nextLoads } = await import('./nextLoads.work.ts')
export default nextLoads
