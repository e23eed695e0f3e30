import { route, type Route } from '../../http/route.ts'
import { signIn } from '../accounts/signIn.ts'
import { setUp } from './setUp.ts'
import { isEmpty, readGym, updateGym } from './store.ts'

export const gymRoutes: Route[] = [
  route('get /set-up', async ({ database }) => ({ isOpen: await database.outside(isEmpty) })),
  route('post /set-up', async (call) => signIn(call, await setUp(call.database, call.body))),
  route('get /gym', ({ inScope }) => inScope(readGym)),
  route('post /gym', ({ inScope, body }) =>
    inScope(async (scope) => {
      await updateGym(scope, body)
      return readGym(scope)
    }),
  ),
]
