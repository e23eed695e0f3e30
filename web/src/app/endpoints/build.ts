import type {
  BaseQueryFn,
  EndpointBuilder,
  FetchArgs,
  FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react'
import type { FetchBaseQueryMeta } from '@reduxjs/toolkit/query'

export const tags = ['Session', 'Templates', 'Members', 'Training', 'Locations', 'People', 'Gym'] as const

type BaseQuery = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta>

/** What endpoints are declared with. */
export type Build = EndpointBuilder<BaseQuery, (typeof tags)[number], 'api'>
