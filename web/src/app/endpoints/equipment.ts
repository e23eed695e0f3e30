import { call, callFor, type Answer, type Body } from '../call.ts'
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
  ownEquipment: build.query<Answer<'get /me/equipment'>, { day: string; member?: string }>({
    query: ({ day, member }) => callFor(member, 'get /me/equipment', { query: { today: day } }),
    providesTags: ['Locations'],
  }),
  equipOwn: build.mutation<
    Answer<'post /me/equipment'>,
    { given: Body<'post /me/equipment'>; member?: string }
  >({
    query: ({ given, member }) => callFor(member, 'post /me/equipment', { body: given }),
    invalidatesTags: ['Locations', 'Training'],
  }),
  chooseSetting: build.mutation<
    Answer<'post /me/settings'>,
    { given: Body<'post /me/settings'>; member?: string }
  >({
    query: ({ given, member }) => callFor(member, 'post /me/settings', { body: given }),
    invalidatesTags: ['Locations', 'Training'],
  }),
})
