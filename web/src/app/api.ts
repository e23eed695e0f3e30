import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import type { SessionView } from '@young-oak/api/accounts'
import { build, buildHeader, seatHeader } from '@young-oak/api/build'
import type { LibraryView } from '@young-oak/api/exercises'
import { openLibrary } from '../features/library/librarySlice.ts'
import { call } from './call.ts'
import { tags } from './endpoints/build.ts'
import { equipmentEndpoints } from './endpoints/equipment.ts'
import { exercisesEndpoints } from './endpoints/exercises.ts'
import { membersEndpoints } from './endpoints/members.ts'
import { sessionEndpoints } from './endpoints/session.ts'
import { templatesEndpoints } from './endpoints/templates.ts'
import { trainingEndpoints } from './endpoints/training.ts'

const ask = fetchBaseQuery({
  baseUrl: '/api',
  headers: { [buildHeader]: String(build) },
  timeout: 15_000,
  prepareHeaders(headers, { getState }) {
    const seat = seatOf(getState())
    if (seat !== undefined) headers.set(seatHeader, seat)
  },
})

/** The seat that this page shows. Who is signed in is asked without it. */
function seatOf(state: unknown): string | undefined {
  const { api } = state as { api: { queries: Record<string, { data?: unknown } | undefined> } }
  return (api.queries['session(undefined)']?.data as SessionView | undefined)?.seat?.id
}

/**
 * Answers name exercises of the gym by their ids alone, and say which library they were made with. Where this page has another one, it
 * is read before the answer is used.
 */
const withLibrary: typeof ask = async (args, store, extra) => {
  const answer = await ask(args, store, extra)
  const mark = answer.meta?.response?.headers.get('x-library')
  const { library } = store.getState() as { library: LibraryView }
  if (!mark || mark === library.mark) return answer
  const { data, error } = await ask(call('get /exercises', {}), store, extra)
  if (error) return { error, meta: answer.meta }
  openLibrary(store.dispatch, data as LibraryView)
  return answer
}

/** Everything that the server answers, by its contracts. Writes carry a header that no other site's page can add. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: withLibrary,
  tagTypes: tags,
  endpoints: (build) => ({
    ...sessionEndpoints(build),
    ...templatesEndpoints(build),
    ...exercisesEndpoints(build),
    ...membersEndpoints(build),
    ...trainingEndpoints(build),
    ...equipmentEndpoints(build),
  }),
})

/** A failed request in one plain sentence. */
export function sayError(error: unknown): string {
  const { status, data } = (error ?? {}) as { status?: unknown; data?: { detail?: string } }
  if (status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR')
    return 'The server cannot be reached. Nothing was lost: try again in a moment.'
  return data?.detail ?? 'Something went wrong. Try again.'
}

/** The faults that belong to single fields, by path. */
export function fieldErrors(error: unknown): Record<string, string> {
  const errors = (error as { data?: { errors?: { path: string; message: string }[] } })?.data?.errors ?? []
  return Object.fromEntries(errors.map(({ path, message }) => [path, message]))
}
