import type { Dispatch } from '@reduxjs/toolkit'
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import type { SeatView, SessionView, SignIn } from '@young-oak/api/accounts'
import type { GivenEquipment, GivenSetting, OwnEquipment, PlaceView } from '@young-oak/api/equipment'
import type {
  GivenBodyWeight,
  GivenMax,
  GivenRows,
  MaxesView,
  MaxTable,
  RowsAnswer,
} from '@young-oak/api/maxes'
import type { GivenExercise, GivenMerge, LibraryView } from '@young-oak/api/exercises'
import type { MemberFile, MemberLine } from '@young-oak/api/members'
import type {
  ChangesView,
  Edits,
  EditsAnswer,
  Publish,
  PublishAnswer,
  TemplateLine,
  TemplateView,
} from '@young-oak/api/templates'
import type { GivenFact, ProgressView } from '@young-oak/api/progress'
import type { OwnExercise, OwnId } from '@young-oak/core/library'
import { openLibrary } from '../features/library/librarySlice.ts'
import type { Operation, OperationAnswer, TodayView } from '@young-oak/api/training'

const ask = fetchBaseQuery({ baseUrl: '/api', headers: { 'x-young-oak': '1' }, timeout: 15_000 })

/**
 * Answers name exercises of the gym by their ids alone, and say which library they were made with. Where this page has another one, it
 * is read before the answer is used.
 */
