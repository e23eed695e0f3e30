// Each spec file has a club of its own: a copy of the demo's database and a server on it, so that files run side by side in any order.
import { spawn, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { createServer, type AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { test as plain } from '@playwright/test'
import { migrate } from '@young-oak/server/database/migrate'
import { connect } from '@young-oak/server/database/open'

export { expect, type Locator, type Page } from '@playwright/test'

const root = fileURLToPath(new URL('..', import.meta.url))
/** The database cluster as its superuser; it holds the filled database `demo` that is copied. */
const cluster = process.env.E2E_CLUSTER ?? ''

/** `said`: what the server has printed. */
type Club = { file: string; url: string; server: ChildProcess; said(): string; close(): Promise<void> }

type Clubs = { of(file: string): Promise<string> }

export const test = plain.extend<object, { clubs: Clubs }>({
  clubs: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads from it which fixtures are wanted
    async ({}, use) => {
      const opened: Club[] = []
      await use({
        async of(file) {
          const now = opened.at(-1)
          if (now?.file === file) return now.url
          await opened.pop()?.close()
          const next = await open(file)
          opened.push(next)
          return next.url
        },
      })
      await opened.pop()?.close()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ clubs }, use, { file }) => use(await clubs.of(file)),
})

type Opening = { processes?: number; isEmpty?: true }

/** A club of its own, served by so many processes; or nobody yet, on a database that was just migrated. */
export async function open(file: string, { processes = 1, isEmpty }: Opening = {}): Promise<Club> {
  const name = `e2e_${randomUUID().replaceAll('-', '')}`
  const urlFor = (user: string) =>
    Object.assign(new URL(cluster), { username: user, pathname: `/${name}` }).href
  const admin = connect(cluster)
  await admin.raw(`create database ${name}${isEmpty ? '' : ' template demo'}`)
  await admin.destroy()
  if (isEmpty) await migrate(urlFor(new URL(cluster).username))
  const port = await freePort()
  const server = spawn(process.execPath, ['server/dist/main.js', String(processes)], {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: urlFor('young_oak_app'),
      SESSION_SECRET: 'only for tests, where nothing is secret at all',
      PORT: String(port),
      // A spec that bundles something has it set for the whole of its process.
      NODE_ENV: 'test',
      ...(!isEmpty && { YOUNG_OAK_DEMO: 'yes' }),
      SIGN_IN_ATTEMPTS: '1000',
      HELD_TO_CONTRACTS: 'yes',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let printed = ''
  server.stdout.on('data', (piece: Buffer) => (printed += piece.toString()))
  const url = `http://127.0.0.1:${port}`
  await answering(url, server)
  return {
    file,
    url,
    server,
    said: () => printed,
    async close() {
      const gone = once(server, 'exit')
      server.kill('SIGTERM')
      await gone
      const again = connect(cluster)
      await again.raw(`drop database ${name} with (force)`)
      await again.destroy()
    },
  }
}

async function answering(url: string, server: ChildProcess): Promise<void> {
  while (server.exitCode === null) {
    const isUp = await fetch(`${url}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (isUp) return
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  throw new Error('the server did not start')
}

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1')
  await once(probe, 'listening')
  const { port } = probe.address() as AddressInfo
  await new Promise((resolve) => probe.close(resolve))
  return port
}
