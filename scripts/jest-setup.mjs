// A PostgreSQL of the tests' own for the suites that need one, unless TEST_DATABASE_URL names another.
import { mkdtempSync, rmSync, chmodSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startCluster } from './cluster.mjs'

export default async function setup() {
  if (process.env.TEST_DATABASE_URL) return
  const folder = mkdtempSync(join(tmpdir(), 'young-oak-jest-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder, { fast: true })
  process.env.TEST_DATABASE_URL = cluster.url('postgres')
  globalThis.stopTestCluster = async () => {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
