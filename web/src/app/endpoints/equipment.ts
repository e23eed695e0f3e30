import { call, type Answer, type Body } from '../call.ts'
import type { Build } from './build.ts'

/** Locations, and what can be loaded there. */
export const equipmentEndpoints = (build: Build) => ({
  locations: build.query<Answer<'get /locations'>, string>({
    query: (today) => call('get /locations', { query: { today } }),
    providesTags: ['Locations'],
  }),
  addLocation: build.mutation<Answer<'post /locations'>, { name: string; day: string }>({
    query: ({ name, day }) => call('post /locations', { query: { today: day }, body: { name } }),
    invalidatesTags: ['Locations'],
  }),
  equipLocation: build.mutation<
    Answer<'post /locations/:id/equipment'>,
    Body<'post /locations/:id/equipment'> & { location: string }
  >({
    query: ({ location, ...body }) =>
      call('post /locations/:id/equipment', { params: { id: location }, body }),
    invalidatesTags: ['Locations'],
  }),
  ownEquipment: build.query<Answer<'get /me/equipment'>, string>({
    query: (today) => call('get /me/equipment', { query: { today } }),
    providesTags: ['Locations'],
  }),
  equipOwn: build.mutation<Answer<'post /me/equipment'>, Body<'post /me/equipment'>>({
    query: (body) => call('post /me/equipment', { body }),
    invalidatesTags: ['Locations', 'Training'],
  }),
  chooseSetting: build.mutation<Answer<'post /me/settings'>, Body<'post /me/settings'>>({
    query: (body) => call('post /me/settings', { body }),
    invalidatesTags: ['Locations', 'Training'],
  }),
})
