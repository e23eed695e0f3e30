// Members read and planned by the thousand, in the threads that jobs use.
import { pathToFileURL } from 'node:url'
import type { openPlanners as Open } from '@young-oak/server/planning/planners'
import type { Figure } from './figure.ts'

/** Reads and plans a gym's members again and again, from the checkpoints that their screens have left, until they are ten thousand. */
export async function benchPlanners(
  built: string,
  url: string,
  gym: string,
  members: string[],
): Promise<Figure> {
  const value = await secondsFor(built, url, gym, members)
  return { what: 'reading and planning 10,000 members in two threads', value, budget: 8, unit: 's' }
}

/** The same members once they are few among very many, beside what they took before. */
export async function benchAmongMany(
  built: string,
  url: string,
  gym: string,
  members: string[],
  alone: Figure,
): Promise<Figure> {
  const value = (await secondsFor(built, url, gym, members)) / alone.value
  return { what: 'the same in a gym of 100,000, beside a gym of these alone', value, budget: 1.1, unit: '×' }
}

async function secondsFor(built: string, url: string, gym: string, members: string[]): Promise<number> {
  const { openPlanners } = (await import(pathToFileURL(built).href)) as { openPlanners: typeof Open }
  const today = new Date().toISOString().slice(0, 10)
  const planners = openPlanners(url, 2)
  const once = () => planners.nextLoads({ gym, members, today })
  try {
    await Promise.all([once(), once()])
    const rounds = Math.ceil(10_000 / members.length)
    const from = performance.now()
    for (let i = 0; i < rounds; i += 2) await Promise.all([once(), once()])
    return ((performance.now() - from) / (rounds * members.length)) * 10
  } finally {
    await planners.close()
  }
}
