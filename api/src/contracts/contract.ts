import { longPage } from '../members.ts'
import { object, string, type AnySchema, type InferType, type ISchema } from 'yup'
import type { ProblemCode } from '../problems.ts'
import { day } from '../fields.ts'
import { exact, list, orNull, text, type Reads } from './reads.ts'

export type Role = 'owner' | 'writer' | 'member'

/**
 * What the server and the page have agreed on for one route. `path` names what stands in the address with a colon; `problems` are those
 * that it may answer beside those of any route.
 */
export type Contract = {
  method: 'get' | 'post' | 'delete'
  path: string
  says: string
  who: 'anyone' | readonly Role[]
  query?: AnySchema
  body?: AnySchema
  /** Null where there is nothing to answer. */
  answer: AnySchema | null
  problems: readonly ProblemCode[]
  /** Its body may name exercises that are none of the gym's: what is done with it sees to them one by one. */
  bringsExercises?: true
  /** The build since which its answer has the shape that it has; an older page is told to load again. */
  since?: number
  /** What an older page sends is taken all the same, before it is told to load again: edits that wait are never lost. */
  takesOlder?: true
}

type Named<C extends Contract> = { [K in `${C['method']} ${C['path']}`]: C }

/** Declares a route; it is known by its method and path: "get /me/today". */
export const contract = <const C extends Contract>(one: C): Named<C> =>
  ({ [`${one.method} ${one.path}`]: one }) as Named<C>

/** The same thing twice: of the member who is signed in, and of a member of the writer who is. */
export function ownAndWriters<const W extends string, const C extends Omit<Contract, 'path' | 'who'>>(
  what: W,
  one: C,
): Named<C & { path: `/me/${W}`; who: readonly ['member'] }> &
  Named<C & { path: `/members/:id/${W}`; who: readonly ['writer'] }> {
  const own = { ...one, path: `/me/${what}`, who: ['member'] } as const
  const writers = { ...one, path: `/members/:id/${what}`, who: ['writer'] } as const
  return { ...contract(own), ...contract(writers) } as never
}

/** The day of whoever asks, where they are. */
export const onDay = object({ today: day().required('Say which day it is: ?today=2026-03-02.') }).noUnknown()

const pageKeys = { after: string().uuid().optional() }
export const paged = object(pageKeys).noUnknown()
export const pagedOnDay = onDay.shape(pageKeys).noUnknown()

/** With how many lines a page is to have, where it may have more than others. */
export const pagedLong = object({
  ...pageKeys,
  most: string()
    .matches(/^\d{1,4}$/)
    .test(
      'most',
      `at most ${longPage}`,
      (value) => value === undefined || (Number(value) >= 1 && Number(value) <= longPage),
    )
    .optional(),
}).noUnknown()

/** Some of a list, in order, and where the next begins; null at its end. */
export type Page<T> = { items: T[]; next: string | null }
/** How many lines a page has at most. */
export const pageSize = 100
export const pageOf = <T>(of: Reads<T>): Reads<Page<T>> =>
  exact<Page<T>>({ items: list(of), next: orNull(text()) })

type ReadBy<S> = S extends { readonly reads?: infer T } ? Exclude<T, undefined> : never

/** What a route answers, and what it is sent. */
export type AnswerOf<C extends Contract> = C['answer'] extends null ? void : ReadBy<C['answer']>
export type BodyOf<C extends Contract> = C['body'] extends ISchema<unknown> ? InferType<C['body']> : undefined
export type QueryOf<C extends Contract> =
  C['query'] extends ISchema<unknown> ? InferType<C['query']> : undefined
