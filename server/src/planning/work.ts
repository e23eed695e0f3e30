// A worker thread that reads members of one gym and plans them. It keeps its connections and its engine for all of its tasks.
import { pathToFileURL } from 'node:url'
import { workerData } from 'node:worker_threads'
import * as ownWords from '@young-oak/core/explain'
import * as ownPlans from '@young-oak/core/plan'
import { openDatabase } from '../database/open.ts'
import { withLibrary } from '../features/exercises/library.ts'
import { libraryRevision } from '../features/exercises/store.ts'
import { scopesForJob } from '../features/members/memberScope.ts'
import { findImpacts } from '../features/publications/findImpacts.ts'
import { readMemberFiles } from '../features/training/memberFile.ts'
import { planEach } from '../features/training/planEach.ts'
import { inputOf } from '../features/training/planInput.ts'
import { nextLoadsOf, type NextLoads } from './nextLoads.ts'
import type { Asked, Looked } from './planners.ts'

const { databaseUrl, engine } = workerData as { databaseUrl: string; engine?: string }
const database = openDatabase(databaseUrl)
const moduleOf = async <T>(own: T, name: string): Promise<T> =>
  engine ? ((await import(pathToFileURL(`${engine}/${name}/index.ts`).href)) as T) : own
const { planMember } = await moduleOf(ownPlans, 'plan')
const { explain } = await moduleOf(ownWords, 'explain')

export const nextLoads = ({ gym, members, today, why }: Asked): Promise<NextLoads> =>
  database.inGym(gym, async (bare) => {
    const scope = await withLibrary(bare, await libraryRevision(bare))
    const scopes = await scopesForJob(scope, members)
    const said = why ? explain : undefined
    const all: NextLoads = {}
    if (engine) {
      // Another engine has checkpoints of its own, so it is handed everything, and keeps none.
      for (const { member, file } of await readMemberFiles(scopes))
        all[member] = nextLoadsOf(planMember(inputOf(scope, file, { today, through: 'near' })), said)
      return all
    }
    const when = { today, through: 'next' } as const
    const planned = await planEach(scopes, today, ({ file, checkpoint }) => {
      const planned = planMember(inputOf(scope, file, when), checkpoint)
      return { found: nextLoadsOf(planned, said), planned, isWhole: planned.isResumed }
    })
    for (const { read, found } of planned) all[read.member] = found
    return all
  })

/** Finds and keeps what a publication would do to some members. */
export const impacts = ({ gym, id, members }: Looked): Promise<void> =>
  findImpacts(database, gym, id, members)
