import knexPackage, { type Knex } from 'knex'
import type { Socket } from 'node:net'
import pg from 'pg'
import type { Scope } from './scope.ts'

const { knex } = knexPackage

// A day has no hour and no zone: it is read as the text that it is.
pg.types.setTypeParser(pg.types.builtins.DATE, (value) => value)
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

/** The one door to PostgreSQL. Stores are handed a scope, never this. */
export type Database = {
  /** A transaction that sees one gym's rows, by row-level security. */
  inGym<T>(gym: string, work: (scope: Scope) => Promise<T>): Promise<T>
  /** A transaction that sees the seats of one account, in whatever gyms. */
  inAccount<T>(account: string, work: (scope: Scope) => Promise<T>): Promise<T>
  /** A transaction that sees no gym's rows: accounts and sign-in counts only. */
  outside<T>(work: (scope: Scope) => Promise<T>): Promise<T>
  /** Appends sets of one gym's members in one round trip, each answered by itself: see the function of that name. */
  logSets(gym: string, sets: object[], waits: boolean): Promise<LoggedSets>
  /** For sign-in sessions, which are read past any gym. */
  pool: pg.Pool
  close(): Promise<void>
}

/** What became of each set by its number from 1, and the number of the gym's library. */
export type LoggedSets = { answers: { n: number; said: string }[]; library: number }

export function openDatabase(url: string, limits: Limits = usualLimits): Database {
  const connection = connect(url, limits)
  const pool = new pg.Pool({ ...within(url, limits), max: 8 })
  pool.on('error', () => undefined) // a lost idle connection is replaced at the next query
  pool.on('connect', (client) => endWhereSilent(client as unknown as Client, limits))
  const inside = <T>(
    setting: 'app.gym' | 'app.account' | null,
    value: string,
    work: (scope: Scope) => Promise<T>,
  ) =>
    connection.transaction(async (transaction) => {
      if (setting) await transaction.raw('select set_config(?, ?, true)', [setting, value])
      const gym = setting === 'app.gym' ? value : null
      return work({ db: transaction, gym, library: {}, libraryRevision: 0 } as Scope)
    })
  return {
    inGym: (gym, work) => inside('app.gym', gym, work),
    inAccount: (account, work) => inside('app.account', account, work),
    outside: (work) => inside(null, '', work),
    logSets: async (gym, sets, waits) => {
      const values = [gym, JSON.stringify(sets), waits]
      const { rows } = await pool.query({
        name: 'logSets',
        text: 'select log_sets($1, $2, $3) as logged',
        values,
      })
      return rows[0].logged
    },
    pool,
    close: async () => void (await Promise.all([connection.destroy(), pool.end()])),
  }
}

/**
 * How long anything may take, in milliseconds: a statement, waiting for a row that somebody else holds, a connection that says nothing at all (a
 * break of the network that nobody told us of), and waiting for one's turn.
 */
export type Limits = { statement: number; lock: number; silence: number; turn: number }
const usualLimits: Limits = { statement: 8000, lock: 2000, silence: 12_000, turn: 15_000 }

const within = (url: string, { statement, lock }: Limits) => ({
  connectionString: url,
  connectionTimeoutMillis: 4000,
  keepAlive: true,
  statement_timeout: statement,
  lock_timeout: lock,
  // Statements here are short: compiling one took longer than running it.
  options: '-c jit=off',
})

type Client = { connection: { stream: Socket } }

/** Ends a connection over which nothing has come for longer than any statement may take: what waits on it is told, and the next takes another. */
function endWhereSilent({ connection: { stream } }: Client, { silence }: Limits): void {
  stream.setTimeout(silence, () => stream.destroy())
}

/** A connection as its database's owner, for migrations and tests of the database itself; with limits where it serves requests. */
export function connect(url: string, limits?: Limits): Knex {
  return knex({
    client: 'pg',
    connection: limits ? within(url, limits) : { connectionString: url, connectionTimeoutMillis: 4000 },
    pool: {
      min: 0,
      max: 10,
      ...(limits && {
        afterCreate: (client: Client, done: (error: Error | null, client: Client) => void) => {
          endWhereSilent(client, limits)
          done(null, client)
        },
      }),
    },
    acquireConnectionTimeout: limits?.turn ?? 5000,
    // Knex would write to the console: a database that is away is answered as a problem, not logged per attempt.
    log: { warn: () => undefined, error: () => undefined, debug: () => undefined },
  })
}
