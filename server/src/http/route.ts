import {
  contracts,
  type AnswerOf,
  type BodyOf,
  type Contract,
  type Contracts,
  type QueryOf,
  type RouteName,
} from '@young-oak/api/contracts'
import type { Request } from 'express'
import type { Database } from '../database/open.ts'
import type { Scope } from '../database/scope.ts'
import type { SetSaid, SetToLog } from '../features/training/logbook.ts'
import type { MemberScope } from '../features/members/memberScope.ts'
import type { Settings } from '../settings.ts'
import type { Seat } from './seat.ts'

/**
 * What a route is handed. `inScope` opens a transaction of the caller's gym, once their seat has been checked in it; `inMember` one for
 * the member whose id stands in the address, or else for the one who is signed in.
 */
export type Call<Q = unknown, B = unknown> = {
  seat: Seat
  params: Record<string, string>
  query: Q
  body: B
  inScope<T>(work: (scope: Scope) => Promise<T>): Promise<T>
  inMember<T>(work: (scope: MemberScope) => Promise<T>): Promise<T>
  /** Logs sets of the member who is signed in, together with those of others that arrive at the same time. */
  logSets(sets: SetToLog[]): Promise<SetSaid[]>
  request: Request
  database: Database
  settings: Settings
}
export type CallOf<N extends RouteName> = Call<QueryOf<Contracts[N]>, BodyOf<Contracts[N]>>

/** A contract and what keeps it. There is no other way to mount a route, so that each says whom it serves; a test walks the list. */
export type Route = { name: RouteName; contract: Contract; run(call: Call): Promise<unknown> }

export const route = <N extends RouteName>(
  name: N,
  run: (call: CallOf<N>) => Promise<AnswerOf<Contracts[N]>>,
): Route => ({ name, contract: contracts[name], run: run as Route['run'] })

/** What a member's own route and a writer's route for one of their members have in common. */
export const routes = <N extends RouteName>(
  names: readonly N[],
  run: (call: CallOf<N>) => Promise<AnswerOf<Contracts[N]>>,
): Route[] => names.map((name) => ({ name, contract: contracts[name], run: run as Route['run'] }))
