// What a member's phone loads before today's session is on the screen.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import type { Figure } from './figure.ts'

/** The compressed JavaScript of the built page that a member opens first: what the page itself names, today's screen, and all they import. */
export function benchPageSize(dist: string): Figure[] {
  const assets = join(dist, 'assets')
  const today = readdirSync(assets).find((name) => /^TodayPage-.*\.js$/.test(name))
  if (!today) throw new Error(`no page built in ${dist}`)
  const html = readFileSync(join(dist, 'index.html'), 'utf8')
  const wanted = [...[...html.matchAll(/assets\/([^"]+\.js)"/g)].map(([, name]) => name as string), today]
  const loaded = new Map<string, number>()
  for (let name = wanted.pop(); name !== undefined; name = wanted.pop()) {
    if (loaded.has(name)) continue
    const code = readFileSync(join(assets, name))
    loaded.set(name, gzipSync(code).length)
    // Pages that are imported later stand in import(…), and are not loaded yet.
    for (const [, other] of code.toString().matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g))
      wanted.push(other as string)
  }
  const bytes = [...loaded.values()].reduce((sum, size) => sum + size, 0)
  return [
    { what: 'member’s first page, compressed JavaScript', value: bytes / 1000, unit: 'kB', budget: 160 },
  ]
}
