import { equipmentSchema, placeSchema, settingSchema } from '@young-oak/api/equipment'
import { dayOf, route, type Route } from '../../http/route.ts'
import { addPlace, choose, equipOwn, equipPlace, ownEquipment } from './service.ts'
import { listPlaces } from './store.ts'

const staff = ['owner', 'writer'] as const
const me = ['member'] as const

/** What can be loaded: at the gym's places, which staff list, and at a member's own. */
export const equipmentRoutes: Route[] = [
  route({
    method: 'get',
    path: '/places',
    who: staff,
    run: (call) => call.inScope((scope) => listPlaces(scope, dayOf(call))),
  }),
  route({
    method: 'post',
    path: '/places',
    who: staff,
    body: placeSchema,
    run: (call) => call.inScope((scope) => addPlace(scope, call.body, dayOf(call))),
  }),
  route({
    method: 'post',
    path: '/places/:id/equipment',
    who: staff,
    body: equipmentSchema,
    run: (call) => call.inScope((scope) => equipPlace(scope, call.params.id as string, call.body)),
  }),
  route({
    method: 'get',
    path: '/me/equipment',
    who: me,
    run: (call) => call.inScope((scope) => ownEquipment(scope, call.seat.id, dayOf(call))),
  }),
  route({
    method: 'post',
    path: '/me/equipment',
    who: me,
    body: equipmentSchema,
    run: (call) => call.inScope((scope) => equipOwn(scope, call.seat.id, call.body)),
  }),
  route({
    method: 'post',
    path: '/me/settings',
    who: me,
    body: settingSchema,
    run: (call) => call.inScope((scope) => choose(scope, call.seat.id, call.body)),
  }),
]
