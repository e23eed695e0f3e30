import { api } from '../../app/api.ts'
import { call, type Answer, type Body } from '../../app/call.ts'

/** The first gym, and what an owner says of the gym. */
export const gymApi = api.injectEndpoints({
  endpoints: (build) => ({
    isSetUpOpen: build.query<Answer<'get /set-up'>, void>({ query: () => call('get /set-up', {}) }),
    setUp: build.mutation<Answer<'post /set-up'>, Body<'post /set-up'>>({
      query: (body) => call('post /set-up', { body }),
    }),
    gym: build.query<Answer<'get /gym'>, void>({
      query: () => call('get /gym', {}),
      providesTags: ['Gym'],
    }),
    saveGym: build.mutation<Answer<'post /gym'>, Body<'post /gym'>>({
      query: (body) => call('post /gym', { body }),
      invalidatesTags: ['Gym', 'Session'],
    }),
    setJoinLink: build.mutation<Answer<'post /gym/join-link'>, Body<'post /gym/join-link'>>({
      query: (body) => call('post /gym/join-link', { body }),
      invalidatesTags: ['Gym'],
    }),
  }),
})
