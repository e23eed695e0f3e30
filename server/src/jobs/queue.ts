import { run } from 'graphile-worker'
import type { Logger } from 'pino'
import type { Database } from '../database/open.ts'
import { withoutWords } from '../http/asProblem.ts'
import { queuePool } from '../database/queuePool.ts'
import type { Post } from '../mail/mailer.ts'
import { plannersWhenNeeded } from '../planning/planners.ts'
import { holdAlive } from './holdAlive.ts'
import { quiet } from './quiet.ts'
import { tasks, type TaskInput } from './tasks.ts'

export type Queue = { close(): Promise<void> }

/** So many tasks of one process at once: each waits for the database, or for worker threads that are few anyway. */
const atOnce = 2

/** A queue that has ended, with its connections, is opened anew after so many milliseconds. */
const pause = 5000
/** How often tasks of servers that are gone are looked for. */
const everyMs = 15_000

/**
 * Runs what waits in the queue, beside the other servers of the database: each task by one of them. One that fails is tried again later; one
 * whose server is killed is taken up by another.
 */
export async function openQueue(
  databaseUrl: string,
  database: Database,
  log: Logger,
  post: Post = { mailer: null, publicUrl: '' },
): Promise<Queue> {
  const pool = queuePool(databaseUrl, atOnce + 3)
  const threads = plannersWhenNeeded(databaseUrl)
  const hands = { database, planners: threads.get, post }
  const logged = async (task: string, work: () => Promise<void>) => {
    try {
      await work()
    } catch (error) {
      log.error({ task, ...withoutWords(error as Error) }, 'a task failed')
      throw error
    }
  }
  const taskList = Object.fromEntries(
    Object.entries(tasks).map(([name, task]) => [
      name,
      (input: unknown) => logged(name, () => task(hands, input as TaskInput)),
    ]),
  )
  const open = async (): Promise<Open> => {
    const alive = await holdAlive(pool)
    const runner = await run({
      pgPool: pool,
      concurrency: atOnce,
      noHandleSignals: true,
      parsedCronItems: [],
      logger: quiet,
      taskList,
      events: alive.events,
      // What becomes of a task is written down in batches: only of those does the queue bear that they fail. It ends then, and is opened anew.
      preset: { worker: { completeJobBatchDelay: 0, failJobBatchDelay: 0 } },
    })
    const timer = setInterval(() => void alive.takeUp().catch(() => undefined), everyMs)
    await alive.takeUp()
    return {
      ended: Promise.race([runner.promise, alive.lost]),
      close: async () => {
        clearInterval(timer)
        await runner.stop().catch(() => undefined)
        alive.release()
      },
    }
  }
  let isClosed = false
  let opened: Open | null = await open()
  const keep = async (): Promise<void> => {
    while (!isClosed) {
      await opened?.ended.catch((error: unknown) =>
        log.error(withoutWords(error as Error), 'the queue has ended'),
      )
      if (isClosed) return
      await opened?.close()
      await new Promise((resolve) => setTimeout(resolve, pause).unref())
      opened = await open().catch(() => null)
    }
  }
  void keep()
  return {
    close: async () => {
      isClosed = true
      await opened?.close()
      await Promise.all([threads.close(), pool.end()])
    },
  }
}

type Open = { ended: Promise<unknown>; close(): Promise<void> }
