// A PostgreSQL of our own on loopback: found or installed, its data in a folder of ours, never the system's cluster.
// Plain JavaScript on Node alone, since it runs before any package is installed.
import { spawn, spawnSync } from 'node:child_process'
import {
  accessSync,
  chmodSync,
  chownSync,
  constants,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'

const isRoot = process.getuid?.() === 0
const oldest = 15
export const say = (line) => process.stdout.write(`${line}\n`)

/** The folder of PostgreSQL's programs; installs Debian's package where it is missing and that is allowed. */
export function findPostgres() {
  const found = newestPostgres()
  if (found) return found
  if (!isRoot) {
    throw new Error(
      `PostgreSQL ${oldest} or later is missing. Run: sudo apt-get install -y --no-install-recommends postgresql`,
    )
  }
  say('Installing PostgreSQL from Debian’s packages …')
  // Without this the package would make and start a system cluster of its own.
  mkdirSync('/etc/postgresql-common', { recursive: true })
  const conf = '/etc/postgresql-common/createcluster.conf'
  if (!existsSync(conf)) writeFileSync(conf, 'create_main_cluster = false\n')
  apt('postgresql')
  const installed = newestPostgres()
  if (!installed) throw new Error(`apt-get installed no PostgreSQL ${oldest} or later on this machine.`)
  return installed
}

/** Installs Debian packages quietly; as root only. */
export function apt(...packages) {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const install = () =>
    spawnSync(
      'apt-get',
      ['install', '-y', '--no-install-recommends', '-o', 'Dpkg::Options::=--force-confold', ...packages],
      { env, encoding: 'utf8' },
    )
  let done = install()
  if (done.status !== 0) {
    spawnSync('apt-get', ['update'], { env })
    done = install()
  }
  if (done.status !== 0)
    throw new Error(
      `apt-get could not install ${packages.join(' ')}: ${(done.stderr || '').trim().split('\n').pop()}`,
    )
}

function newestPostgres() {
  const root = '/usr/lib/postgresql'
  if (!existsSync(root)) return null
  const versions = readdirSync(root).filter(
    (name) => Number(name) >= oldest && existsSync(join(root, name, 'bin/postgres')),
  )
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest ? join(root, newest, 'bin') : null
}

/** A folder that can hold the data: the wanted one, or, said in a line, one in the temp folder. */
export function usableFolder(wanted) {
  try {
    mkdirSync(wanted, { recursive: true })
    accessSync(wanted, constants.W_OK | constants.X_OK)
    if (isRoot && !canPostgresReach(wanted)) throw new Error('the postgres user cannot reach it')
    return wanted
  } catch (error) {
    const instead = join(tmpdir(), `young-oak-${process.getuid?.() ?? 'user'}`)
    mkdirSync(instead, { recursive: true, mode: 0o755 })
    say(
      `The data folder ${wanted} cannot be used (${error.code ?? error.message}): using ${instead} instead.`,
    )
    return instead
  }
}

function canPostgresReach(folder) {
  const user = postgresUser()
  return (
    spawnSync('setpriv', [
      `--reuid=${user.uid}`,
      `--regid=${user.gid}`,
      '--clear-groups',
      'test',
      '-x',
      dirname(folder),
    ]).status === 0
  )
}

function postgresUser() {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((entry) => entry.startsWith('postgres:'))
  if (!line)
    throw new Error('There is no user "postgres" on this machine: install PostgreSQL from Debian’s packages.')
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

/**
 * Starts a cluster in `folder`, making it where it is new, and keeps it running: when it dies it is started again, on the
 * same port. `fast` gives up durability, for tests. Returns its address, as its owner, and a way to stop it.
 */
export async function startCluster(folder, { fast = false, onRestart = () => {} } = {}) {
  const bin = findPostgres()
  const data = join(folder, 'postgres')
  const as = isRoot ? postgresUser() : {}
  if (!existsSync(join(data, 'PG_VERSION'))) initialise(bin, data, as, fast)
  clearStalePid(data)
  const sockets = mkdtempSync(join(tmpdir(), 'yo-'))
  if (isRoot) chownSync(sockets, as.uid, as.gid)
  const port = await freePort()
  let isStopping = false
  let child
  child = await launch()

  async function launch() {
    const settings = {
      port,
      listen_addresses: '127.0.0.1',
      unix_socket_directories: sockets,
      log_min_messages: 'fatal',
    }
    if (fast) Object.assign(settings, { fsync: 'off', synchronous_commit: 'off', full_page_writes: 'off' })
    const user = isRoot ? ['--reuid=postgres', '--regid=postgres', '--init-groups'] : []
    const options = Object.entries(settings).flatMap(([name, value]) => ['-c', `${name}=${value}`])
    const made = spawn(
      'setpriv',
      [...user, '--pdeathsig', 'INT', join(bin, 'postgres'), '-D', data, ...options],
      {
        cwd: folder,
        detached: true,
        stdio: ['ignore', 'ignore', 'pipe'],
      },
    )
    let said = ''
    made.stderr.on('data', (text) => (said = (said + text).slice(-2000)))
    made.once('exit', () => {
      if (!isStopping && made === child) void restart()
    })
    await ready(
      bin,
      sockets,
      port,
      () => made.exitCode !== null || made.signalCode !== null,
      () => said,
    )
    return made
  }

  async function restart() {
    onRestart()
    for (let attempt = 0; attempt < 20 && !isStopping; attempt++) {
      try {
        clearStalePid(data)
        child = await launch()
        return
      } catch {
        await wait(500)
      }
    }
    if (!isStopping) say('PostgreSQL does not come back: stop the demo and start it again.')
  }

  return {
    url: (database, user = 'postgres') => `postgres://${user}@127.0.0.1:${port}/${database}`,
    psql: (database, sql) =>
      run(join(bin, 'psql'), [
        '-h',
        '127.0.0.1',
        '-p',
        String(port),
        '-U',
        'postgres',
        '-d',
        database,
        '-tAc',
        sql,
      ]),
    pid: () => child.pid,
    async stop() {
      isStopping = true
      const gone = new Promise((resolve) =>
        child.exitCode !== null || child.signalCode !== null ? resolve() : child.once('exit', resolve),
      )
      child.kill('SIGINT')
      // Without room on the disk it cannot write its last lines, and would wait for ever.
      const late = setTimeout(() => child.kill('SIGQUIT'), 15_000)
      await gone
      clearTimeout(late)
      rmSync(sockets, { recursive: true, force: true })
    },
  }
}

function initialise(bin, data, as, fast) {
  const folder = dirname(data)
  if (isRoot) {
    mkdirSync(data, { recursive: true })
    chmodSync(data, 0o700)
    chownSync(data, as.uid, as.gid)
  }
  const args = [
    '-D',
    data,
    '-U',
    'postgres',
    '-A',
    'trust',
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
    ...(fast ? ['--no-sync'] : []),
  ]
  const made = spawnSync(join(bin, 'initdb'), args, { ...as, cwd: isRoot ? '/' : folder, encoding: 'utf8' })
  if (made.status !== 0)
    throw new Error(`PostgreSQL did not start. ${inALine(made.stderr || made.error?.message)}`)
}

/** What a program of PostgreSQL said, as one line with the fix where it is known. */
export function inALine(text = '') {
  if (/No space left on device/.test(text)) return 'The disk is full: make room, then start again.'
  const lines = text.trim().split('\n')
  return lines.find((line) => /FATAL|PANIC|error:/i.test(line)) ?? lines.at(-1) ?? ''
}

/** A PID file that is left of a PostgreSQL that is gone, or whose number another program has now, would stop the start. */
function clearStalePid(data) {
  const file = join(data, 'postmaster.pid')
  if (!existsSync(file)) return
  const pid = Number(readFileSync(file, 'utf8').split('\n')[0])
  const isOurs = commandOf(pid).includes(data)
  if (isOurs) {
    say('Stopping a PostgreSQL that an earlier start left behind.')
    process.kill(pid, 'SIGINT')
    for (let i = 0; i < 100 && commandOf(pid).includes(data); i++)
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 100)
  } else say('Removing a stale PID file of PostgreSQL.')
  rmSync(file, { force: true })
}

function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
  } catch {
    return ''
  }
}

async function ready(bin, sockets, port, isGone, said) {
  for (let i = 0; i < 600; i++) {
    if (isGone()) throw new Error(`PostgreSQL did not start. ${inALine(said())}`)
    if (spawnSync(join(bin, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(port)]).status === 0) return
    await wait(50)
  }
  throw new Error('PostgreSQL did not start within 30 s.')
}

function run(command, args) {
  const done = spawnSync(command, args, { encoding: 'utf8' })
  if (done.status !== 0) throw new Error(done.stderr.trim())
  return done.stdout.trim()
}

/** A port that is free now: the wanted one or the next ones, else any. */
export async function freePort(wanted) {
  for (let port = wanted; wanted && port < wanted + 50; port++) if (await isFree(port)) return port
  return new Promise((resolve, reject) => {
    const server = createServer().once('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })
}

const isFree = (port) =>
  new Promise((resolve) => {
    const server = createServer().once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
