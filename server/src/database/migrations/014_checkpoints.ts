import type { Knex } from 'knex'

/** Plans of the next sessions alone take up the thread right before today, those that show what was trained a week or two before. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table fold_checkpoint add column kind text not null default 'near' check (kind in ('near', 'next'));
    alter table fold_checkpoint alter column kind drop default;
    alter table fold_checkpoint drop constraint fold_checkpoint_pkey;
    alter table fold_checkpoint add primary key (gym_id, member_id, kind);
    comment on column fold_checkpoint.kind is 'near lies before the weeks that a near plan shows, next at the last day before today';
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    delete from fold_checkpoint where kind = 'next';
    alter table fold_checkpoint drop constraint fold_checkpoint_pkey;
    alter table fold_checkpoint drop column kind;
    alter table fold_checkpoint add primary key (gym_id, member_id);
  `)
}
