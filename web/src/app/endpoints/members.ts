import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { MemberLine } from '@young-oak/api/members'
import { call, everyPage, type Answer } from '../call.ts'
import type { Build } from './build.ts'

/** Members, and what the workbench needs to know of one. */
export const membersEndpoints = (build: Build) => ({
  members: build.query<MemberLine[], void>({
    queryFn: (_none, _api, _extra, base) =>
      everyPage<'get /members', FetchBaseQueryError>('get /members', {}, base),
    providesTags: ['Members'],
  }),
  memberFile: build.query<Answer<'get /members/:id/file'>, string>({
    query: (id) => call('get /members/:id/file', { params: { id } }),
  }),
})
