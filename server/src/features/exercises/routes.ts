import { route, type Route } from '../../http/route.ts'
import { addExercise, changeExercise, mergeExercise, viewLibrary } from './service.ts'

/** The gym's own exercises: everybody reads them, staff add, change and merge them. */
export const exerciseRoutes: Route[] = [
  route('get /exercises', ({ inScope }) => inScope(viewLibrary)),
  route('post /exercises', ({ inScope, body }) => inScope((scope) => addExercise(scope, body))),
  route('post /exercises/:id', ({ inScope, params, body }) =>
    inScope((scope) => changeExercise(scope, params.id as string, body)),
  ),
  route('post /exercises/:id/merge', ({ inScope, params, body }) =>
    inScope((scope) => mergeExercise(scope, params.id as string, body)),
  ),
]
