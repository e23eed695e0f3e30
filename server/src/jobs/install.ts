import { runMigrations } from 'graphile-worker'
import type { Knex } from 'knex'
import { queuePool } from '../database/queuePool.ts'
import { quiet } from './quiet.ts'

/** Puts the queue's own tables into a database, or brings them up to date, and lets the application use them. As the database's owner. */
export async function installQueue(ownerUrl: string, db: Knex): Promise<void> {
  const pool = queuePool(ownerUrl, 1)
  try {
    await runMigrations({ pgPool: pool, logger: quiet })
  } finally {
    await pool.end()
  }
  await db.raw(`
    grant usage on schema graphile_worker to young_oak_app;
    grant select, insert, update, delete on all tables in schema graphile_worker to young_oak_app;
    grant usage on all sequences in schema graphile_worker to young_oak_app;
    grant execute on all functions in schema graphile_worker to young_oak_app;
    do $$ declare name text; begin
      for name in select relname from pg_class where relnamespace = 'graphile_worker'::regnamespace and relkind in ('r', 'p') and relrowsecurity loop
        if not exists (select from pg_policies where schemaname = 'graphile_worker' and tablename = name and policyname = 'application') then
          execute format('create policy application on graphile_worker.%I to young_oak_app using (true) with check (true)', name);
        end if;
      end loop;
    end $$`)
}
