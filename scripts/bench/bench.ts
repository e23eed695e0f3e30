// npm run bench: every budget that can be measured today beside its figure. Never a test: machines differ. With --against COMMIT the engine of
// a commit beside the one here.
import { spawn, spawnSync } from 'node:child_process'
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { cpus, tmpdir, totalmem } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { demoAccounts } from '@young-oak/server/features/accounts/demoAccounts'
import { build } from '../build.mjs'
import { freePort, startCluster, wait } from '../cluster.mjs'
import { benchAgainst } from './against.ts'
import { benchEditing } from './editing.ts'
import { builtEngine, runEngine } from './builtEngine.ts'
import { sayFigure, type Figure } from './figure.ts'
import { addGyms } from './gyms.ts'
import { addCrowd, addMembers, addYears, benchList, benchYears } from './large.ts'
import { benchPageSize } from './pageSize.ts'
import { benchHttp } from './http.ts'
import { benchMembersPage } from './membersPage.ts'
import { benchPublishing } from './publishing.ts'
import { benchAmongMany, benchPlanners } from './planners.ts'

const root = fileURLToPath(new URL('../..', import.meta.url))
const print = (line: string): void => void process.stdout.write(`${line}\n`)

async function main(): Promise<void> {
  const { against } = parseArgs({ options: { against: { type: 'string' } } }).values
  const [cpu] = cpus()
  print(
    `${cpu?.model.trim()}, ${cpus().length} cores, ${(totalmem() / 2 ** 30).toFixed(0)} GiB, Node ${process.version}\n`,
  )
  if (against !== undefined) return benchAgainst(against, print)
  print('The engine as built, in one process')
  tell(await engineFigures())
  print('\nOver HTTP: one server process, PostgreSQL and the phones on the same cores')
  await overHttp()
}

const tell = (figures: Figure[]): void => figures.forEach((figure) => print(`  ${sayFigure(figure)}`))

async function engineFigures(): Promise<Figure[]> {
  const folder = join(root, '.data', `bench-${process.pid}`)
  mkdirSync(folder, { recursive: true })
  try {
    return runEngine(await builtEngine(root, folder, 'engine'))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** A cluster of our own with the demo's data, and a server as it is started in earnest. */
async function overHttp(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'young-oak-bench-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder)
  const port = await freePort()
  const base = `http://127.0.0.1:${port}`
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url('bench', 'young_oak_app'),
    DATABASE_OWNER_URL: cluster.url('bench'),
    SESSION_SECRET: 'only for the bench, where nothing is secret',
    PORT: String(port),
    SIGN_IN_ATTEMPTS: '1000',
  }
  const run = (...args: string[]) => spawnSync(process.execPath, args, { cwd: root, env, stdio: 'ignore' })
  try {
    cluster.psql('postgres', 'create database bench')
    build()
    print('  The page, as it is built')
    tell(benchPageSize(join(root, 'web/dist')))
    run('--import', 'tsx', 'demo/src/fill.ts')
    const server = spawn('npm', ['start'], { cwd: root, env, stdio: 'ignore', detached: true })
    try {
      for (let i = 0; i < 200 && !(await fetch(`${base}/api/health`).catch(() => null)); i++) await wait(100)
      const emails = addGyms(cluster.psql, 'bench', 20, 5)
      print(`  ${emails.length} members of 20 gyms`)
      tell(await benchHttp(base, emails, demoAccounts[0]?.password ?? ''))
      // The demo's own gym, not one of the twenty.
      const [gym = ''] = cluster
        .psql('bench', 'select gym_id from member group by gym_id order by count(*) desc limit 1')
        .split('\n')
      const members = cluster
        .psql('bench', `select id from member where gym_id = '${gym}'`)
        .split('\n')
        .filter(Boolean)
      const planners = join(root, 'server/dist/planners.js')
      const alone = await benchPlanners(planners, env.DATABASE_URL, gym, members)
      tell([alone])
      tell(await benchYears(planners, env.DATABASE_URL, gym, addYears(cluster.psql, 'bench', gym)))
      print('\nThe workbench in Chromium: 24 weeks × 6 days × 8 slots × 3 tracks')
      const writer = demoAccounts.find(({ email }) => email.startsWith('wren'))
      tell(await benchEditing(base, writer?.email ?? '', writer?.password ?? ''))
      print('\nA gym of ten thousand')
      addMembers(cluster.psql, 'bench', gym)
      const owner = demoAccounts.find(({ email }) => email.startsWith('perrin'))
      tell(await benchList(base, owner?.email ?? '', owner?.password ?? ''))
      tell(await benchMembersPage(base, owner?.email ?? '', owner?.password ?? ''))
      if (writer) tell(await benchPublishing(cluster.psql, base, gym, writer))
      print('\nA gym of a hundred thousand')
      addCrowd(cluster.psql, 'bench', gym, 90_000)
      tell([await benchAmongMany(planners, env.DATABASE_URL, gym, members, alone)])
    } finally {
      if (server.pid) process.kill(-server.pid, 'SIGTERM')
      await new Promise((resolve) => server.once('exit', resolve))
    }
  } finally {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

await main()
