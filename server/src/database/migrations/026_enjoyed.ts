import type { Knex } from 'knex'

/** Rules may ask what members enjoy: the traits of those who have said so are read anew. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    update member m set traits = null
    where exists (select from fact f where f.gym_id = m.gym_id and f.member_id = m.id and f.kind = 'enjoys')
  `)
}

/** What is read beside the others does no harm. */
export async function down(): Promise<void> {}
