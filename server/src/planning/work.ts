// A worker thread that reads members of one gym and plans them. It keeps its connections and its engine for all of its tasks.
import { pathToFileURL } from 'node:url'
import { workerData } from 'node:worker_threads'
import * as ownWords from '@young-oak/core/explain'
import * as ownPlans from '@young-oak/core/plan'
import type { Checkpoint } from '@young-oak/core/plan'
import { openDatabase } from '../database/open.ts'
import { withLibrary } from '../features/exercises/library.ts'
import { libraryRevision } from '../features/exercises/store.ts'
import { scopesForJob, type MemberScope } from '../features/members/memberScope.ts'
import { findImpacts } from '../features/publications/findImpacts.ts'
import { readMemberFiles, type Read } from '../features/training/memberFile.ts'
import { inputOf } from '../features/training/planInput.ts'
import { keepCheckpoint } from '../features/training/store.ts'
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
    const plan = ({ file }: Read, checkpoint: Checkpoint | null) =>
      planMember(inputOf(scope, file, { today, through: 'near' }), checkpoint)
    const all: NextLoads = {}
    const said = why ? explain : undefined
    // Another engine has checkpoints of its own, so it is handed everything, and keeps none.
    const anew = new Set<string>()
    for (const read of await readMemberFiles(scopes, engine ? undefined : today)) {
      const planned = plan(read, engine ? null : read.checkpoint)
      all[read.member] = nextLoadsOf(planned, said)
      if (!engine && !planned.isResumed) anew.add(read.member)
    }
    const behind = new Map(scopes.filter(({ member }) => anew.has(member)).map((one) => [one.member, one]))
    for (const read of await readMemberFiles([...behind.values()])) {
      const planned = plan(read, null)
      all[read.member] = nextLoadsOf(planned, said)
      if (planned.checkpoint)
        await keepCheckpoint(behind.get(read.member) as MemberScope, planned.checkpoint, read)
    }
    return all
  })

/** Finds and keeps what a publication would do to some members. */
export const impacts = ({ gym, id, members }: Looked): Promise<void> =>
  findImpacts(database, gym, id, members)
