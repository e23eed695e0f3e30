import type { Knex } from 'knex'

/** Equipment that may be mended on the day that it is entered, and maxes of a member found by their kind. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table place_equipment add column rev int not null default 1;
    comment on column place_equipment.rev is 'raised where it was mended on the same day; plans made before are made anew';
    grant update (racks, fixed, rev) on place_equipment to young_oak_app;
    create index fact_kind on fact (gym_id, member_id, (body->>'kind'));
  `)
}

/** Refuses: which equipment was mended would be lost. Restore a backup instead. */
export async function down(): Promise<void> {
  throw new Error('005_equipment is not taken back: restore a backup')
}
