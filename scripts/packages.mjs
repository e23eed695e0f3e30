// Brings node_modules up to the lock file, before anything that needs it is imported.
import { spawnSync } from 'node:child_process'
import { existsSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { say } from './cluster.mjs'

export function installPackages(root) {
  const mark = join(root, 'node_modules/.package-lock.json')
  const lock = join(root, 'package-lock.json')
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(lock).mtimeMs - 1000) return
  say('Installing the packages …')
  const done = spawnSync('npm', ['ci', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (done.status !== 0) throw new Error('npm ci failed: see above.')
}
