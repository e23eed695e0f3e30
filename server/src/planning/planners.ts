import { setMaxListeners } from 'node:events'
import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import type { Day } from '@young-oak/core/units'
import type { NextLoads } from './nextLoads.ts'

/** Members whose next loads are asked for: of one gym, on a day; with `why` the steps of each in words. */
export type Asked = { gym: string; members: string[]; today: Day; why?: boolean }

/** Members of a look at what a publication would do. */
export type Looked = { gym: string; id: string; members: string[] }

/** How it goes, and how it is stopped. */
type Watch = { onProgress?: (done: number, of: number) => void; signal?: AbortSignal }

export type Planners = {
  /** The next loads of members, by member. Rejects where it is stopped or a member cannot be planned. */
  nextLoads(asked: Asked, watch?: Watch): Promise<NextLoads>
  /** Finds and keeps what a publication would do to members. */
  impacts(looked: Looked, watch?: Watch): Promise<void>
  close(): Promise<void>
}

/** Whether this runs as it was built, with its work in a file beside it. */
const isBuilt = import.meta.url.endsWith('.js')

/** Members of one task: read in one statement. The first are fewer, so that something is known soon. */
const aTask = 50
const first = 5
const firstTasks = 2

/**
 * Threads that read members in fifties and plan them, for whatever concerns many at once. Starting one takes about a second, so whoever needs them keeps
 * them. With `engine`, a folder with another engine's sources, they plan with that one.
 */
export function openPlanners(databaseUrl: string, threads: number, engine?: string): Planners {
  const pool = new Piscina({
    filename: import.meta.resolve(isBuilt ? './work.js' : './thread.mjs'),
    workerData: { databaseUrl, engine },
    minThreads: threads,
    maxThreads: threads,
    idleTimeout: Infinity,
    concurrentTasksPerWorker: 2,
    // Members are read and forgotten by the fifty: with more room for what is new, less of it is looked at and kept on the way.
    resourceLimits: { maxYoungGenerationSizeMb: 64 },
  })
  // A thread that breaks fails its own tasks, not the server.
  pool.on('error', () => undefined)
  const inPieces = async <T>(
    name: string,
    { members, ...asked }: { members: string[] },
    { onProgress, signal }: Watch,
  ): Promise<T[]> => {
    let done = 0
    const stop = new AbortController()
    const either = signal ? AbortSignal.any([signal, stop.signal]) : stop.signal
    // Each piece listens.
    setMaxListeners(0, either)
    const run = async (some: string[]): Promise<T> => {
      const found = (await pool.run({ ...asked, members: some }, { name, signal: either })) as T
      done += some.length
      onProgress?.(done, members.length)
      return found
    }
    try {
      return await Promise.all(inTasks(members).map(run))
    } finally {
      // Where one has failed, the others are of no use.
      stop.abort()
    }
  }
  return {
    nextLoads: async (asked, watch = {}) =>
      Object.assign({}, ...(await inPieces<NextLoads>('nextLoads', asked, watch))) as NextLoads,
    impacts: async (looked, watch = {}) => void (await inPieces('impacts', looked, watch)),
    close: () => pool.close({ force: true }),
  }
}

/** The threads of a process, as many as it has cores, started when they are first needed. */
export function plannersWhenNeeded(databaseUrl: string): { get: () => Planners; close: () => Promise<void> } {
  let planners: Planners | null = null
  return {
    get: () => (planners ??= openPlanners(databaseUrl, availableParallelism())),
    close: async () => void (await planners?.close()),
  }
}

function inTasks(members: string[]): string[][] {
  const tasks: string[][] = []
  for (let from = 0; from < members.length; from += (tasks.at(-1) as string[]).length)
    tasks.push(members.slice(from, from + (tasks.length < firstTasks ? first : aTask)))
  return tasks
}
