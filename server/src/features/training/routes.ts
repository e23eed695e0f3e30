import { ownIdsIn } from '@young-oak/core/library'
import { upgradeOperation } from '@young-oak/api/operations'
import type { OperationAnswer } from '@young-oak/api/training'
import { asProblem, withoutWords } from '../../http/asProblem.ts'
import { forbidden } from '../../http/problem.ts'
import { route, type CallOf, type Route } from '../../http/route.ts'
import type { SetSaid } from './logbook.ts'
import { applyOperation, readOperation, setToLog, type SetOperation } from './operations.ts'
import { refuse } from './refusals.ts'
import { changes, today } from './service.ts'

/** A member's own screens. The member is always the one who is signed in: no route takes a member's id. */
export const trainingRoutes: Route[] = [
  route('get /me/today', ({ inMember, query }) =>
    inMember((scope) => today(scope, query.today, query.location)),
  ),
  route('get /me/changes', ({ inMember, query }) =>
    inMember((scope) => changes(scope, query.since === undefined ? -1 : Number(query.since))),
  ),
  route('post /me/operations', async (call) => {
    const { body, inScope } = call
    const library = ownIdsIn(body.operations).size ? await inScope(async (scope) => scope.library) : {}
    const given = body.operations.map((one) =>
      readOperation(library, upgradeOperation(one, body.format ?? 1)),
    )
    // In their order; sets that follow each other are logged together.
    const answers: OperationAnswer[] = []
    while (answers.length < given.length) {
      const sets = leadingSets(given.slice(answers.length))
      if (sets.length) answers.push(...(await log(call, sets)))
      else answers.push(await apply(call, given[answers.length] as Exclude<Given, SetOperation>))
    }
    return { answers }
  }),
]

type CallOfPhone = CallOf<'post /me/operations'>
type Given = ReturnType<typeof readOperation>

const isSet = (given: Given): given is SetOperation => 'kind' in given && given.kind === 'set'

function leadingSets(given: Given[]): SetOperation[] {
  const end = given.findIndex((one) => !isSet(one))
  return given.slice(0, end < 0 ? given.length : end).filter(isSet)
}

async function log({ logSets, request }: CallOfPhone, sets: SetOperation[]): Promise<OperationAnswer[]> {
  const said = await logSets(sets.map(setToLog))
  const failed = said.find((one) => one.startsWith('failed'))
  if (failed) request.log.error({ said: failed }, 'a set failed')
  return sets.map((one, i) => answerTo(one, said[i] as SetSaid))
}

function answerTo(operation: SetOperation, said: SetSaid): OperationAnswer {
  const { id } = operation
  switch (said) {
    case 'stored':
    case 'already had':
      return { id, result: said }
    case 'conflict':
      return { id, result: said, kept: setToLog(operation).set.id }
    case 'noSession':
      return refuse(id, 'notStarted')
    case 'noSeat':
      throw forbidden()
    default:
      return refuse(id, 'ourFault')
  }
}

/** An operation that throws is an answer to itself, and blocks none behind it. */
async function apply(
  { inMember, request }: CallOfPhone,
  given: Exclude<Given, SetOperation>,
): Promise<OperationAnswer> {
  if ('reason' in given) return given
  try {
    return await inMember((scope) => applyOperation(scope, given))
  } catch (error) {
    const problem = asProblem(error)
    // Where the database is away or busy nothing is said of any: the phone sends them again.
    if (problem.status === 503 || problem.status === 401 || problem.status === 403) throw error
    if (problem.status !== 500)
      return {
        id: given.id,
        result: 'refused',
        code: 'notPossible',
        reason: problem.message,
        ...(problem.errors.length && { errors: problem.errors }),
      }
    request.log.error(withoutWords(error as Error), 'an operation failed')
    return refuse(given.id, 'ourFault')
  }
}
