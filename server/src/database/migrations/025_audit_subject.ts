import type { Knex } from 'knex'

/** What else than a member an entry of the audit is about. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table audit add column subject text;
    comment on column audit.subject is 'the seat, invitation, request, group, template, publication or location that it is about; it may be gone by now';
  `)
}

export async function down(db: Knex): Promise<void> {
  await db.raw('alter table audit drop column subject')
}
