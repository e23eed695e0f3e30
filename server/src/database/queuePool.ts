import pg from 'pg'

/** Connections for the queue; one that is lost is replaced when it is next needed. */
export function queuePool(connectionString: string, max: number): pg.Pool {
  const pool = new pg.Pool({ connectionString, max, keepAlive: true })
  pool.on('error', () => undefined)
  pool.on('connect', (client) => void client.on('error', () => undefined))
  return pool
}
