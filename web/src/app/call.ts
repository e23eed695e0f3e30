import type { FetchArgs } from '@reduxjs/toolkit/query/react'
import type { AnswerOf, BodyOf, Contracts, Page, QueryOf, RouteName } from '@young-oak/api/contracts'

/** What a route answers. */
export type Answer<N extends RouteName> = AnswerOf<Contracts[N]>
/** What it is sent. */
export type Body<N extends RouteName> = BodyOf<Contracts[N]>

type NamesIn<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<Rest>
  : P extends `${string}:${infer Name}`
    ? Name
    : never
type Params<N extends RouteName> = NamesIn<Contracts[N]['path']>
type Query<N extends RouteName> = QueryOf<Contracts[N]>

/** What a call of a route says: the names in its address, its query, its body, as far as its contract has them. */
export type Said<N extends RouteName> = ([Params<N>] extends [never]
  ? { params?: undefined }
  : { params: Record<Params<N>, string> }) &
  (undefined extends Query<N> ? { query?: undefined } : { query: Query<N> }) &
  (undefined extends Body<N> ? { body?: undefined } : { body: Body<N> })

/** A call of one route, by its contract. */
export function call<N extends RouteName>(name: N, said: Said<N>): FetchArgs {
  const [method = '', path = ''] = name.split(' ')
  const {
    params = {},
    query,
    body,
  } = said as { params?: Record<string, string>; query?: object; body?: unknown }
  const url = path.replace(/:(\w+)/g, (_, one: string) => encodeURIComponent(params[one] ?? ''))
  return {
    url,
    method: method.toUpperCase(),
    ...(query && { params: query }),
    ...(body !== undefined && { body }),
  }
}

/** Routes that there are twice: for the member who is signed in, and for one of a writer's members. */
type Shared = {
  [N in RouteName]: N extends `${infer M} /me/${infer W}`
    ? `${M} /members/:id/${W}` extends RouteName
      ? N
      : never
    : never
}[RouteName]

/** A call for a member's own things, or for those of one of the writer's members. */
export function callFor<N extends Shared>(member: string | undefined, name: N, said: Said<N>): FetchArgs {
  if (member === undefined) return call(name, said)
  const writers = name.replace('/me/', '/members/:id/') as RouteName
  return call(writers, { ...said, params: { ...said.params, id: member } } as never)
}

type Paged = { [N in RouteName]: Answer<N> extends Page<unknown> ? N : never }[RouteName]
type Line<N extends Paged> = Answer<N> extends Page<infer T> ? T : never
type Ask = (args: FetchArgs) => unknown

/** A whole list, asked for page after page; `later` says more of the pages behind the first. */
export async function everyPage<N extends Paged, E>(
  name: N,
  query: Omit<NonNullable<Query<N>>, 'after'>,
  ask: Ask,
  params?: Record<string, string>,
  later?: Partial<NonNullable<Query<N>>>,
): Promise<{ data: Line<N>[] } | { error: E }> {
  const lines: Line<N>[] = []
  let after: string | null | undefined
  do {
    const said = {
      ...(params && { params }),
      query: { ...query, ...(after && { ...later, after }) },
    } as Said<N>
    const { data, error } = (await ask(call(name, said))) as { data?: Page<Line<N>>; error?: E }
    if (!data) return { error: error as E }
    lines.push(...data.items)
    after = data.next
  } while (after)
  return { data: lines }
}
