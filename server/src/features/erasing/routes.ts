import type { Scope } from '../../database/scope.ts'
import { route, type Route } from '../../http/route.ts'
import { addJob } from '../../jobs/addJob.ts'
import { needPassword } from '../accounts/needPassword.ts'
import { askErasure, erasureOf, stopErasure } from './store.ts'

/** Has members deleted, each by a job of the day on which it can no longer be stopped. */
async function ask(scope: Scope, ids: string[], former: boolean): Promise<void> {
  for (const { id, at } of await askErasure(scope, ids, former)) await addJob(scope, 'erase', id, at)
}

/** A member has what the gym knows of them deleted; the owner does so for whoever has left and cannot sign in any more. */
export const erasingRoutes: Route[] = [
  route('get /me/erasure', ({ inScope, seat }) =>
    inScope(async (scope) => ({ eraseOn: await erasureOf(scope, seat.id) })),
  ),
  route('post /me/erasure', async (call) => {
    await needPassword(call)
    return call.inScope(async (scope) => {
      await ask(scope, [call.seat.id], false)
      return { eraseOn: await erasureOf(scope, call.seat.id) }
    })
  }),
  route('delete /me/erasure', ({ inScope, seat }) =>
    inScope(async (scope) => {
      await stopErasure(scope, [seat.id])
      return { eraseOn: null }
    }),
  ),
  route('post /erasures', ({ inScope, body: { members, isAsked } }) =>
    inScope((scope) => (isAsked ? ask(scope, members, true) : stopErasure(scope, members))),
  ),
]