const withLibrary: typeof ask = async (args, store, extra) => {
  const answer = await ask(args, store, extra)
  const mark = answer.meta?.response?.headers.get('x-library')
  const { library } = store.getState() as { library: LibraryView }
  if (!mark || mark === library.mark) return answer
  const { data, error } = await ask('/exercises', store, extra)
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

/** Everything that the server answers. Writes carry a header that no other site's page can add. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: withLibrary,
  tagTypes: ['Session', 'Templates', 'Members', 'Training', 'Places'],
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => '/session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionView, SignIn>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
    }),
    chooseSeat: build.mutation<SessionView, Pick<SeatView, 'gym' | 'id'>>({
      query: (body) => ({ url: '/session/seat', method: 'POST', body }),
    }),
    signOut: build.mutation<void, void>({ query: () => ({ url: '/session', method: 'DELETE' }) }),

    templates: build.query<TemplateLine[], void>({ query: () => '/templates', providesTags: ['Templates'] }),
    template: build.query<TemplateView, string>({ query: (id) => `/templates/${id}`, keepUnusedDataFor: 0 }),
    changes: build.query<ChangesView, string>({
      query: (id) => `/templates/${id}/changes`,
      keepUnusedDataFor: 0,
    }),
    importTemplate: build.mutation<{ id: string }, object>({
      query: (template) => ({ url: '/templates', method: 'POST', body: { template } }),
      invalidatesTags: ['Templates'],
    }),
    saveEdits: build.mutation<EditsAnswer, { id: string } & Edits>({
      query: ({ id, ...body }) => ({ url: `/templates/${id}/edits`, method: 'POST', body }),
      invalidatesTags: (_answer, _error, { edits }) => (edits.length ? ['Templates'] : []),
    }),
    publish: build.mutation<PublishAnswer, Publish & { id: string }>({
      query: ({ id, ...body }) => ({ url: `/templates/${id}/versions`, method: 'POST', body }),
      invalidatesTags: ['Templates', 'Members'],
    }),

    addExercise: build.mutation<LibraryView, OwnExercise>({
      query: (exercise) => ({
        url: '/exercises',
        method: 'POST',
        body: { exercise } satisfies GivenExercise,
      }),
      onQueryStarted: takeUp,
    }),
    changeExercise: build.mutation<LibraryView, { id: OwnId; exercise: OwnExercise }>({
      query: ({ id, exercise }) => ({
        url: `/exercises/${id}`,
        method: 'POST',
        body: { exercise } satisfies GivenExercise,
      }),
      onQueryStarted: takeUp,
    }),
    mergeExercise: build.mutation<LibraryView, { id: OwnId } & GivenMerge>({
      query: ({ id, into }) => ({ url: `/exercises/${id}/merge`, method: 'POST', body: { into } }),
      onQueryStarted: takeUp,
      invalidatesTags: ['Templates', 'Members', 'Training'],
    }),

    members: build.query<MemberLine[], void>({ query: () => '/members', providesTags: ['Members'] }),
    memberFile: build.query<MemberFile, string>({ query: (id) => `/members/${id}/file` }),

    today: build.query<TodayView, { day: string; place?: string }>({
      query: ({ day, place }) => `/me/today?today=${day}${place ? `&place=${place}` : ''}`,
      providesTags: ['Training'],
    }),
    maxes: build.query<MaxesView, { day: string; member?: string }>({
      query: ({ day, member }) => `${whose(member)}/maxes?today=${day}`,
      providesTags: ['Training'],
    }),
    giveMax: build.mutation<MaxesView, { given: GivenMax; member?: string }>({
      query: ({ given, member }) => ({ url: `${whose(member)}/maxes`, method: 'POST', body: given }),
      invalidatesTags: ['Training'],
    }),
    giveBodyWeight: build.mutation<MaxesView, { given: GivenBodyWeight; member?: string }>({
      query: ({ given, member }) => ({ url: `${whose(member)}/body-weight`, method: 'POST', body: given }),
      invalidatesTags: ['Training'],
    }),
    maxTable: build.query<MaxTable, string>({
      query: (day) => `/maxes?today=${day}`,
      providesTags: ['Training'],
    }),
    giveRows: build.mutation<RowsAnswer, GivenRows>({
      query: (body) => ({ url: '/maxes', method: 'POST', body }),
    }),
    progress: build.query<ProgressView, { day: string; member?: string }>({
      query: ({ day, member }) => `${whose(member)}/progress?today=${day}`,
      providesTags: ['Training'],
    }),
    giveFact: build.mutation<ProgressView, { fact: object; day: string; member?: string }>({
      query: ({ fact, day, member }) => ({
        url: `${whose(member)}/facts`,
        method: 'POST',
        body: { fact, today: day } satisfies GivenFact,
      }),
      invalidatesTags: ['Training'],
    }),
    takeBack: build.mutation<ProgressView, { id: string; day: string; member?: string }>({
      query: ({ id, day, member }) => ({
        url: `${whose(member)}/facts/${id}?today=${day}`,
        method: 'DELETE',
      }),
      invalidatesTags: ['Training'],
    }),
    places: build.query<PlaceView[], string>({
      query: (day) => `/places?today=${day}`,
      providesTags: ['Places'],
    }),
    addPlace: build.mutation<PlaceView[], { name: string; day: string }>({
      query: ({ name, day }) => ({ url: `/places?today=${day}`, method: 'POST', body: { name } }),
      invalidatesTags: ['Places'],
    }),
    equipPlace: build.mutation<PlaceView[], GivenEquipment & { place: string }>({
      query: ({ place, ...body }) => ({ url: `/places/${place}/equipment`, method: 'POST', body }),
      invalidatesTags: ['Places'],
    }),
    ownEquipment: build.query<OwnEquipment, string>({
      query: (day) => `/me/equipment?today=${day}`,
      providesTags: ['Places'],
    }),
    equipOwn: build.mutation<OwnEquipment, GivenEquipment>({
      query: (body) => ({ url: '/me/equipment', method: 'POST', body }),
      invalidatesTags: ['Places', 'Training'],
    }),
    chooseSetting: build.mutation<OwnEquipment, GivenSetting>({
      query: (body) => ({ url: '/me/settings', method: 'POST', body }),
      invalidatesTags: ['Places', 'Training'],
    }),
    sendOperations: build.mutation<{ answers: OperationAnswer[] }, Operation[]>({
      query: (operations) => ({ url: '/me/operations', method: 'POST', body: { operations } }),
    }),
  }),
})

/** A member's own things, or those of one of the writer's members. */
const whose = (member?: string): string => (member === undefined ? '/me' : `/members/${member}`)

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
