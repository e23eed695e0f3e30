import type { AuditKind, AuditLine } from '@young-oak/api/audit'
import { api } from '../../app/api.ts'
import { call, type Answer } from '../../app/call.ts'

type Lines = Answer<'get /audit'>
type Wanted = { kind: AuditKind | ''; name: string; after: string | null }

/** Pages of a list that grows as its reader goes on. */
const growing = {
  merge: (known: Lines, more: Lines) => {
    known.items.push(...more.items)
    known.next = more.next
  },
}

/** Who of the staff saw and changed what. */
export const auditApi = api.injectEndpoints({
  endpoints: (build) => ({
    audit: build.query<Lines, Wanted>({
      query: ({ kind, name, after }) =>
        call('get /audit', {
          query: { ...(kind && { kind }), ...(name && { name }), ...(after && { after }) },
        }),
      serializeQueryArgs: ({ queryArgs: { kind, name } }) => ({ kind, name }),
      forceRefetch: ({ currentArg, previousArg }) => currentArg?.after !== previousArg?.after,
      keepUnusedDataFor: 0,
      ...growing,
    }),
    ownAudit: build.query<Lines, { after: string | null }>({
      query: ({ after }) => call('get /me/audit', { query: after ? { after } : {} }),
      serializeQueryArgs: () => 'own',
      forceRefetch: ({ currentArg, previousArg }) => currentArg?.after !== previousArg?.after,
      keepUnusedDataFor: 0,
      ...growing,
    }),
  }),
})
export type { AuditLine }
