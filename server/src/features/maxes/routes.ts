import {
  bodyWeightSchema,
  maxRowsSchema,
  maxSchema,
  type GivenBodyWeight,
  type GivenMax,
} from '@young-oak/api/maxes'
import type { Schema } from 'yup'
import type { Scope } from '../../database/scope.ts'
import { dayOf, route, type Call, type Route } from '../../http/route.ts'
import { checkWriter, giveBodyWeight, giveMax, giveRows, maxes, maxTable } from './service.ts'

const writer = ['writer'] as const

type Work<B> = (scope: Scope, member: string, call: Call<B>) => Promise<unknown>

/** The same thing twice: of the member who is signed in, and of a member of the writer who is. */
function ownAndWriters<B>(method: Route['method'], what: string, work: Work<B>, body?: Schema<B>): Route[] {
  return [
    route<B>({
      method,
      path: `/me/${what}`,
      who: ['member'],
      body,
      run: (call) => call.inScope((scope) => work(scope, call.seat.id, call)),
    }),
    route<B>({
      method,
      path: `/members/:id/${what}`,
      who: writer,
      body,
      run: (call) =>
        call.inScope(async (scope) => {
          const member = call.params.id as string
          await checkWriter(scope, member, call.seat.id)
          return work(scope, member, call)
        }),
    }),
  ]
}

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
