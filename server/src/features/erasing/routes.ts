import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import { route, type Route } from '../../http/route.ts'
import type { Seat } from '../../http/seat.ts'
import { addJob } from '../../jobs/addJob.ts'
import { needPassword } from '../accounts/needPassword.ts'
import { addressOf } from '../accounts/store.ts'
import { erasureMail } from '../mail/letters.ts'
import { write } from '../mail/service.ts'
import { askErasure, erasureOf, stopErasure, type Asker } from './store.ts'

/** Has members deleted, each by a job of the day on which it can no longer be stopped. */
async function ask(scope: Scope, ids: string[], by: Asker): Promise<void> {
  for (const { id, at } of await askErasure(scope, ids, by)) await addJob(scope, 'erase', id, at)
}

/** Tells a member what they have asked for: it may have been somebody else with their phone. */
async function tell(scope: Scope, { gymName, name }: Seat, account: string, day: Day): Promise<void> {
  const email = await addressOf(scope, account)
  if (email !== undefined) await write(scope, erasureMail({ name: gymName }, { account, name, email }, day))
}

/** A member has what the gym knows of them deleted; the owner does so for whoever has left and cannot sign in any more. */
export const erasingRoutes: Route[] = [
  route('get /me/erasure', ({ inScope, seat }) =>
    inScope(async (scope) => ({ eraseOn: await erasureOf(scope, seat.id) })),
  ),
  route('post /me/erasure', async (call) => {
    const account = await needPassword(call)
    return call.inScope(async (scope) => {
      await ask(scope, [call.seat.id], 'member')
      const eraseOn = await erasureOf(scope, call.seat.id)
      if (eraseOn !== null) await tell(scope, call.seat, account, eraseOn)
      return { eraseOn }
    })
  }),
  route('delete /me/erasure', ({ inScope, seat }) =>
    inScope(async (scope) => {
      await stopErasure(scope, [seat.id], 'member')
      return { eraseOn: null }
    }),
  ),
  route('post /erasures', ({ inScope, body: { members, isAsked } }) =>
    inScope((scope) => (isAsked ? ask(scope, members, 'owner') : stopErasure(scope, members, 'owner'))),
  ),
]
