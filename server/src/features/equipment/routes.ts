import { route, routes, type Route } from '../../http/route.ts'
import { addLocation, choose, equipOwn, equipLocation, ownEquipment } from './service.ts'
import { listLocations } from './store.ts'

/** What can be loaded: at the gym's places, which staff list, and at a member's own. */
export const equipmentRoutes: Route[] = [
  route('get /locations', ({ inScope, query }) => inScope((scope) => listLocations(scope, query.today))),
  route('post /locations', ({ inScope, body, query }) =>
    inScope((scope) => addLocation(scope, body, query.today)),
  ),
  route('post /locations/:id/equipment', ({ inScope, params, body }) =>
    inScope((scope) => equipLocation(scope, params.id as string, body)),
  ),
  ...routes(['get /me/equipment', 'get /members/:id/equipment'], ({ inMember, query }) =>
    inMember((scope) => ownEquipment(scope, query.today)),
  ),
  ...routes(['post /me/equipment', 'post /members/:id/equipment'], ({ inMember, body }) =>
    inMember((scope) => equipOwn(scope, body)),
  ),
  ...routes(['post /me/settings', 'post /members/:id/settings'], ({ inMember, body }) =>
    inMember((scope) => choose(scope, body)),
  ),
]
