import {
  equipmentSchema,
  locationSchema,
  settingSchema,
  type OwnEquipment,
  type LocationView,
} from '../equipment.ts'
import { contract, onDay, ownAndWriters } from './contract.ts'
import { equipment as equipmentOf, unit } from './lifts.ts'
import { exact, list, orNull, text } from './reads.ts'

const staff = ['owner', 'writer'] as const
const location = () =>
  exact<LocationView>({ id: text(), name: text(), has: orNull(equipmentOf()) }, 'Location')
const own = () =>
  exact<OwnEquipment>({ locations: list(location()), home: text(), unit: unit() }, 'OwnEquipment')

export const equipment = {
  ...contract({
    method: 'get',
    path: '/locations',
    says: 'The gym’s locations, at most fifty, with what each has on the day.',
    who: staff,
    query: onDay,
    answer: list(location()),
    problems: [],
    since: 10,
  }),
  ...contract({
    method: 'post',
    path: '/locations',
    says: 'Adds a location.',
    who: staff,
    query: onDay,
    body: locationSchema,
    answer: list(location()),
    problems: ['tooMany'],
    since: 10,
  }),
  ...contract({
    method: 'post',
    path: '/locations/:id/equipment',
    says: 'Saves the equipment of a location from a day on.',
    who: staff,
    body: equipmentSchema,
    answer: list(location()),
    problems: ['inTheFuture'],
    since: 10,
  }),
  ...ownAndWriters('equipment', {
    method: 'get',
    says: 'What the member’s loads are made of.',
    query: onDay,
    answer: own(),
    problems: [],
    since: 10,
  }),
  ...ownAndWriters('equipment', {
    method: 'post',
    says: 'Saves the equipment of the member’s own location from a day on.',
    body: equipmentSchema,
    answer: own(),
    problems: ['inTheFuture'],
    since: 10,
  }),
  ...ownAndWriters('settings', {
    method: 'post',
    says: 'The member’s unit, and which location is home.',
    body: settingSchema,
    answer: own(),
    problems: ['inTheFuture'],
    since: 10,
  }),
}
