import { operationsSchema, type OperationAnswer } from '@young-oak/api/training'
import { isId } from '@young-oak/core/parsing'
import { dayOf, route, type Call, type Route } from '../../http/route.ts'
import { applyOperation, today } from './service.ts'

const me = ['member'] as const

/** A member's own screens. The member is always the one who is signed in: no route takes a member's id. */
export const trainingRoutes: Route[] = [
  route({
    method: 'get',
    path: '/me/today',
    who: me,
    run: (call) => call.inScope((scope) => today(scope, call.seat.id, dayOf(call), placeOf(call))),
  }),
  route({
    method: 'post',
    path: '/me/operations',
    who: me,
    body: operationsSchema,
    bringsExercises: true,
    async run(call) {
      const answers: OperationAnswer[] = []
      for (const operation of call.body.operations) {
        answers.push(await call.inScope((scope) => applyOperation(scope, call.seat.id, operation)))
      }
      return { answers }
    },
  }),
]

/** Where the next session will be trained, if that was said. */
function placeOf({ request }: Call): string | undefined {
  const { place } = request.query
  return typeof place === 'string' && isId(place) ? place : undefined
}
