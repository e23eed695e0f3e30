import { wrap, type Remote } from 'comlink'
import type { Planner } from './planner.ts'

/** A planner in a worker of its own. `onCrash` is called where the worker itself breaks, when no answer will come any more. */
export type PlannerLine = { planner: Remote<Planner>; end(): void }

export function openPlanner(onCrash: () => void): PlannerLine {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
  worker.onerror = onCrash
  worker.onmessageerror = onCrash
  return { planner: wrap<Planner>(worker), end: () => worker.terminate() }
}
