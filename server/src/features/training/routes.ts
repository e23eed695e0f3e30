import { maxSchema, operationsSchema, type OperationAnswer } from '@young-oak/api/training'
import { isDay, type Day } from '@young-oak/core/units'
import { Problem } from '../../http/problem.ts'
import { route, type Call, type Route } from '../../http/route.ts'
import { applyOperation, giveMax, maxes, today } from './service.ts'

const me = ['member'] as const

/** A member's own screens. The member is always the one who is signed in: no route takes a member's id. */
export const trainingRoutes: Route[] = [
  route({
    method: 'get',
    path: '/me/today',
    who: me,
    run: (call) => call.inScope((scope) => today(scope, call.seat.id, dayOf(call))),
  }),
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
    path: '/me/operations',
    who: me,
    body: operationsSchema,
    async run(call) {
      const answers: OperationAnswer[] = []
      for (const operation of call.body.operations) {
        answers.push(await call.inScope((scope) => applyOperation(scope, call.seat.id, operation)))
      }
      return { answers }
    },
  }),
]

/** The phone's local date, never more than a day from the server's. */
function dayOf({ request }: Call): Day {
  const day = request.query.today
  if (!isDay(day)) throw new Problem(422, 'No day', 'Say which day it is: ?today=2026-03-02.')
  return day
}
