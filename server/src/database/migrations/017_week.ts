import type { Knex } from 'knex'

/** Where a gym's week begins: attendance is counted in whole weeks. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table gym add column week_start text not null default 'monday' check (week_start in ('monday', 'saturday', 'sunday'));
    comment on column gym.week_start is 'the first day of the gym''s week';
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw('alter table gym drop column week_start')
}
