import { upgradeOperation } from '@young-oak/api/operations'
import type { OperationAnswer } from '@young-oak/api/training'
import { asProblem, withoutWords } from '../../http/asProblem.ts'
import { route, type Route } from '../../http/route.ts'
import { applyOperation, today } from './service.ts'

/** A member's own screens. The member is always the one who is signed in: no route takes a member's id. */
export const trainingRoutes: Route[] = [
  route('get /me/today', ({ inMember, query }) =>
    inMember((scope) => today(scope, query.today, query.location)),
  ),
  route('post /me/operations', async ({ inMember, body, request }) => {
    const answers: OperationAnswer[] = []
    for (const given of body.operations) {
      const operation = upgradeOperation(given, body.format ?? 1)
      answers.push(
        await inMember((scope) => applyOperation(scope, operation)).catch((error: unknown) => {
          const answer = refusal(operation, error)
          if (answer.isOurs) request.log.error(withoutWords(error as Error), 'an operation failed')
          return answer.said
        }),
      )
    }
    return { answers }
  }),
]

/**
 * An operation that throws is an answer to itself, and blocks none behind it. Where the database is away or busy nothing is said of any: the phone
 * sends them again.
 */
function refusal(operation: unknown, error: unknown): { said: OperationAnswer; isOurs: boolean } {
  const problem = asProblem(error)
  if (problem.status === 503 || problem.status === 401 || problem.status === 403) throw error
  const isOurs = problem.status === 500
  const reason = isOurs ? 'This could not be stored, which is our fault: tell your coach.' : problem.message
  return {
    said: { id: String((operation as { id?: unknown } | null)?.id), result: 'refused', reason },
    isOurs,
  }
}
