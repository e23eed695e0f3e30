import type { Knex } from 'knex'

/** Room for rows that are changed again and again, so that a change touches no index. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table member set (fillfactor = 45);
    alter table publication_member set (fillfactor = 45);
    alter table session_log set (fillfactor = 70);
  `)
}

/** Nothing to take back: earlier versions read the same rows. */
export const down = (): Promise<void> => Promise.resolve()
