import type { GymView } from '@young-oak/api/gyms'
import type { Scope } from '../../database/scope.ts'
import { route, type Route } from '../../http/route.ts'
import { signIn } from '../accounts/signIn.ts'
import { newToken } from '../../security/token.ts'
import type { Settings } from '../../settings.ts'
import { askLink } from '../people/links.ts'
import { setUp } from './setUp.ts'
import { isEmpty, readGym, saveJoinToken, updateGym } from './store.ts'

export const gymRoutes: Route[] = [
  route('get /set-up', async ({ database }) => ({ isOpen: await database.outside(isEmpty) })),
  route('post /set-up', async (call) => signIn(call, await setUp(call.database, call.body))),
  route('get /gym', ({ inScope, settings }) => inScope((scope) => view(scope, settings))),
  route('post /gym', ({ inScope, body, settings }) =>
    inScope(async (scope) => {
      await updateGym(scope, body)
      return view(scope, settings)
    }),
  ),
  route('post /gym/join-link', ({ inScope, body, settings }) =>
    inScope(async (scope) => {
      await saveJoinToken(scope, body.isOpen ? newToken() : null)
      return view(scope, settings)
    }),
  ),
]

async function view(scope: Scope, { publicUrl }: Settings): Promise<GymView> {
  const { join_token, ...gym } = await readGym(scope)
  return { ...gym, joinLink: join_token === null ? null : askLink(publicUrl, scope.gym, join_token) }
}
