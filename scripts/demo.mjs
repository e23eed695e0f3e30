// npm run demo: from nothing to the running app with made-up data. Started again, it is up at once with the data kept.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build, isBuilt } from './build.mjs'
import { findPostgres, freePort, say, startCluster, usableFolder, wait } from './cluster.mjs'
import { installPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const isFresh = process.argv.includes('--fresh')
const wantedPort = Number(process.env.PORT || 4600)

let cluster
let server
let stateFile
let lockFile
let isStopping = false

async function main() {
  if (!Number.isInteger(wantedPort) || wantedPort < 1 || wantedPort > 65535)
    throw new Error(`PORT is "${process.env.PORT}": a whole number from 1 to 65535.`)
  holdLock()
  installPackages(root)
  findPostgres() // before the data folder: as root, the package brings the user that must reach it
  const folder = usableFolder(process.env.YOUNG_OAK_DATA ?? join(root, '.data/demo'))
  stateFile = join(folder, 'demo.json')
  await mindEarlierStart()
  if (isFresh) rmSync(join(folder, 'postgres'), { recursive: true, force: true })
  cluster = await startCluster(folder, { onRestart: () => say('PostgreSQL stopped: starting it again.') })
  if (!cluster.psql('postgres', "select 1 from pg_database where datname = 'young_oak'")) {
    cluster.psql('postgres', 'create database young_oak')
  }
  buildAll()
  const port = await freePort(wantedPort)
  if (port !== wantedPort) say(`Port ${wantedPort} is taken: using ${port}.`)
  const env = {
    ...process.env,
    NODE_ENV: 'development',
    DATABASE_URL: cluster.url('young_oak', 'young_oak_app'),
    DATABASE_OWNER_URL: cluster.url('young_oak'),
    SESSION_SECRET: 'only for the demo on this machine, where nothing is secret',
    PORT: String(port),
    YOUNG_OAK_DEMO: 'yes',
  }
  step('Filling in the demo data', ['--import', 'tsx', 'demo/src/fill.ts'], env)
  server = spawn('setpriv', ['--pdeathsig', 'TERM', process.execPath, 'server/dist/main.js'], {
    cwd: root,
    env,
    detached: true,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  server.once('exit', (code) => {
    if (!isStopping) void stop(`The server ended (${code}).`, 1)
  })
  writeFileSync(stateFile, JSON.stringify({ pid: process.pid, port }))
  await answering(port)
  releaseLock()
  await greet(port)
}

/**
 * One demo of this checkout starts at a time: a second one that is started while the first still installs or fills in its data
 * says so and ends. The lock is the process's own; one that is left behind by a process that is gone is taken over.
 */
function holdLock() {
  mkdirSync(join(root, '.cache'), { recursive: true })
  lockFile = join(root, '.cache/demo.lock')
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      writeFileSync(lockFile, String(process.pid), { flag: 'wx' })
      return
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
      const holder = Number(readFileSync(lockFile, 'utf8'))
      if (holder && isDemo(holder)) {
        lockFile = undefined
        throw new Error('Another one is starting in this folder: wait until it says its address.', {
          cause: error,
        })
      }
      rmSync(lockFile, { force: true })
    }
  }
  lockFile = undefined
  throw new Error('The lock of an earlier start cannot be taken over: start it again.')
}

function releaseLock() {
  if (lockFile) rmSync(lockFile, { force: true })
  lockFile = undefined
}

/** Another demo on this folder that still runs is left alone; what is left of one that is gone is cleared. */
async function mindEarlierStart() {
  if (!existsSync(stateFile)) return
  const { pid, port } = readState()
  if (isDemo(pid) && (await health(port))) {
    if (!isFresh) {
      say(`The demo is running already: http://127.0.0.1:${port}`)
      releaseLock()
      process.exit(0)
    }
    say('Stopping the demo that is running, to start over.')
    process.kill(pid, 'SIGTERM')
    for (let i = 0; i < 100 && isDemo(pid); i++) await wait(100)
  } else say('Removing a stale PID file of an earlier demo.')
  rmSync(stateFile, { force: true })
}

function readState() {
  try {
    return JSON.parse(readFileSync(stateFile, 'utf8'))
  } catch {
    return { pid: 0, port: 0 }
  }
}

function isDemo(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('demo.mjs')
  } catch {
    return false
  }
}

function buildAll() {
  if (isBuilt()) return
  process.stdout.write('Building the page and the server…\n')
  build()
}

function step(what, args, env) {
  const done = spawnSync(process.execPath, args, { cwd: root, env, stdio: ['ignore', 'inherit', 'inherit'] })
  if (done.status !== 0) throw new Error(`${what} failed: see above.`)
}

const health = (port) =>
  fetch(`http://127.0.0.1:${port}/api/health`).then(
    ({ ok }) => ok,
    () => false,
  )

async function answering(port) {
  for (let i = 0; i < 300 && !isStopping; i++) {
    if (await health(port)) return
    await wait(100)
  }
  if (!isStopping) throw new Error('The server does not answer.')
}

async function greet(port) {
  const { demo } = await (await fetch(`http://127.0.0.1:${port}/api/session`)).json()
  say(
    `\nYoung Oak is at http://127.0.0.1:${port}\n\nDemo accounts, all with the password ${demo[0].password}:`,
  )
  for (const { email, who } of demo) say(`  ${email.padEnd(20)} ${who}`)
  say('\nCtrl+C stops everything; the data stay. npm run demo -- --fresh starts over.')
}

async function stop(reason, code = 0) {
  if (isStopping) return
  isStopping = true
  if (reason) say(reason)
  if (server && server.exitCode === null && server.signalCode === null) {
    const gone = new Promise((resolve) => server.once('exit', resolve))
    server.kill('SIGTERM')
    await gone
  }
  await cluster?.stop()
  if (stateFile) rmSync(stateFile, { force: true })
  releaseLock()
  process.exit(code)
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop('\nStopped.'))
main().catch((error) => stop(`The demo did not start. ${error.message}`, 1))
