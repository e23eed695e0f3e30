import type { Knex } from 'knex'

/**
 * What is only ever read whole is kept as it was written: turning jsonb into text was half of the time that reading a member took.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table session_log alter column copy type json using copy::json;
    alter table session_start alter column shown type json using shown::json;
    alter table fold_checkpoint alter column body type json using body::json;
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    alter table session_log alter column copy type jsonb using copy::jsonb;
    alter table session_start alter column shown type jsonb using shown::jsonb;
    alter table fold_checkpoint alter column body type jsonb using body::jsonb;
  `)
}
