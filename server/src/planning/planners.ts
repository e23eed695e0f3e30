import { Piscina } from 'piscina'
import type { Day } from '@young-oak/core/units'
import type { NextLoads } from './nextLoads.ts'

/** Members whose next loads are asked for: of one gym, on a day; with `why` the steps of each in words. */
export type Asked = { gym: string; members: string[]; today: Day; why?: boolean }

/** How it goes, and how it is stopped. */
type Watch = { onProgress?: (done: number, of: number) => void; signal?: AbortSignal }

export type Planners = {
  /** The next loads of members, by member. Reads them in fifties, in worker threads; rejects where it is stopped or a member cannot be planned. */
  nextLoads(asked: Asked, watch?: Watch): Promise<NextLoads>
  close(): Promise<void>
}

/** Whether this runs as it was built, with its work in a file beside it. */
const isBuilt = import.meta.url.endsWith('.js')

/** Members of one task: read in one statement. */
const aTask = 50

/**
 * Threads that read members and plan them, for whatever concerns many at once. Starting one takes about a second, so whoever needs them keeps them. With
 * `engine`, a folder with another engine's sources, they plan with that one.
 */
export function openPlanners(databaseUrl: string, threads: number, engine?: string): Planners {
  const pool = new Piscina({
    filename: import.meta.resolve(isBuilt ? './nextLoads.js' : './thread.mjs'),
    workerData: { databaseUrl, engine },
    minThreads: threads,
    maxThreads: threads,
    idleTimeout: Infinity,
  })
  return {
    async nextLoads({ members, ...asked }, { onProgress, signal } = {}) {
      let done = 0
      const stop = new AbortController()
      const either = signal ? AbortSignal.any([signal, stop.signal]) : stop.signal
      const run = async (some: string[]): Promise<NextLoads> => {
        const loads = (await pool.run({ ...asked, members: some }, { signal: either })) as NextLoads
        done += some.length
        onProgress?.(done, members.length)
        return loads
      }
      try {
        return Object.assign({}, ...(await Promise.all(inTasks(members).map(run)))) as NextLoads
      } finally {
        // Where one has failed, the others are of no use.
        stop.abort()
      }
    },
    close: () => pool.close({ force: true }),
  }
}

const inTasks = (members: string[]): string[][] =>
  Array.from({ length: Math.ceil(members.length / aTask) }, (_, i) =>
    members.slice(i * aTask, (i + 1) * aTask),
  )
