import { givenExerciseSchema, mergeSchema } from '@young-oak/api/exercises'
import { route, type Route } from '../../http/route.ts'
import { addExercise, changeExercise, mergeExercise, viewLibrary } from './service.ts'

const staff = ['owner', 'writer'] as const

/** The gym's own exercises: everybody reads them, staff add, change and merge them. */
export const exerciseRoutes: Route[] = [
  route({
    method: 'get',
    path: '/exercises',
    who: [...staff, 'member'],
    run: (call) => call.inScope(viewLibrary),
  }),
  route({
    method: 'post',
    path: '/exercises',
    who: staff,
    body: givenExerciseSchema,
    run: (call) => call.inScope((scope) => addExercise(scope, call.body)),
  }),
  route({
    method: 'post',
    path: '/exercises/:id',
    who: staff,
    body: givenExerciseSchema,
    run: (call) => call.inScope((scope) => changeExercise(scope, call.params.id as string, call.body)),
  }),
  route({
    method: 'post',
    path: '/exercises/:id/merge',
    who: staff,
    body: mergeSchema,
    run: (call) => call.inScope((scope) => mergeExercise(scope, call.params.id as string, call.body)),
  }),
]
