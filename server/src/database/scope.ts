import type { Knex } from 'knex'

/**
 * A transaction with its tenant set, made by sign-in or by a job. Stores are handed one, never a connection or a bare gym
 * id, so that no query can forget whose rows it reads.
 */
export type Scope = { readonly db: Knex.Transaction; readonly gym: string }
