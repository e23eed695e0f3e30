import { EventEmitter } from 'node:events'
import type { WorkerEvents } from 'graphile-worker'
import type { Pool } from 'pg'

/** A sign of life of this process's workers, and the way to tasks of workers that are gone. */
export type Alive = {
  /** The queue is told to announce its workers here. */
  events: WorkerEvents
  /** Gives back to the queue what workers hold that are gone. Whoever still runs it finds it done, or does it once more: tasks bear that. */
  takeUp(): Promise<void>
  /** Rejects where the connection is lost, and the sign of life with it. */
  lost: Promise<never>
  release(): void
}

const lockOf = `hashtextextended('worker ' || $1, 0)`

/**
 * The queue itself gives up a task that a killed server has held only after four hours. So each worker's name is locked by a connection of its process, which
 * PostgreSQL lets go with the process: a name that anybody can lock is of a worker that is gone.
 */
export async function holdAlive(pool: Pool): Promise<Alive> {
  const client = await pool.connect()
  const own = new Set<string>()
  // One statement after the other on this connection.
  let before: Promise<unknown> = Promise.resolve()
  const events = new EventEmitter() as WorkerEvents
  events.on('worker:create', ({ worker: { workerId } }) => {
    own.add(workerId)
    before = before
      .then(() => client.query(`select pg_advisory_lock(${lockOf})`, [workerId]))
      .catch(() => undefined)
  })
  const lost = new Promise<never>((_resolve, reject) => client.once('error', reject))
  lost.catch(() => undefined)
  return {
    events,
    lost,
    takeUp: async () => {
      await before
      const { rows } = await client.query<{ id: string }>(
        'select distinct locked_by as id from graphile_worker.jobs where locked_by is not null',
      )
      for (const { id } of rows.filter((one) => !own.has(one.id))) {
        const { rows: tried } = await client.query(`select pg_try_advisory_lock(${lockOf}) as gone`, [id])
        if (!tried[0].gone) continue
        await client.query('select graphile_worker.force_unlock_workers(array[$1])', [id])
        await client.query(`select pg_advisory_unlock(${lockOf})`, [id])
      }
    },
    release: () => client.release(true),
  }
}
