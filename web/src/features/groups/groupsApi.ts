import { api } from '../../app/api.ts'
import { call, type Answer, type Body } from '../../app/call.ts'

/** Groups of the gym, and which of the writer’s own members are in each today. */
export const groupsApi = api.injectEndpoints({
  endpoints: (build) => ({
    groups: build.query<Answer<'get /groups'>, void>({
      query: () => call('get /groups', {}),
      providesTags: ['People'],
    }),
    groupMembers: build.query<Answer<'get /groups/:id/members'>, string>({
      query: (id) => call('get /groups/:id/members', { params: { id } }),
      providesTags: ['People', 'Members'],
    }),
    makeGroup: build.mutation<Answer<'post /groups'>, Body<'post /groups'>>({
      query: (body) => call('post /groups', { body }),
      invalidatesTags: ['People'],
    }),
    saveGroup: build.mutation<Answer<'post /groups/:id'>, Body<'post /groups/:id'> & { id: string }>({
      query: ({ id, ...body }) => call('post /groups/:id', { params: { id }, body }),
      invalidatesTags: ['People'],
    }),
    deleteGroup: build.mutation<void, string>({
      query: (id) => call('delete /groups/:id', { params: { id } }),
      invalidatesTags: ['People'],
    }),
    putInGroup: build.mutation<
      Answer<'post /groups/:id/members'>,
      Body<'post /groups/:id/members'> & { id: string }
    >({
      query: ({ id, ...body }) => call('post /groups/:id/members', { params: { id }, body }),
      // Shown at once, and as the server has it once that has answered.
      onQueryStarted: async ({ id, members, isIn }, { dispatch, queryFulfilled }) => {
        const put = (change: (before: string[]) => string[]) =>
          dispatch(
            groupsApi.util.updateQueryData('groupMembers', id, (known) => {
              known.members = change(known.members)
            }),
          )
        const shown = put((before) => [
          ...before.filter((one) => !members.includes(one)),
          ...(isIn ? members : []),
        ])
        await queryFulfilled.then(({ data }) => put(() => data.members), shown.undo)
      },
    }),
  }),
})
