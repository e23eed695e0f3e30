import { route, type Route } from '../../http/route.ts'
import { addPlace, choose, equipOwn, equipPlace, ownEquipment } from './service.ts'
import { listPlaces } from './store.ts'

/** What can be loaded: at the gym's places, which staff list, and at a member's own. */
export const equipmentRoutes: Route[] = [
  route('get /places', ({ inScope, query }) => inScope((scope) => listPlaces(scope, query.today))),
  route('post /places', ({ inScope, body, query }) => inScope((scope) => addPlace(scope, body, query.today))),
  route('post /places/:id/equipment', ({ inScope, params, body }) =>
    inScope((scope) => equipPlace(scope, params.id as string, body)),
  ),
  route('get /me/equipment', ({ inMember, query }) => inMember((scope) => ownEquipment(scope, query.today))),
  route('post /me/equipment', ({ inMember, body }) => inMember((scope) => equipOwn(scope, body))),
  route('post /me/settings', ({ inMember, body }) => inMember((scope) => choose(scope, body))),
]
