import { givenFactSchema, type GivenFact } from '@young-oak/api/progress'
import { dayOf, type Route } from '../../http/route.ts'
import { ownAndWriters } from '../members/ownAndWriters.ts'
import { giveFact, progress, takeBack } from './service.ts'

/** How a member does, and what they or their writer say of them: check-ins, events, light spells, goals, trials, answers to advice. */
export const progressRoutes: Route[] = [
  ...ownAndWriters('get', 'progress', (scope, member, call) => progress(scope, member, dayOf(call))),
  ...ownAndWriters<GivenFact>(
    'post',
    'facts',
    async (scope, member, { body }) => {
      await giveFact(scope, member, body)
      return progress(scope, member, body.today)
    },
    givenFactSchema,
  ),
  ...ownAndWriters('delete', 'facts/:fact', async (scope, member, call) => {
    await takeBack(scope, member, call.params.fact as string)
    return progress(scope, member, dayOf(call))
  }),
]
