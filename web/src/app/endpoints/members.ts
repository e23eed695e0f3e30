import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import { longPage, type MemberLine } from '@young-oak/api/members'
import { call, everyPage, type Answer } from '../call.ts'
import type { Build } from './build.ts'

/** Members, and what the workbench needs to know of one. */
export const membersEndpoints = (build: Build) => ({
  members: build.query<MemberLine[], void>({
    queryFn: (_none, _api, _extra, base) =>
      everyPage<'get /members', FetchBaseQueryError>('get /members', {}, base, undefined, {
        most: String(longPage),
      }),
    providesTags: ['Members'],
  }),
  /** What a long list opens with. */
  firstMembers: build.query<Answer<'get /members'>, void>({
    query: () => call('get /members', { query: {} }),
    providesTags: ['Members'],
  }),
  memberFile: build.query<Answer<'get /members/:id/file'>, string>({
    query: (id) => call('get /members/:id/file', { params: { id } }),
  }),
})
