import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import { operationFormat } from '@young-oak/api/operations'
import type { GivenFact } from '@young-oak/api/progress'
import type { MaxTableLine } from '@young-oak/api/maxes'
import { call, callFor, everyPage, type Answer, type Body } from '../call.ts'
import type { Build } from './build.ts'

/** A member's training: sessions, maxes, progress, and what is waiting to be sent. */
export const trainingEndpoints = (build: Build) => ({
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
  giveToMany: build.mutation<Answer<'post /facts'>, Body<'post /facts'>>({
    query: (body) => call('post /facts', { body }),
    invalidatesTags: ['Training', 'Members'],
  }),
  takeBackFromMany: build.mutation<void, Body<'post /facts/taken-back'>>({
    query: (body) => call('post /facts/taken-back', { body }),
    invalidatesTags: ['Training', 'Members'],
  }),
  takeBack: build.mutation<Answer<'delete /me/facts/:fact'>, { id: string; day: string; member?: string }>({
    query: ({ id, day, member }) =>
      callFor(member, 'delete /me/facts/:fact', { params: { fact: id }, query: { today: day } }),
    invalidatesTags: ['Training'],
  }),
  sendOperations: build.mutation<Answer<'post /me/operations'>, Body<'post /me/operations'>['operations']>({
    query: (operations) => call('post /me/operations', { body: { format: operationFormat, operations } }),
  }),
})
