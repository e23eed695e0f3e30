import { route, type Route } from '../../http/route.ts'
import { few as fewLooked, prepareLook, runLook, viewOwnLook } from './impact.ts'
import { endLook, listLooked } from './impactStore.ts'
import { fillPublication, preparePublication, takeBack, viewPublication } from './service.ts'
import { listPublications, listReached } from './store.ts'

/** So few members are filled in before the answer; of more the page sees how far it has come. */
const atOnce = 500

export const publicationRoutes: Route[] = [
  route('post /templates/:id/looks', async ({ inScope, params, seat, body, database }) => {
    const made = await inScope((scope) => prepareLook(scope, params.id as string, seat, body))
    if (made.state !== 'running' || made.members - made.looked > fewLooked) return made
    await runLook(database, null, seat.gym, made.id)
    return inScope((scope) => viewOwnLook(scope, made.id, seat))
  }),
  route('get /looks/:id', ({ inScope, params, seat }) =>
    inScope((scope) => viewOwnLook(scope, params.id as string, seat)),
  ),
  route('get /looks/:id/members', ({ inScope, params, seat, query }) =>
    inScope(async (scope) => {
      const { id } = await viewOwnLook(scope, params.id as string, seat)
      return listLooked(scope, id, query.kind, Number(query.after ?? 0))
    }),
  ),
  route('delete /looks/:id', ({ inScope, params, seat }) =>
    inScope(async (scope) => {
      const { id } = await viewOwnLook(scope, params.id as string, seat)
      await endLook(scope, id, 'cancelled')
    }),
  ),
  route('post /templates/:id/publications', async ({ inScope, params, seat, body, database }) => {
    const made = await inScope((scope) => preparePublication(scope, params.id as string, seat, body))
    if (made.state !== 'preparing' || made.members > atOnce) return made
    await fillPublication(database, seat.gym, made.id)
    return inScope((scope) => viewPublication(scope, made.id, seat))
  }),
  route('get /templates/:id/publications', ({ inScope, params, seat }) =>
    inScope((scope) => listPublications(scope, params.id as string, seat.id)),
  ),
  route('get /publications/:id', ({ inScope, params, seat }) =>
    inScope((scope) => viewPublication(scope, params.id as string, seat)),
  ),
  route('get /publications/:id/members', ({ inScope, params, query }) =>
    inScope((scope) => listReached(scope, params.id as string, query.after)),
  ),
  route('post /publications/:id/withdrawal', ({ inScope, params, seat }) =>
    inScope((scope) => takeBack(scope, params.id as string, seat)),
  ),
]
