import knexPackage, { type Knex } from 'knex'
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
  /** For the sign-in session store, which speaks to pg itself. */
  pool: pg.Pool
  close(): Promise<void>
}

export function openDatabase(url: string): Database {
  const connection = connect(url)
  const pool = new pg.Pool({ connectionString: url, max: 4, connectionTimeoutMillis: 4000 })
  pool.on('error', () => undefined) // a lost idle connection is replaced at the next query
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
    pool,
    close: async () => void (await Promise.all([connection.destroy(), pool.end()])),
  }
}

/** A plain connection, for migrations and tests of the database itself. */
export function connect(url: string): Knex {
  return knex({
    client: 'pg',
    connection: { connectionString: url, connectionTimeoutMillis: 4000 },
    pool: { min: 0, max: 10 },
    acquireConnectionTimeout: 5000,
    // Knex would write to the console: a database that is away is answered as a problem, not logged per attempt.
    log: { warn: () => undefined, error: () => undefined, debug: () => undefined },
  })
}
