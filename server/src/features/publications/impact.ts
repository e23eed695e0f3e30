import type { ImpactView, Publish } from '@young-oak/api/publications'
import type { Database } from '../../database/open.ts'
import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound, Problem } from '../../http/problem.ts'
import type { Seat } from '../../http/seat.ts'
import { addJob } from '../../jobs/addJob.ts'
import type { Planners } from '../../planning/planners.ts'
import { memberScopes } from '../members/memberScope.ts'
import { publishable } from '../templates/service.ts'
import { findTemplate } from '../templates/store.ts'
import { findImpacts } from './findImpacts.ts'
import { endLook, findLook, insertLook, lackingIn, lookAt, viewLook } from './impactStore.ts'
import { refuseOtherTracks, refuseStrays } from './service.ts'
import { gymToday } from './store.ts'

/** Begins a look at what publishing would do to members; one that was sent before is answered as it stands. */
export async function prepareLook(
  scope: Scope,
  template: string,
  seat: Seat,
  sent: Publish,
): Promise<ImpactView> {
  const { id, revision, members: named, note: _, ...asked } = sent
  const held = await findTemplate(scope, template)
  if (!held) throw notFound('template')
  if (held.revision !== revision)
    throw new Problem('draftMoved', 'The draft has changed since you looked. See what is new, then publish.')
  refuseOtherTracks(publishable(scope, held.draft), sent)
  refuseStrays(sent)
  const members = [...new Set(named)]
  if ((await memberScopes(scope, seat, { ids: members })).length !== members.length)
    throw new Problem('notAllowed', 'Some of these members are not assigned to you.')
  const today = await gymToday(scope)
  const look = lookAt(template, `${held.hash}`, asked, today)
  await insertLook(scope, id, { look, staff: seat.id, template, revision, asked, members, today })
  await addJob(scope, 'look', id)
  return viewOwnLook(scope, id, seat)
}

/** A look of the asker's own. */
export async function viewOwnLook(scope: Scope, id: string, seat: Seat): Promise<ImpactView> {
  const look = await findLook(scope, id)
  const view = await viewLook(scope, id)
  if (!look || !view) throw notFound('look')
  if (look.staff !== seat.id) throw forbidden()
  return view
}

/** So few members are looked at in this process; more of them in worker threads. */
export const few = 25

/** Looks at the members of whom nothing is known yet, in threads if there are any. Runs again, it goes on; it stops where somebody has stopped it. */
export async function runLook(
  database: Database,
  planners: (() => Planners) | null,
  gym: string,
  id: string,
): Promise<void> {
  const members = await database.inGym(gym, async (scope) => {
    const look = await findLook(scope, id)
    return look?.state === 'running' ? lackingIn(scope, id) : null
  })
  if (!members) return
  try {
    if (members.length <= few || !planners) await findImpacts(database, gym, id, members)
    else await lookInThreads(database, planners(), { gym, id, members })
  } catch (error) {
    // Whoever waits is told: they may look again.
    await database.inGym(gym, (scope) => endLook(scope, id, 'failed'))
    throw error
  }
  await database.inGym(gym, (scope) => endLook(scope, id, 'done'))
}

/** Asks after each piece whether somebody has stopped it. */
async function lookInThreads(
  database: Database,
  planners: Planners,
  looked: { gym: string; id: string; members: string[] },
): Promise<void> {
  const stop = new AbortController()
  const onProgress = () =>
    void database
      .inGym(looked.gym, (scope) => findLook(scope, looked.id))
      .then((look) => look?.state !== 'running' && stop.abort())
      .catch(() => undefined)
  await planners.impacts(looked, { onProgress, signal: stop.signal }).catch((error: unknown) => {
    if (!stop.signal.aborted) throw error
  })
}
