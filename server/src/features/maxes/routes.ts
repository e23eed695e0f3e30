import { acceptEstimates, askForMaxes } from './lacking.ts'
import { route, routes, type Route } from '../../http/route.ts'
import { giveBodyWeight, giveMax, giveRows, maxes, maxTable } from './service.ts'

/** Maxes and body weight: a member's own, any of a writer's members', and all of these side by side. */
export const maxRoutes: Route[] = [
  ...routes(['get /me/maxes', 'get /members/:id/maxes'], ({ inMember, query }) =>
    inMember((scope) => maxes(scope, query.today)),
  ),
  ...routes(['post /me/maxes', 'post /members/:id/maxes'], ({ inMember, body }) =>
    inMember(async (scope) => {
      await giveMax(scope, body)
      return maxes(scope, body.today)
    }),
  ),
  ...routes(['post /me/body-weight', 'post /members/:id/body-weight'], ({ inMember, body }) =>
    inMember(async (scope) => {
      await giveBodyWeight(scope, body)
      return maxes(scope, body.today)
    }),
  ),
  route('get /maxes', ({ inScope, seat, query }) => inScope((scope) => maxTable(scope, seat, query))),
  route('post /maxes', ({ inScope, seat, body }) => inScope((scope) => giveRows(scope, seat, body))),
  route('post /maxes/estimates', ({ inScope, seat, body }) =>
    inScope((scope) => acceptEstimates(scope, seat, body)),
  ),
  route('post /maxes/letters', ({ inScope, seat, body }) =>
    inScope((scope) => askForMaxes(scope, seat, body)),
  ),
]
