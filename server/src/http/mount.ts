import { Router, type Request, type Response } from 'express'
import { ValidationError } from 'yup'
import type { Database } from '../database/open.ts'
import type { Settings } from '../settings.ts'
import { ownIdsIn, type Library } from '@young-oak/core/library'
import { findSeat } from '../features/accounts/store.ts'
import { refuseStrangers, withLibrary } from '../features/exercises/library.ts'
import { libraryHeader, libraryMark } from './libraryMark.ts'
import { forbidden, Problem, signInFirst } from './problem.ts'
import type { Call, Route } from './route.ts'

/** Mounts routes with their guard: role, then body, then the work. What `run` returns is the answer. */
export function mount(routes: Route[], database: Database, settings: Settings): Router {
  const router = Router()
  for (const one of routes) {
    router[one.method](one.path, async (request, response) => {
      const call = await callFor(one, request, response, database, settings)
      const answer = await one.run(call)
      response.status(answer === undefined ? 204 : 200).json(answer)
    })
  }
  return router
}

async function callFor(
  one: Route,
  request: Request,
  response: Response,
  database: Database,
  settings: Settings,
): Promise<Call> {
  const { seat, account } = request.session
  if (one.who !== 'anyone') {
    if (!seat || !account) throw signInFirst()
    if (!one.who.includes(seat.kind)) throw forbidden()
  }
  const inScope: Call['inScope'] = (work) => {
    if (!seat || !account) throw signInFirst()
    return database.inGym(seat.gym, async (scope) => {
      const library = await findSeat(scope, account, seat)
      if (library === undefined) throw forbidden()
      response.set(libraryHeader, libraryMark(seat.gym, library))
      const own = await withLibrary(scope, library)
      if (!one.bringsExercises) refuseStrangers(own, request.body)
      return work(own)
    })
  }
  // A body that names exercises of the gym is checked beside them.
  const namesOwn = one.body && seat && !one.bringsExercises && ownIdsIn(request.body).size > 0
  const library = namesOwn ? await inScope(async (scope) => scope.library) : {}
  return {
    seat: seat as Call['seat'],
    params: request.params as Record<string, string>,
    body: one.body ? readBody(one.body, request.body, library) : undefined,
    inScope,
    request,
    database,
    settings,
  }
}

function readBody(schema: NonNullable<Route['body']>, body: unknown, library: Library): unknown {
  try {
    return schema.validateSync(body, { abortEarly: false, strict: true, context: { library } })
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    const faults = (error.inner.length ? error.inner : [error]).slice(0, 100)
    const errors = faults.map(({ path, message }) => ({ path: path ?? '', message }))
    throw new Problem(
      422,
      'Something is not as expected',
      errors.map(({ message }) => message).join(' '),
      errors,
    )
  }
}
