import { Router, type Request } from 'express'
import { ValidationError } from 'yup'
import type { Database } from '../database/open.ts'
import type { Settings } from '../settings.ts'
import { findSeat } from '../features/accounts/store.ts'
import { forbidden, Problem, signInFirst } from './problem.ts'
import type { Call, Route } from './route.ts'

/** Mounts routes with their guard: role, then body, then the work. What `run` returns is the answer. */
export function mount(routes: Route[], database: Database, settings: Settings): Router {
  const router = Router()
  for (const one of routes) {
    router[one.method](one.path, async (request, response) => {
      const call = await callFor(one, request, database, settings)
      const answer = await one.run(call)
      response.status(answer === undefined ? 204 : 200).json(answer)
    })
  }
  return router
}

async function callFor(one: Route, request: Request, database: Database, settings: Settings): Promise<Call> {
  const { seat, account } = request.session
  if (one.who !== 'anyone') {
    if (!seat || !account) throw signInFirst()
    if (!one.who.includes(seat.kind)) throw forbidden()
  }
  return {
    seat: seat as Call['seat'],
    params: request.params as Record<string, string>,
    body: one.body ? readBody(one.body, request.body) : undefined,
    inScope: (work) => {
      if (!seat || !account) throw signInFirst()
      return database.inGym(seat.gym, async (scope) => {
        if (!(await findSeat(scope, account, seat))) throw forbidden()
        return work(scope)
      })
    },
    request,
    database,
    settings,
  }
}

function readBody(schema: NonNullable<Route['body']>, body: unknown): unknown {
  try {
    return schema.validateSync(body, { abortEarly: false, strict: true })
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
