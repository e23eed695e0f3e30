import {
  equipmentSchema,
  placeSchema,
  settingSchema,
  type OwnEquipment,
  type PlaceView,
} from '../equipment.ts'
import { contract, onDay } from './contract.ts'
import { equipment as equipmentOf, unit } from './lifts.ts'
import { exact, list, orNull, text } from './reads.ts'

const staff = ['owner', 'writer'] as const
const place = () => exact<PlaceView>({ id: text(), name: text(), has: orNull(equipmentOf()) }, 'Place')
const own = () => exact<OwnEquipment>({ places: list(place()), home: text(), unit: unit() }, 'OwnEquipment')

export const equipment = {
  ...contract({
    method: 'get',
    path: '/places',
    says: 'The gym’s places, at most fifty, with what each has on the day.',
    who: staff,
    query: onDay,
    answer: list(place()),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/places',
    says: 'Adds a place.',
    who: staff,
    query: onDay,
    body: placeSchema,
    answer: list(place()),
    problems: ['tooMany'],
  }),
  ...contract({
    method: 'post',
    path: '/places/:id/equipment',
    says: 'What a place has from a day on.',
    who: staff,
    body: equipmentSchema,
    answer: list(place()),
    problems: ['inTheFuture'],
  }),
  ...contract({
    method: 'get',
    path: '/me/equipment',
    says: 'What the member’s loads are made of.',
    who: ['member'],
    query: onDay,
    answer: own(),
    problems: [],
  }),
  ...contract({
    method: 'post',
    path: '/me/equipment',
    says: 'What the member’s own place has from a day on.',
    who: ['member'],
    body: equipmentSchema,
    answer: own(),
    problems: ['inTheFuture'],
  }),
  ...contract({
    method: 'post',
    path: '/me/settings',
    says: 'The member’s unit, and which place is home.',
    who: ['member'],
    body: settingSchema,
    answer: own(),
    problems: ['inTheFuture'],
  }),
}
