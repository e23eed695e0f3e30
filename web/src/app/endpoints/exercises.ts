import type { OwnExercise, OwnId } from '@young-oak/core/library'
import { call, type Answer, type Body } from '../call.ts'
import { takeUp } from './takeUp.ts'
import type { Build } from './build.ts'

/** The gym's own exercises; every write answers with the library as it is then. */
export const exercisesEndpoints = (build: Build) => ({
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
})
