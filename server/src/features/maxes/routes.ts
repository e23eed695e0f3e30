import {
  bodyWeightSchema,
  maxRowsSchema,
  maxSchema,
  type GivenBodyWeight,
  type GivenMax,
} from '@young-oak/api/maxes'
import { dayOf, route, type Route } from '../../http/route.ts'
import { ownAndWriters } from '../members/ownAndWriters.ts'
import { giveBodyWeight, giveMax, giveRows, maxes, maxTable } from './service.ts'

const writer = ['writer'] as const

/** Maxes and body weight: a member's own, any of a writer's members', and all of these side by side. */
export const maxRoutes: Route[] = [
  ...ownAndWriters('get', 'maxes', (scope, member, call) => maxes(scope, member, dayOf(call))),
  ...ownAndWriters<GivenMax>(
    'post',
    'maxes',
    async (scope, member, { body }) => {
      await giveMax(scope, member, body)
      return maxes(scope, member, body.today)
    },
    maxSchema,
  ),
  ...ownAndWriters<GivenBodyWeight>(
    'post',
    'body-weight',
    async (scope, member, { body }) => {
      await giveBodyWeight(scope, member, body)
      return maxes(scope, member, body.today)
    },
    bodyWeightSchema,
  ),
  route({
    method: 'get',
    path: '/maxes',
    who: writer,
    run: (call) => call.inScope((scope) => maxTable(scope, call.seat.id, dayOf(call))),
  }),
  route({
    method: 'post',
    path: '/maxes',
    who: writer,
    body: maxRowsSchema,
    run: (call) => call.inScope((scope) => giveRows(scope, call.seat.id, call.body)),
  }),
]
