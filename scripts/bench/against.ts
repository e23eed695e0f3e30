// npm run bench -- --against COMMIT: the engine's figures of a commit and of the sources here, each built, in turns on the same machine.
import { spawnSync } from 'node:child_process'
import { mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { builtEngine, runEngine } from './builtEngine.ts'

const root = fileURLToPath(new URL('../..', import.meta.url))
const rounds = 3

/** Both engines' figures by name: the median over some rounds, taken in turns. */
export async function benchAgainst(commit: string, say: (line: string) => void): Promise<void> {
  const folder = join(root, '.data', `bench-${process.pid}`)
  try {
    const [before, after] = [
      await builtEngine(sourcesOf(commit, folder), folder, 'before'),
      await builtEngine(root, folder, 'after'),
    ]
    const [was, is] = [new Map<string, number[]>(), new Map<string, number[]>()]
    for (let round = 0; round < rounds; round++)
      for (const [file, into] of [
        [before, was],
        [after, is],
      ] as const)
        for (const { what, value } of runEngine(file)) into.set(what, [...(into.get(what) ?? []), value])
    say(`${'the engine, in milliseconds'.padEnd(78)}    before     after   ratio`)
    for (const [what, values] of is) {
      const [old, now] = [median(was.get(what) ?? []), median(values)]
      if (old !== undefined && now !== undefined)
        say(
          `${what.padEnd(78)} ${old.toFixed(3).padStart(9)} ${now.toFixed(3).padStart(9)}   ×${(now / old).toFixed(2)}`,
        )
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** The engine and its bench as they were at a commit. */
function sourcesOf(commit: string, folder: string): string {
  const sources = join(folder, 'sources')
  mkdirSync(sources, { recursive: true })
  const script = 'git archive "$1" core scripts/bench tsconfig.json | tar -x -C "$2"'
  const made = spawnSync('sh', ['-c', script, 'sh', commit, sources], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (made.status !== 0) throw new Error(`--against: expected a commit of this repository; got "${commit}".`)
  return sources
}

const median = (values: number[]): number | undefined =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]
