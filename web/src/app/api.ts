import { operationFormat } from '@young-oak/api/operations'
import type { Dispatch } from '@reduxjs/toolkit'
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import { build, buildHeader } from '@young-oak/api/build'
import type { GivenFact } from '@young-oak/api/progress'
import type { LibraryView } from '@young-oak/api/exercises'
import type { MaxTableLine } from '@young-oak/api/maxes'
import type { MemberLine } from '@young-oak/api/members'
import type { TemplateLine } from '@young-oak/api/templates'
import type { OwnExercise, OwnId } from '@young-oak/core/library'
import { openLibrary } from '../features/library/librarySlice.ts'
import { call, callFor, everyPage, type Answer, type Body } from './call.ts'

const ask = fetchBaseQuery({ baseUrl: '/api', headers: { [buildHeader]: String(build) }, timeout: 15_000 })

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

/** A write whose answer is the library as it is then. */
const takeUp = async (
  _: unknown,
  { dispatch, queryFulfilled }: { dispatch: Dispatch; queryFulfilled: Promise<{ data: LibraryView }> },
): Promise<void> => {
  const answer = await queryFulfilled.catch(() => null)
  if (answer) openLibrary(dispatch, answer.data)
}

/** Everything that the server answers, by its contracts. Writes carry a header that no other site's page can add. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: withLibrary,
  tagTypes: ['Session', 'Templates', 'Members', 'Training', 'Locations'],
  endpoints: (build) => ({
    session: build.query<Answer<'get /session'>, void>({
      query: () => call('get /session', {}),
      providesTags: ['Session'],
    }),
    signIn: build.mutation<Answer<'post /session'>, Body<'post /session'>>({
      query: (body) => call('post /session', { body }),
    }),
    chooseSeat: build.mutation<Answer<'post /session/seat'>, Body<'post /session/seat'>>({
      query: (body) => call('post /session/seat', { body }),
    }),
    signOut: build.mutation<void, void>({ query: () => call('delete /session', {}) }),

    templates: build.query<TemplateLine[], void>({
      queryFn: (_none, _api, _extra, base) =>
        everyPage<'get /templates', FetchBaseQueryError>('get /templates', {}, base),
      providesTags: ['Templates'],
    }),
    template: build.query<Answer<'get /templates/:id'>, string>({
      query: (id) => call('get /templates/:id', { params: { id } }),
      keepUnusedDataFor: 0,
    }),
    changes: build.query<Answer<'get /templates/:id/changes'>, string>({
      query: (id) => call('get /templates/:id/changes', { params: { id } }),
      keepUnusedDataFor: 0,
    }),
    importTemplate: build.mutation<Answer<'post /templates'>, object>({
      query: (template) => call('post /templates', { body: { template } }),
      invalidatesTags: ['Templates'],
    }),
    saveEdits: build.mutation<
      Answer<'post /templates/:id/edits'>,
      { id: string } & Body<'post /templates/:id/edits'>
    >({
      query: ({ id, ...body }) => call('post /templates/:id/edits', { params: { id }, body }),
      invalidatesTags: (_answer, _error, { edits }) => (edits.length ? ['Templates'] : []),
    }),
    publish: build.mutation<
      Answer<'post /templates/:id/versions'>,
      { id: string } & Body<'post /templates/:id/versions'>
    >({
      query: ({ id, ...body }) => call('post /templates/:id/versions', { params: { id }, body }),
      invalidatesTags: ['Templates', 'Members'],
    }),

    addExercise: build.mutation<Answer<'post /exercises'>, OwnExercise>({
      query: (exercise) => call('post /exercises', { body: { exercise } }),
      onQueryStarted: takeUp,
    }),
    changeExercise: build.mutation<Answer<'post /exercises/:id'>, { id: OwnId; exercise: OwnExercise }>({
      query: ({ id, exercise }) => call('post /exercises/:id', { params: { id }, body: { exercise } }),
      onQueryStarted: takeUp,
    }),
    mergeExercise: build.mutation<
      Answer<'post /exercises/:id/merge'>,
      { id: OwnId } & Body<'post /exercises/:id/merge'>
    >({
      query: ({ id, into }) => call('post /exercises/:id/merge', { params: { id }, body: { into } }),
      onQueryStarted: takeUp,
      invalidatesTags: ['Templates', 'Members', 'Training'],
    }),

    members: build.query<MemberLine[], void>({
      queryFn: (_none, _api, _extra, base) =>
        everyPage<'get /members', FetchBaseQueryError>('get /members', {}, base),
      providesTags: ['Members'],
    }),
    memberFile: build.query<Answer<'get /members/:id/file'>, string>({
      query: (id) => call('get /members/:id/file', { params: { id } }),
    }),

    today: build.query<Answer<'get /me/today'>, { day: string; location?: string }>({
      query: ({ day, location }) =>
        call('get /me/today', { query: { today: day, ...(location && { location }) } }),
      providesTags: ['Training'],
    }),
    maxes: build.query<Answer<'get /me/maxes'>, { day: string; member?: string }>({
      query: ({ day, member }) => callFor(member, 'get /me/maxes', { query: { today: day } }),
      providesTags: ['Training'],
    }),
    giveMax: build.mutation<Answer<'post /me/maxes'>, { given: Body<'post /me/maxes'>; member?: string }>({
      query: ({ given, member }) => callFor(member, 'post /me/maxes', { body: given }),
      invalidatesTags: ['Training'],
    }),
    giveBodyWeight: build.mutation<
      Answer<'post /me/body-weight'>,
      { given: Body<'post /me/body-weight'>; member?: string }
    >({
      query: ({ given, member }) => callFor(member, 'post /me/body-weight', { body: given }),
      invalidatesTags: ['Training'],
    }),
    maxTable: build.query<MaxTableLine[], string>({
      queryFn: (today, _api, _extra, base) =>
        everyPage<'get /maxes', FetchBaseQueryError>('get /maxes', { today }, base),
      providesTags: ['Training'],
    }),
    giveRows: build.mutation<Answer<'post /maxes'>, Body<'post /maxes'>>({
      query: (body) => call('post /maxes', { body }),
    }),
    progress: build.query<Answer<'get /me/progress'>, { day: string; member?: string }>({
      query: ({ day, member }) => callFor(member, 'get /me/progress', { query: { today: day } }),
      providesTags: ['Training'],
    }),
    giveFact: build.mutation<
      Answer<'post /me/facts'>,
      { fact: GivenFact['fact']; day: string; member?: string }
    >({
      query: ({ fact, day, member }) => callFor(member, 'post /me/facts', { body: { fact, today: day } }),
      invalidatesTags: ['Training'],
    }),
    takeBack: build.mutation<Answer<'delete /me/facts/:fact'>, { id: string; day: string; member?: string }>({
      query: ({ id, day, member }) =>
        callFor(member, 'delete /me/facts/:fact', { params: { fact: id }, query: { today: day } }),
      invalidatesTags: ['Training'],
    }),
    locations: build.query<Answer<'get /locations'>, string>({
      query: (today) => call('get /locations', { query: { today } }),
      providesTags: ['Locations'],
    }),
    addLocation: build.mutation<Answer<'post /locations'>, { name: string; day: string }>({
      query: ({ name, day }) => call('post /locations', { query: { today: day }, body: { name } }),
      invalidatesTags: ['Locations'],
    }),
    equipLocation: build.mutation<
      Answer<'post /locations/:id/equipment'>,
      Body<'post /locations/:id/equipment'> & { location: string }
    >({
      query: ({ location, ...body }) =>
        call('post /locations/:id/equipment', { params: { id: location }, body }),
      invalidatesTags: ['Locations'],
    }),
    ownEquipment: build.query<Answer<'get /me/equipment'>, string>({
      query: (today) => call('get /me/equipment', { query: { today } }),
      providesTags: ['Locations'],
    }),
    equipOwn: build.mutation<Answer<'post /me/equipment'>, Body<'post /me/equipment'>>({
      query: (body) => call('post /me/equipment', { body }),
      invalidatesTags: ['Locations', 'Training'],
    }),
    chooseSetting: build.mutation<Answer<'post /me/settings'>, Body<'post /me/settings'>>({
      query: (body) => call('post /me/settings', { body }),
      invalidatesTags: ['Locations', 'Training'],
    }),
    sendOperations: build.mutation<Answer<'post /me/operations'>, Body<'post /me/operations'>['operations']>({
      query: (operations) => call('post /me/operations', { body: { format: operationFormat, operations } }),
    }),
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
