import { pathToFileURL } from 'node:url'
import { installQueue } from '../jobs/install.ts'
import { readOwnerUrl } from '../settings.ts'
import { fillHashes } from './fillHashes.ts'
import { migrationSource } from './migrations/index.ts'
import { connect } from './open.ts'

/** Brings a database up to date, signed in as its owner. Returns the names of the migrations that it ran. */
export async function migrate(ownerUrl: string): Promise<string[]> {
  const db = connect(ownerUrl)
  try {
    const [, names] = (await db.migrate.latest({ migrationSource })) as [number, string[]]
    await fillHashes(db)
    await installQueue(ownerUrl, db)
    await db.raw('grant select on knex_migrations to young_oak_app')
    return names
  } finally {
    await db.destroy()
  }
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const names = await migrate(readOwnerUrl())
  process.stdout.write(names.length ? `Ran ${names.join(', ')}.\n` : 'The database is up to date.\n')
}
