// npm run moved -- --against COMMIT: plans every member of a database with the engine of a commit and with this one, and lists whose next
// loads move. Reads as the owner of the database; writes nothing to it.
import { spawnSync } from 'node:child_process'
import { mkdirSync, rmSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { connect } from '@young-oak/server/database/open'
import type { NextLoads } from '@young-oak/server/planning/nextLoads'
import { openPlanners } from '@young-oak/server/planning/planners'
import { readOwnerUrl } from '@young-oak/server/settings'
import { movesOf } from './moves.ts'

const root = fileURLToPath(new URL('../..', import.meta.url))
const print = (line: string): void => void process.stdout.write(`${line}\n`)

async function main(): Promise<void> {
  const text = { type: 'string' } as const
  const { against, today = localDay() } = parseArgs({ options: { against: text, today: text } }).values
  if (!against) throw new Error('usage: npm run moved -- --against COMMIT [--today YYYY-MM-DD]')
  const url = readOwnerUrl()
  const gyms = await readGyms(url)
  const folder = join(root, '.data', `engine-${process.pid}`)
  try {
    const [was, is] = [join(coreOf(against, folder), 'src'), join(root, 'core/src')]
    const before = await nextLoads(url, gyms, today, was)
    const after = await nextLoads(url, gyms, today, is)
    const moving = new Set(movesOf(before, after).map(({ member }) => member))
    // Only of these is it worked out in words how their loads come about.
    const some = gyms.map(({ id, members }) => ({ id, members: members.filter((one) => moving.has(one)) }))
    const moves = movesOf(
      await nextLoads(url, some, today, was, true),
      await nextLoads(url, some, today, is, true),
    )
    for (const { member, lines } of moves) {
      print(`member ${member}`)
      for (const line of lines) print(`  ${line}`)
    }
    print(`${moves.length} of ${Object.keys(after).length} members have next loads that move.`)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** The core of a commit, beside this one's packages. */
function coreOf(commit: string, folder: string): string {
  mkdirSync(folder, { recursive: true })
  const made = spawnSync(
    'sh',
    ['-c', 'git archive "$1" core package.json | tar -x -C "$2"', 'sh', commit, folder],
    {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  )
  if (made.status !== 0) throw new Error(`--against: expected a commit of this repository; got "${commit}".`)
  return join(folder, 'core')
}

type Gym = { id: string; members: string[] }

/** Threads of their own for each engine: nothing of one may reach the other. */
async function nextLoads(
  url: string,
  gyms: Gym[],
  today: string,
  engine: string,
  why = false,
): Promise<NextLoads> {
  const planners = openPlanners(url, Math.max(1, availableParallelism() - 1), engine)
  const isShown = process.stderr.isTTY
  try {
    const all: NextLoads = {}
    for (const { id, members } of gyms) {
      const onProgress = (done: number, of: number) =>
        void (isShown && process.stderr.write(`\r${done} of ${of} members `))
      Object.assign(all, await planners.nextLoads({ gym: id, members, today, why }, { onProgress }))
      if (isShown) process.stderr.write('\r\x1b[K')
    }
    return all
  } finally {
    await planners.close()
  }
}

async function readGyms(url: string): Promise<Gym[]> {
  const owner = connect(url)
  try {
    const gyms = await owner('gym as g')
      .leftJoin('member as m', 'm.gym_id', 'g.id')
      .groupBy('g.id')
      .select<{ id: string; members: string[] }[]>(
        'g.id',
        owner.raw(`coalesce(array_agg(m.id order by m.id) filter (where exists (
          select from enrolment e where e.gym_id = m.gym_id and e.member_id = m.id)), '{}') as members`),
      )
    if (gyms.length) return gyms
    throw new Error(
      'No gym can be seen: DATABASE_OWNER_URL must be a role that row-level security lets pass.',
    )
  } finally {
    await owner.destroy()
  }
}

function localDay(): string {
  const now = new Date()
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10)
}

main().catch((error: unknown) => {
  process.stderr.write(`${(error as Error).message}\n`)
  process.exitCode = 1
})
