import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { ImpactKind, ImpactLine, PublishedTo } from '@young-oak/api/publications'
import { api } from '../../app/api.ts'
import { call, everyPage, type Answer, type Body } from '../../app/call.ts'

/** Publishing, what it would do, and what was published. */
export const publicationsApi = api.enhanceEndpoints({ addTagTypes: ['Publications'] }).injectEndpoints({
  endpoints: (build) => ({
    publish: build.mutation<
      Answer<'post /templates/:id/publications'>,
      { template: string } & Body<'post /templates/:id/publications'>
    >({
      query: ({ template, ...body }) =>
        call('post /templates/:id/publications', { params: { id: template }, body }),
      invalidatesTags: ['Templates', 'Members', 'Publications'],
    }),
    publications: build.query<Answer<'get /templates/:id/publications'>, string>({
      query: (id) => call('get /templates/:id/publications', { params: { id } }),
      providesTags: ['Publications'],
    }),
    publication: build.query<Answer<'get /publications/:id'>, string>({
      query: (id) => call('get /publications/:id', { params: { id } }),
      providesTags: ['Publications'],
    }),
    reached: build.query<PublishedTo[], string>({
      queryFn: (id, _api, _extra, base) =>
        everyPage<'get /publications/:id/members', FetchBaseQueryError>(
          'get /publications/:id/members',
          {},
          base,
          { id },
        ),
      providesTags: ['Publications'],
    }),
    takeBackPublication: build.mutation<Answer<'post /publications/:id/withdrawal'>, string>({
      query: (id) => call('post /publications/:id/withdrawal', { params: { id } }),
      invalidatesTags: ['Templates', 'Members', 'Publications'],
    }),
    beginLook: build.mutation<
      Answer<'post /templates/:id/looks'>,
      { template: string } & Body<'post /templates/:id/looks'>
    >({
      query: ({ template, ...body }) => call('post /templates/:id/looks', { params: { id: template }, body }),
    }),
    look: build.query<Answer<'get /looks/:id'>, string>({
      query: (id) => call('get /looks/:id', { params: { id } }),
      keepUnusedDataFor: 0,
    }),
    looked: build.query<ImpactLine[], { id: string; kind: ImpactKind }>({
      queryFn: ({ id, kind }, _api, _extra, base) =>
        everyPage<'get /looks/:id/members', FetchBaseQueryError>('get /looks/:id/members', { kind }, base, {
          id,
        }),
      keepUnusedDataFor: 0,
    }),
    acceptEstimates: build.mutation<Answer<'post /maxes/estimates'>, Body<'post /maxes/estimates'>>({
      query: (body) => call('post /maxes/estimates', { body }),
      invalidatesTags: ['Training'],
    }),
    askForMaxes: build.mutation<Answer<'post /maxes/letters'>, Body<'post /maxes/letters'>>({
      query: (body) => call('post /maxes/letters', { body }),
    }),
    stopLook: build.mutation<void, string>({ query: (id) => call('delete /looks/:id', { params: { id } }) }),
  }),
})
