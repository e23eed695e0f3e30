// npm test: everything that is checked, from a fresh clone: types, lint, imports, Jest, and the real page in Chromium.
// The last line counts: N passed, N failed.
import { spawn, spawnSync } from 'node:child_process'
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { apt, findPostgres, say, startCluster } from './cluster.mjs'
import { installPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const bin = (name) => join(root, 'node_modules/.bin', name)
const reports = join(root, '.cache/reports')
const total = { passed: 0, failed: 0 }

async function main() {
  installPackages(root)
  installChromium()
  mkdirSync(reports, { recursive: true })
  check('types', bin('tsc'), ['-p', 'tsconfig.json'])
  check('types of the core alone', bin('tsc'), ['-p', 'core/tsconfig.json'])
  check('lint', bin('eslint'), ['--cache', '--cache-location', '.cache/eslint', '.'])
  check('format', bin('prettier'), [
    '--check',
    '--cache',
    '--cache-location',
    '.cache/prettier',
    '--log-level',
    'warn',
    '.',
  ])
  const rooms = ['core', 'api', 'server', 'web', 'demo', 'e2e', 'scripts']
  check('imports go one way', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...rooms])
  findPostgres()
  const folder = mkdtempSync(join(tmpdir(), 'young-oak-test-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder, { fast: true })
  try {
    jest(cluster)
    await playwright(cluster)
  } finally {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

function installChromium() {
  if (existsSync('/usr/bin/chromium')) return
  if (process.getuid?.() !== 0)
    throw new Error('Chromium is missing. Run: sudo apt-get install -y --no-install-recommends chromium')
  say('Installing Chromium from Debian’s packages …')
  apt('chromium')
}

function check(what, command, args) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit' })
  count(what, status === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 })
}

function jest(cluster) {
  const report = join(reports, 'jest.json')
  rmSync(report, { force: true })
  const env = {
    ...process.env,
    NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    TEST_DATABASE_URL: cluster.url('postgres'),
  }
  spawnSync(bin('jest'), ['--json', '--outputFile', report, '--silent'], {
    cwd: root,
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const result = read(report)
  // A suite that cannot even be loaded has no tests to fail: it counts as one.
  count(
    'Jest',
    result
      ? { passed: result.numPassedTests, failed: result.numFailedTests + result.numRuntimeErrorTestSuites }
      : { passed: 0, failed: 1 },
  )
}

/** The real page, driven in Chromium; each file of it with a copy of the demo's club and a server on it. */
async function playwright(cluster) {
  cluster.psql('postgres', 'create database demo')
  const env = { ...process.env, DATABASE_OWNER_URL: cluster.url('demo') }
  const steps = [['scripts/build.mjs'], ['--import', 'tsx', 'demo/src/fill.ts']]
  for (const args of steps) {
    if (spawnSync(process.execPath, args, { cwd: root, env, stdio: 'inherit' }).status !== 0)
      return count('the page', { passed: 0, failed: 1 })
  }
  const report = join(reports, 'e2e.json')
  rmSync(report, { force: true })
  await new Promise((resolve) => {
    const run = spawn(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts'], {
      cwd: root,
      env: { ...process.env, E2E_CLUSTER: cluster.url('postgres'), E2E_REPORT: report },
      stdio: ['ignore', 'inherit', 'inherit'],
    })
    run.once('exit', resolve)
  })
  const stats = read(report)?.stats
  count(
    'Chromium',
    stats ? { passed: stats.expected, failed: stats.unexpected + stats.flaky } : { passed: 0, failed: 1 },
  )
}

function read(report) {
  return existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : null
}

function count(what, { passed, failed }) {
  total.passed += passed
  total.failed += failed
  say(`${what}: ${passed} passed, ${failed} failed`)
}

main()
  .catch((error) => {
    total.failed += 1
    say(`The tests stopped: ${error.message}`)
  })
  .finally(() => {
    say(`${total.passed} passed, ${total.failed} failed`)
    process.exitCode = total.failed || !total.passed ? 1 : 0
  })
