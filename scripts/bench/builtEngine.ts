// The engine and its bench in one file of JavaScript, as the server runs them.
import { spawnSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import type { Figure } from './figure.ts'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** One file with an engine and its bench, which prints its figures as JSON. */
export async function builtEngine(sources: string, folder: string, name: string): Promise<string> {
  const entry = join(folder, `${name}.ts`)
  const bench = JSON.stringify(join(sources, 'scripts/bench/engine.ts'))
  writeFileSync(
    entry,
    `import { benchEngine } from ${bench}\nprocess.stdout.write(JSON.stringify(benchEngine()))\n`,
  )
  await build({
    configFile: false,
    root,
    logLevel: 'error',
    resolve: {
      alias: [{ find: /^@young-oak\/core\/(.*)$/, replacement: join(sources, 'core/src/$1/index.ts') }],
    },
    build: {
      ssr: true,
      target: 'node20',
      outDir: join(folder, name),
      rollupOptions: { input: { engine: entry }, output: { entryFileNames: '[name].mjs' } },
    },
  })
  return join(folder, name, 'engine.mjs')
}

/** The figures of an engine that was built, with as much room for new objects as `npm start` gives. */
export function runEngine(file: string): Figure[] {
  const { status, stdout } = spawnSync(process.execPath, ['--max-semi-space-size=64', file], {
    cwd: root,
    maxBuffer: 2 ** 26,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  if (status !== 0) throw new Error(`The bench in ${file} failed.`)
  return JSON.parse(stdout.toString()) as Figure[]
}
