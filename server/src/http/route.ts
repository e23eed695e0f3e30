import type { Request } from 'express'
import type { Schema } from 'yup'
import type { Database } from '../database/open.ts'
import type { Scope } from '../database/scope.ts'
import { isDay, type Day } from '@young-oak/core/units'
import type { Settings } from '../settings.ts'
import { Problem } from './problem.ts'

/** A seat: who an account is in a gym. */
export type Seat = {
  gym: string
  gymName: string
  kind: 'owner' | 'writer' | 'member'
  id: string
  name: string
}

/** What a route is handed. `inScope` opens a transaction of the caller's gym, once their seat has been checked in it. */
export type Call<B = unknown> = {
  seat: Seat
  params: Record<string, string>
  body: B
  inScope<T>(work: (scope: Scope) => Promise<T>): Promise<T>
  request: Request
  database: Database
  settings: Settings
}

/**
 * One route. `who` is enforced before `run` is called and there is no other way to mount one, so that every route says
 * whom it serves; the list is walked by a test.
 */
export type Route<B = unknown> = {
  method: 'get' | 'post' | 'delete'
  path: string
  who: 'anyone' | readonly Seat['kind'][]
  body?: Schema<B>
  /** Its body may name exercises that are none of the gym's: what `run` does sees to them one by one. */
  bringsExercises?: true
  run(call: Call<B>): Promise<unknown>
}

export const route = <B>(one: Route<B>): Route => one as unknown as Route

/** The phone's local date, never more than a day from the server's. */
export function dayOf({ request }: Pick<Call, 'request'>): Day {
  const day = request.query.today
  if (!isDay(day)) throw new Problem(422, 'No day', 'Say which day it is: ?today=2026-03-02.')
  return day
}
