import { migrationSource } from './migrations/index.ts'
import type { Database } from './open.ts'

/**
 * Refuses to start on a database that is behind, or as a role that row-level security does not bind: the second wall
 * between gyms would be painted on.
 */
export async function checkDatabase(database: Database): Promise<void> {
  await database.outside(async ({ db }) => {
    const [role] = await db('pg_roles')
      .select('rolname', 'rolsuper', 'rolbypassrls')
      .whereRaw('rolname = current_user')
    const owned = await db('pg_tables').where({ tablename: 'gym' }).whereRaw('tableowner = current_user')
    if (role.rolsuper || role.rolbypassrls || owned.length) {
      throw new Error(
        `DATABASE_URL signs in as "${role.rolname}", whom the wall between gyms does not bind. Use young_oak_app.`,
      )
    }
    const tables = await db('pg_class').select('oid').where({ relname: 'knex_migrations', relkind: 'r' })
    const done = tables.length ? await db('knex_migrations').select('name') : []
    const names = await migrationSource.getMigrations([])
    const missing = names.filter((name) => !done.some((row: { name: string }) => row.name === name))
    if (missing.length)
      throw new Error(`The database is behind by ${missing.join(', ')}. Run npm run migrate.`)
  })
}
