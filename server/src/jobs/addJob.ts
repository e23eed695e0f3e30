import type { Scope } from '../database/scope.ts'

/** What waits in the queue; `tasks.ts` says what is done. */
export type TaskName = 'publish' | 'look' | 'erase' | 'mail' | 'letter'

/**
 * Puts a task of the gym into the queue, with this transaction or not at all, for now or for later; one that waits for the same thing already is not
 * doubled.
 */
export async function addJob({ db, gym }: Scope, task: TaskName, id: string, at?: Date): Promise<void> {
  await db.raw(
    'select graphile_worker.add_job(?, ?::json, job_key := ?, run_at := coalesce(?::timestamptz, now()))',
    [task, JSON.stringify({ gym, id }), `${task} ${gym} ${id}`, at ?? null],
  )
}
