import { run, type Runner } from 'graphile-worker'
import type { Logger } from 'pino'
import type { Database } from '../database/open.ts'
import { plannersOf } from '../features/publications/impact.ts'
import { withoutWords } from '../http/asProblem.ts'
import { queuePool } from '../database/queuePool.ts'
import { quiet } from './quiet.ts'
import { tasks, type TaskInput } from './tasks.ts'

export type Queue = { close(): Promise<void> }

/** So many tasks of one process at once: each waits for the database, or for worker threads that are few anyway. */
const atOnce = 2

/** A queue that has ended, with its connections, is opened anew after so many milliseconds. */
const pause = 5000

/**
 * Runs what waits in the queue, beside the other servers of the database: each task by one of them. One that fails is tried again later; one
 * whose server is killed is taken up by another.
 */
export async function openQueue(databaseUrl: string, database: Database, log: Logger): Promise<Queue> {
  const pool = queuePool(databaseUrl, atOnce + 2)
  const threads = plannersOf(databaseUrl)
  const hands = { database, planners: threads.get }
  const taskList = Object.fromEntries(
    Object.entries(tasks).map(([name, task]) => [
      name,
      (input: unknown) => logged(name, () => task(hands, input as TaskInput)),
    ]),
  )
  const logged = async (task: string, work: () => Promise<void>) => {
    try {
      await work()
    } catch (error) {
      log.error({ task, ...withoutWords(error as Error) }, 'a task failed')
      throw error
    }
  }
  const open = () =>
    run({
      pgPool: pool,
      concurrency: atOnce,
      noHandleSignals: true,
      parsedCronItems: [],
      logger: quiet,
      taskList,
    })
  let isClosed = false
  let runner: Runner | null = null
  const keep = async (): Promise<void> => {
    while (!isClosed) {
      try {
        await runner?.promise
      } catch (error) {
        log.error(withoutWords(error as Error), 'the queue has ended')
      }
      if (isClosed) return
      await new Promise((resolve) => setTimeout(resolve, pause).unref())
      runner = await open().catch(() => null)
    }
  }
  runner = await open()
  void keep()
  return {
    close: async () => {
      isClosed = true
      await runner?.stop().catch(() => undefined)
      await Promise.all([threads.close(), pool.end()])
    },
  }
}
