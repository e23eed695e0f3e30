import { upgradeOperation } from '@young-oak/api/operations'
import type { OperationAnswer } from '@young-oak/api/training'
import { route, type Route } from '../../http/route.ts'
import { applyOperation, today } from './service.ts'

/** A member's own screens. The member is always the one who is signed in: no route takes a member's id. */
export const trainingRoutes: Route[] = [
  route('get /me/today', ({ inMember, query }) =>
    inMember((scope) => today(scope, query.today, query.location)),
  ),
  route('post /me/operations', async ({ inMember, body }) => {
    const answers: OperationAnswer[] = []
    for (const given of body.operations) {
      const operation = upgradeOperation(given, body.format ?? 1)
      answers.push(await inMember((scope) => applyOperation(scope, operation)))
    }
    return { answers }
  }),
]
