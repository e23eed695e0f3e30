// npm run moved -- --against COMMIT: plans every member of a database with the engine of a commit and with this one, and lists whose next
// loads move. Reads as the owner of the database; writes nothing to it.
import { spawnSync } from 'node:child_process'
import { mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import type { PlanInput } from '@young-oak/core/plan'
import { connect, openDatabase } from '@young-oak/server/database/open'
import { listExercises } from '@young-oak/server/features/exercises/store'
import { memberScope } from '@young-oak/server/features/members/memberScope'
import { readMemberFile } from '@young-oak/server/features/training/memberFile'
import { inputOf } from '@young-oak/server/features/training/planInput'
import { readOwnerUrl } from '@young-oak/server/settings'
import { movesOf, type NextLoads } from './moves.ts'

const root = fileURLToPath(new URL('../..', import.meta.url))
const print = (line: string): void => void process.stdout.write(`${line}\n`)

async function main(): Promise<void> {
  const text = { type: 'string' } as const
  const { against, today = localDay() } = parseArgs({ options: { against: text, today: text } }).values
  if (!against) throw new Error('usage: npm run moved -- --against COMMIT [--today YYYY-MM-DD]')
  const inputs = await readInputs(readOwnerUrl(), today)
  const folder = join(root, '.data', `engine-${process.pid}`)
  try {
    const before = planWith(coreOf(against, folder), inputs)
    const after = planWith(join(root, 'core'), inputs)
    const moves = movesOf(before, after)
    for (const { member, lines } of moves) {
      print(`member ${member}`)
      for (const line of lines) print(`  ${line}`)
    }
    print(`${moves.length} of ${inputs.length} members have next loads that move.`)
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

type MemberInput = { member: string; input: PlanInput }

/** A process for each engine: nothing of one may reach the other. */
function planWith(core: string, inputs: MemberInput[]): NextLoads {
  const made = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(root, 'scripts/moved/nextLoads.ts'), join(core, 'src')],
    { cwd: root, input: JSON.stringify(inputs), maxBuffer: 2 ** 30, stdio: ['pipe', 'pipe', 'inherit'] },
  )
  if (made.status !== 0) throw new Error(`The engine in ${core} could not plan these members.`)
  return JSON.parse(made.stdout.toString()) as NextLoads
}

async function readInputs(url: string, today: string): Promise<MemberInput[]> {
  const owner = connect(url)
  const database = openDatabase(url)
  try {
    const gyms = (await owner('gym').select<{ id: string }[]>('id')).map(({ id }) => id)
    if (!gyms.length)
      throw new Error(
        'No gym can be seen: DATABASE_OWNER_URL must be a role that row-level security lets pass.',
      )
    const inputs: MemberInput[] = []
    for (const gym of gyms)
      await database.inGym(gym, async (bare) => {
        const scope = { ...bare, library: await listExercises(bare) }
        const members = await scope.db('member').where({ gym_id: gym }).select<{ id: string }[]>('id')
        for (const { id } of members) {
          const own = await memberScope(scope, { kind: 'member', id } as never, id)
          const { file } = await readMemberFile(own)
          if (file.enrolments.length)
            inputs.push({ member: id, input: inputOf(own, file, { today, through: 'near' }) })
        }
      })
    return inputs
  } finally {
    await Promise.all([owner.destroy(), database.close()])
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
