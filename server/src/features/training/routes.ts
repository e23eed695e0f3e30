import { operationsSchema, type OperationAnswer } from '@young-oak/api/training'
import { dayOf, route, type Route } from '../../http/route.ts'
import { applyOperation, today } from './service.ts'

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
