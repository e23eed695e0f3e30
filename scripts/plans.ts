// npm run plans: records what the engine plans for every fixture. A release moves no load silently: where one moves, the
// engine's number must have been raised, and CHANGELOG.md must name the fixture.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { movedFixtures, recordPlans, type PlanRecord } from '../core/fixtures/record.ts'

const file = fileURLToPath(new URL('../core/fixtures/plans.json', import.meta.url))
const before = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as PlanRecord) : null
const after = recordPlans(before?.moved ?? { since: '0.0.0', fixtures: [] })
const moved = before ? movedFixtures(before, after) : []

if (before && moved.length && before.engine === after.engine) {
  process.stderr.write(
    `Loads moved in ${moved.join(', ')}, and the engine is still ${after.engine}.\n` +
      'Raise it in core/src/engine.ts, name these in CHANGELOG.md under the new number, and run this again.\n',
  )
  process.exit(1)
}
if (moved.length) after.moved = { since: after.engine, fixtures: moved }
writeFileSync(file, `${JSON.stringify(after, null, 1)}\n`)
process.stdout.write(moved.length ? `Recorded. Name in CHANGELOG.md: ${moved.join(', ')}\n` : 'Recorded.\n')
