// The next loads of members by the engine in a folder: members as JSON on the way in, loads as JSON on the way out.
import { readFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import type { planMember as Planner, PlanInput } from '@young-oak/core/plan'
import type { explain as Explain } from '@young-oak/core/explain'
import type { NextLoads } from './moves.ts'

const [, , source = ''] = process.argv
const load = <T>(path: string): Promise<T> => import(pathToFileURL(`${source}/${path}`).href) as Promise<T>
const { planMember } = await load<{ planMember: typeof Planner }>('plan/index.ts')
const { explain } = await load<{ explain: typeof Explain }>('explain/index.ts')

const inputs = JSON.parse(readFileSync(0, 'utf8')) as { member: string; input: PlanInput }[]
const all: NextLoads = {}
for (const { member, input } of inputs) {
  const own: NextLoads[string] = {}
  for (const [enrolment, { weeks }] of Object.entries(planMember(input).plans))
    for (const { places } of weeks)
      for (const { status, name, slots } of places)
        for (const { slot, exercise, sets } of status === 'next' || status === 'ahead' ? slots : [])
          sets.forEach(({ sets: count, load, help, why }, i) => {
            const at = `${enrolment.slice(0, 8)}, ${name}, ${slot} (${exercise}), line ${i + 1}`
            own[at] ??= {
              load: load ? `${count} × ${help ? '−' : ''}${load.value} ${load.unit}` : `${count} × no load`,
              why: why.map(explain),
            }
          })
  all[member] = own
}
process.stdout.write(JSON.stringify(all))
