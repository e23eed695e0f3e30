import { call, type Answer, type Body } from '../call.ts'
import type { Build } from './build.ts'

/** Who is signed in, and in which seat. */
export const sessionEndpoints = (build: Build) => ({
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
})
