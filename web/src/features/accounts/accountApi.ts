import { api } from '../../app/api.ts'
import { call, type Answer, type Body } from '../../app/call.ts'

/** What somebody does with their own account. */
export const accountApi = api.injectEndpoints({
  endpoints: (build) => ({
    changePassword: build.mutation<void, Body<'post /session/password'>>({
      query: (body) => call('post /session/password', { body }),
    }),
    changeAddress: build.mutation<Answer<'post /session/address'>, Body<'post /session/address'>>({
      query: (body) => call('post /session/address', { body }),
      invalidatesTags: ['Session'],
    }),
    ownData: build.mutation<Answer<'get /me/data'>, void>({ query: () => call('get /me/data', {}) }),
    leaveGym: build.mutation<void, Body<'post /me/leave'>>({
      query: (body) => call('post /me/leave', { body }),
    }),
    erasure: build.query<Answer<'get /me/erasure'>, void>({
      query: () => call('get /me/erasure', {}),
      providesTags: ['Session'],
    }),
    askErasure: build.mutation<Answer<'post /me/erasure'>, Body<'post /me/erasure'>>({
      query: (body) => call('post /me/erasure', { body }),
      invalidatesTags: ['Session'],
    }),
    stopErasure: build.mutation<Answer<'delete /me/erasure'>, void>({
      query: () => call('delete /me/erasure', {}),
      invalidatesTags: ['Session'],
    }),
    forgotten: build.mutation<void, Body<'post /forgotten'>>({
      query: (body) => call('post /forgotten', { body }),
    }),
    reset: build.mutation<void, Body<'post /reset'>>({ query: (body) => call('post /reset', { body }) }),
  }),
})
