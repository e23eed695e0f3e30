import type { Knex } from 'knex'
import { templateFormat, upgradeTemplate, type Template } from '@young-oak/core/template'
import { contentHash } from './columns.ts'

/**
 * Drafts and versions whose hash is missing, or is one of an earlier format, are given theirs, so that a version and a draft of different
 * formats are equal where they say the same. It runs when the database is brought up to date, as its owner, and may be run again.
 */
export async function fillHashes(db: Knex): Promise<void> {
  const tables = [
    ['template', 'draft'],
    ['template_version', 'body'],
  ] as const
  for (const [table, column] of tables) {
    const behind = () =>
      db(table).where((row) =>
        row.whereNull('content_hash').orWhereNot('content_hash', 'like', `${templateFormat}:%`),
      )
    for (;;) {
      const rows = await behind().select('gym_id', 'id', column).limit(batch)
      if (!rows.length) break
      for (const { gym_id, id, [column]: document } of rows)
        await db(table)
          .where({ gym_id, id })
          .update({ content_hash: contentHash(upgradeTemplate(document) as Template) })
    }
  }
}
const batch = 100
