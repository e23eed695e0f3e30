import type { SetLog } from '@young-oak/core/member'
import { setColumns } from '../../database/columns.ts'
import type { Database } from '../../database/open.ts'

export type SetToLog = { session: string; set: SetLog }

/** Whose sets they are. Both walls are checked for each batch: the gym by row-level security, the member by the account. */
type Lifter = { gym: string; member: string; account: string }

/** What became of a set. `noSeat`: the member is not this account's any more; `failed`: with the database's reason. */
export type SetSaid = 'stored' | 'already had' | 'conflict' | 'noSession' | 'noSeat' | `failed ${string}`

/** What became of each set, and the number of the gym's library. */
export type Logged = { said: SetSaid[]; library: number }

export type Logbook = (lifter: Lifter, sets: SetToLog[]) => Promise<Logged>

/** Sets of one request, waiting for their batch. */
type Waiting = { rows: object[]; done(logged: Logged): void; failed(error: unknown): void }

/**
 * Where sets are logged. Those that arrive while a batch of their gym is under way go with the next one: one statement and one commit for all
 * of them, and an answer to each after the commit. Sets of a member whose row somebody holds go alone, and hold up nobody else.
 */
export function openLogbook(database: Database): Logbook {
  const queues = new Map<string, Waiting[]>()

  async function work(gym: string, queue: Waiting[]): Promise<void> {
    while (queue.length) await commit(gym, nextBatch(queue), false)
    queues.delete(gym)
  }

  async function commit(gym: string, batch: Waiting[], waits: boolean): Promise<void> {
    try {
      const rows = batch.flatMap((one) => one.rows)
      const { answers, library } = await database.logSets(gym, rows, waits)
      const said: string[] = []
      for (const { n, said: word } of answers) said[n - 1] = word
      let at = 0
      for (const one of batch) {
        const own = said.slice(at, (at += one.rows.length))
        if (own.includes(isHeld)) void commit(gym, [one], true)
        else one.done({ said: own as SetSaid[], library })
      }
    } catch (error) {
      for (const { failed } of batch) failed(error)
    }
  }

  return ({ gym, member, account }, sets) =>
    new Promise((done, failed) => {
      const rows = sets.map(({ session, set }) => ({
        member,
        account,
        session,
        ...setColumns(set),
        body: set,
      }))
      const queue = queues.get(gym)
      if (queue) return void queue.push({ rows, done, failed })
      const own = [{ rows, done, failed }]
      queues.set(gym, own)
      void work(gym, own)
    })
}

/** What the database answers for a member whose row somebody holds. */
const isHeld = 'isHeld'

/** Sets of one batch: few enough for one statement. The sets of one request stay together. */
const mostSets = 100

function nextBatch(queue: Waiting[]): Waiting[] {
  let sets = 0
  const fits = queue.findIndex(({ rows }, i) => (sets += rows.length) > mostSets && i > 0)
  return queue.splice(0, fits < 0 ? queue.length : fits)
}
