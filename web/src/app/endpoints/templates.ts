import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { TemplateLine } from '@young-oak/api/templates'
import { call, everyPage, type Answer, type Body } from '../call.ts'
import type { Build } from './build.ts'

/** Templates, their drafts and their versions. */
export const templatesEndpoints = (build: Build) => ({
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
  shareTemplate: build.mutation<
    Answer<'post /templates/:id/sharing'>,
    { id: string } & Body<'post /templates/:id/sharing'>
  >({
    query: ({ id, ...body }) => call('post /templates/:id/sharing', { params: { id }, body }),
    invalidatesTags: ['Templates'],
  }),
  archiveTemplate: build.mutation<
    Answer<'post /templates/:id/archive'>,
    { id: string } & Body<'post /templates/:id/archive'>
  >({
    query: ({ id, ...body }) => call('post /templates/:id/archive', { params: { id }, body }),
    invalidatesTags: ['Templates'],
  }),
  deleteTemplate: build.mutation<void, string>({
    query: (id) => call('delete /templates/:id', { params: { id } }),
    invalidatesTags: ['Templates', 'Members'],
  }),
  saveEdits: build.mutation<
    Answer<'post /templates/:id/edits'>,
    { id: string } & Body<'post /templates/:id/edits'>
  >({
    query: ({ id, ...body }) => call('post /templates/:id/edits', { params: { id }, body }),
    invalidatesTags: (_answer, _error, { edits }) => (edits.length ? ['Templates'] : []),
  }),
})
