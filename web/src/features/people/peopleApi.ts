import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { MailLine } from '@young-oak/api/mail'
import type { FormerLine, InvitationLine } from '@young-oak/api/people'
import { api } from '../../app/api.ts'
import { call, everyPage, type Answer, type Body } from '../../app/call.ts'

/** How people come into a gym and leave it. Members’ phones never load this, but by the link of an invitation. */
export const peopleApi = api.injectEndpoints({
  endpoints: (build) => ({
    staff: build.query<Answer<'get /staff'>, void>({
      query: () => call('get /staff', {}),
      providesTags: ['People'],
    }),
    writeToo: build.mutation<Answer<'post /staff/writer'>, void>({
      query: () => call('post /staff/writer', {}),
      invalidatesTags: ['People', 'Session'],
    }),
    endSeat: build.mutation<Answer<'post /staff/:id/leave'>, { id: string; handTo?: string }>({
      query: ({ id, ...body }) => call('post /staff/:id/leave', { params: { id }, body }),
      invalidatesTags: ['People', 'Session', 'Members'],
    }),
    assign: build.mutation<void, Body<'post /assignments'>>({
      query: (body) => call('post /assignments', { body }),
      invalidatesTags: ['People', 'Members'],
    }),
    setMemberships: build.mutation<void, Body<'post /memberships'>>({
      query: (body) => call('post /memberships', { body }),
      invalidatesTags: ['People', 'Members'],
    }),
    formerMembers: build.query<FormerLine[], void>({
      queryFn: (_none, _api, _extra, base) =>
        everyPage<'get /former-members', FetchBaseQueryError>('get /former-members', {}, base),
      providesTags: ['People'],
    }),
    setErasures: build.mutation<void, Body<'post /erasures'>>({
      query: (body) => call('post /erasures', { body }),
      invalidatesTags: ['People'],
    }),
    mail: build.query<MailLine[], void>({
      queryFn: (_none, _api, _extra, base) =>
        everyPage<'get /mail', FetchBaseQueryError>('get /mail', {}, base),
      providesTags: ['People'],
    }),
    joinRequests: build.query<Answer<'get /join-requests'>, void>({
      query: () => call('get /join-requests', {}),
      providesTags: ['People'],
    }),
    answerRequest: build.mutation<void, Body<'post /join-requests/:id'> & { id: string }>({
      query: ({ id, ...body }) => call('post /join-requests/:id', { params: { id }, body }),
      invalidatesTags: ['People', 'Members'],
    }),
    invitations: build.query<InvitationLine[], void>({
      queryFn: (_none, _api, _extra, base) =>
        everyPage<'get /invitations', FetchBaseQueryError>('get /invitations', {}, base),
      providesTags: ['People'],
    }),
    invite: build.mutation<Answer<'post /invitations'>, Body<'post /invitations'>>({
      query: (body) => call('post /invitations', { body }),
      invalidatesTags: ['People'],
    }),
    renewLink: build.mutation<Answer<'post /invitations/:id/link'>, string>({
      query: (id) => call('post /invitations/:id/link', { params: { id } }),
      invalidatesTags: ['People'],
    }),
    withdraw: build.mutation<void, string>({
      query: (id) => call('delete /invitations/:id', { params: { id } }),
      invalidatesTags: ['People'],
    }),
    invited: build.query<Answer<'post /join'>, string>({
      query: (token) => call('post /join', { body: { token } }),
      // Who is signed in may be another by the next time.
      keepUnusedDataFor: 0,
    }),
    ask: build.mutation<void, Body<'post /join/ask'>>({
      query: (body) => call('post /join/ask', { body }),
    }),
    join: build.mutation<Answer<'post /join/accept'>, Body<'post /join/accept'>>({
      query: (body) => call('post /join/accept', { body }),
    }),
  }),
})
