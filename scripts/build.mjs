// Builds the page and the server, as they are started in earnest.
import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const made = ['web/dist/index.html', 'server/dist/main.js'].map((file) => join(root, file))
const sources = ['web', 'core/src', 'api/src', 'server'].map((folder) => join(root, folder))

/** Whether nothing was changed since the last build. */
export const isBuilt = () =>
  made.every(existsSync) &&
  Math.min(...made.map((file) => statSync(file).mtimeMs)) > Math.max(...sources.map(newest))

export function build() {
  for (const what of ['web', 'server']) {
    const args = [join(root, 'node_modules/vite/bin/vite.js'), 'build', what, '--logLevel', 'error']
    const { status } = spawnSync(process.execPath, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
    })
    if (status !== 0) throw new Error(`${what} could not be built: see above.`)
  }
}

function newest(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !/(^|\/)(dist|node_modules)(\/|$)/.test(entry.parentPath))
    .reduce((latest, entry) => Math.max(latest, statSync(join(entry.parentPath, entry.name)).mtimeMs), 0)
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) build()
