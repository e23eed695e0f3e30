import type { Knex } from 'knex'
import type { Library } from '@young-oak/core/library'

/**
 * A transaction with its tenant set, made by sign-in or by a job. Stores are handed one, never a connection or a bare gym
 * id, so that no query can forget whose rows it reads.
 */
export type Scope = {
  readonly db: Knex.Transaction
  readonly gym: string
  /** The gym's own exercises, and the number that is raised whenever they change. */
  readonly library: Library
  readonly libraryRevision: number
}
