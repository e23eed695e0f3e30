import { faultIn } from '@young-oak/api/contracts'
import { seatHeader } from '@young-oak/api/build'
import { anywhere } from '@young-oak/api/problems'
import { Router, type Request, type Response } from 'express'
import { ValidationError, type AnySchema } from 'yup'
import type { Database } from '../database/open.ts'
import type { Settings } from '../settings.ts'
import { ownIdsIn, type Library } from '@young-oak/core/library'
import { findSeat } from '../features/accounts/store.ts'
import { note } from '../features/audit/note.ts'
import { refuseStrangers, withLibrary } from '../features/exercises/library.ts'
import { memberScope } from '../features/members/memberScope.ts'
import { openLogbook, type Logbook } from '../features/training/logbook.ts'
import { buildOf } from './buildOf.ts'
import { libraryHeader, libraryMark } from './libraryMark.ts'
import { tooLong } from './measured.ts'
import { forbidden, notFound, otherSeat, pageTooOld, Problem, signInFirst } from './problem.ts'
import type { Call, Route } from './route.ts'

/**
 * Mounts routes with their guard: role, then query and body, then the work. What `run` returns is the answer. With `heldToContracts`
 * an answer or a problem that the contract does not know is a fault of the server.
 */
export function mount(routes: Route[], database: Database, settings: Settings): Router {
  const router = Router()
  const logbook = openLogbook(database)
  for (const one of routes) {
    const { method, path } = one.contract
    router[method](path, async (request, response) => {
      const work = async () => one.run(await callFor(one, request, response, { database, settings, logbook }))
      const answer = await (settings.heldToContracts ? held(one, request, response, work) : work())
      if (isTooOld(one, request)) throw pageTooOld()
      response.status(answer === undefined ? 204 : 200).json(answer)
    })
  }
  return router
}

/** Whether the page was built before the answer had its shape. */
const isTooOld = ({ contract: { since = 1 } }: Route, request: Request): boolean => buildOf(request) < since

async function held(
  { name, contract }: Route,
  { log }: Request,
  { locals }: Response,
  work: () => Promise<unknown>,
): Promise<unknown> {
  const broken = (fault: string) => {
    log.error({ route: name, fault }, 'breaks its contract')
    return new Error('a contract is broken')
  }
  const answer = await work().catch((error: unknown) => {
    const isKnown =
      !(error instanceof Problem) || anywhere.includes(error.code) || contract.problems.includes(error.code)
    throw isKnown ? error : broken(`it knows no problem "${error.code}"`)
  })
  const sent: unknown = answer === undefined ? undefined : JSON.parse(JSON.stringify(answer))
  const fault = contract.answer
    ? faultIn(contract.answer, sent, locals)
    : sent === undefined
      ? null
      : 'nothing'
  if (fault !== null) throw broken(fault)
  return answer
}

async function callFor(
  one: Route,
  request: Request,
  response: Response,
  { database, settings, logbook }: { database: Database; settings: Settings; logbook: Logbook },
): Promise<Call> {
  const { seat, account } = request.session
  const { who, query, body, bringsExercises, takesOlder } = one.contract
  if (!takesOlder && isTooOld(one, request)) throw pageTooOld()
  if (who !== 'anyone') {
    if (!seat || !account) throw signInFirst()
    const named = request.get(seatHeader)
    if (named !== undefined && named !== seat.id) throw otherSeat()
    if (!who.includes(seat.kind)) throw forbidden()
  }
  const params = request.params as Record<string, string>
  // No id is the name of what every object has.
  if (Object.values(params).some((id) => id in Object.prototype)) throw notFound('thing')
  const inScope: Call['inScope'] = (work) => {
    if (!seat || !account) throw signInFirst()
    return database.inGym(seat.gym, async (scope) => {
      const library = await findSeat(scope, account, seat)
      if (library === undefined) throw forbidden()
      response.set(libraryHeader, libraryMark(seat.gym, library))
      const own = await withLibrary(scope, library)
      response.locals.library = own.library
      if (!bringsExercises) refuseStrangers(own.library, request.body)
      return work(own)
    })
  }
  // A body that names exercises of the gym is checked beside them.
  const namesOwn = body && seat && !bringsExercises && ownIdsIn(request.body).size > 0
  const library = namesOwn ? await inScope(async (scope) => scope.library) : {}
  const said = {
    params,
    query: query ? readBy(query, { ...request.query }) : undefined,
    // No body at all lacks what an empty one lacks, and is told so.
    body: body ? readBy(body, request.body ?? {}, library) : undefined,
  }
  // What staff do is kept with what they did: with the first transaction, of several.
  let isNoted = false
  const inNoted: Call['inScope'] = (work) =>
    inScope(async (scope) => {
      const answer = await work(scope)
      if (isNoted) return answer
      isNoted = true
      const { params, query, body } = said
      await note(scope, {
        name: one.name,
        seat: seat as Call['seat'],
        params,
        query: { ...(query as object | undefined) },
        body,
        answer,
      })
      return answer
    })
  return {
    seat: seat as Call['seat'],
    ...said,
    inScope: inNoted,
    inMember: (work) =>
      inNoted(async (scope) => {
        const self = seat as Call['seat']
        return work(await memberScope(scope, self, params.id ?? self.id))
      }),
    logSets: async (sets) => {
      const { gym, id: member } = seat as Call['seat']
      const { said, library } = await logbook({ gym, member, account: account as string }, sets)
      response.set(libraryHeader, libraryMark(gym, library))
      return said
    },
    request,
    database,
    settings,
  }
}

function readBy(schema: AnySchema, value: unknown, library: Library = {}): unknown {
  const long = tooLong(schema, value)
  if (long) {
    const message = `At most ${long.most} are taken at once.`
    throw new Problem('notAsExpected', message, [{ path: long.path, message }])
  }
  try {
    return schema.validateSync(value, { abortEarly: false, strict: true, context: { library } })
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    const faults = (error.inner.length ? error.inner : [error]).slice(0, 100)
    const errors = faults.map(({ path, message }) => ({ path: path ?? '', message }))
    throw new Problem('notAsExpected', errors.map(({ message }) => message).join(' '), errors)
  }
}
