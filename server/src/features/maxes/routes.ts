import { bodyWeightSchema, maxRowsSchema, maxSchema } from '@young-oak/api/maxes'
import type { Scope } from '../../database/scope.ts'
import { dayOf, route, type Call, type Route } from '../../http/route.ts'
import { checkWriter, giveBodyWeight, giveMax, giveRows, maxes, maxTable } from './service.ts'

const me = ['member'] as const
const writer = ['writer'] as const

/** Work on a member's maxes as the writer assigned to them. */
const ofMember = <T>(call: Call, work: (scope: Scope, member: string) => Promise<T>): Promise<T> =>
  call.inScope(async (scope) => {
    const member = call.params.id as string
    await checkWriter(scope, member, call.seat.id)
    return work(scope, member)
  })

/** Maxes and body weight: a member's own, any of a writer's members', and all of these side by side. */
export const maxRoutes: Route[] = [
  route({
    method: 'get',
    path: '/me/maxes',
    who: me,
    run: (call) => call.inScope((scope) => maxes(scope, call.seat.id, dayOf(call))),
  }),
  route({
    method: 'post',
    path: '/me/maxes',
    who: me,
    body: maxSchema,
    run: (call) =>
      call.inScope(async (scope) => {
        await giveMax(scope, call.seat.id, call.body)
        return maxes(scope, call.seat.id, call.body.today)
      }),
  }),
  route({
    method: 'post',
    path: '/me/body-weight',
    who: me,
    body: bodyWeightSchema,
    run: (call) =>
      call.inScope(async (scope) => {
        await giveBodyWeight(scope, call.seat.id, call.body)
        return maxes(scope, call.seat.id, call.body.today)
      }),
  }),
  route({
    method: 'get',
    path: '/members/:id/maxes',
    who: writer,
    run: (call) => ofMember(call, (scope, member) => maxes(scope, member, dayOf(call))),
  }),
  route({
    method: 'post',
    path: '/members/:id/maxes',
    who: writer,
    body: maxSchema,
    run: (call) =>
      ofMember(call, async (scope, member) => {
        await giveMax(scope, member, call.body)
        return maxes(scope, member, call.body.today)
      }),
  }),
  route({
    method: 'post',
    path: '/members/:id/body-weight',
    who: writer,
    body: bodyWeightSchema,
    run: (call) =>
      ofMember(call, async (scope, member) => {
        await giveBodyWeight(scope, member, call.body)
        return maxes(scope, member, call.body.today)
      }),
  }),
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
