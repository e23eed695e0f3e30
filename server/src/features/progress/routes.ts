import { route, routes, type Route } from '../../http/route.ts'
import { giveToMany, takeBackFromMany } from './many.ts'
import { giveFact, progress, takeBack } from './service.ts'

/** How a member does, and what they or their writer say of them: check-ins, events, deloads, goals, trials, answers to advice. */
export const progressRoutes: Route[] = [
  ...routes(['get /me/progress', 'get /members/:id/progress'], ({ inMember, query }) =>
    inMember((scope) => progress(scope, query.today)),
  ),
  route('post /facts', ({ inScope, seat, body }) => inScope((scope) => giveToMany(scope, seat, body))),
  route('post /facts/taken-back', ({ inScope, seat, body: { today, ...entries } }) =>
    inScope((scope) => takeBackFromMany(scope, seat, entries, today)),
  ),
  ...routes(['post /me/facts', 'post /members/:id/facts'], ({ inMember, body }) =>
    inMember(async (scope) => {
      await giveFact(scope, body)
      return progress(scope, body.today)
    }),
  ),
  ...routes(['delete /me/facts/:fact', 'delete /members/:id/facts/:fact'], ({ inMember, params, query }) =>
    inMember(async (scope) => {
      await takeBack(scope, params.fact as string, query.today)
      return progress(scope, query.today)
    }),
  ),
]
