import { day } from './fields.ts'
import { mixed, object, string, type InferType } from 'yup'
import type { EquipmentBody } from '@young-oak/core/facts'
import type { Id } from '@young-oak/core/parsing'
import type { Unit } from '@young-oak/core/units'

/** A place of the gym, and what it has today; null where nobody has listed it. */
export type LocationView = { id: Id; name: string; has: EquipmentBody | null }

/** What a member's loads are made of: the gym's places and their own, and which of them "at home" is. */
export type OwnEquipment = { locations: LocationView[]; home: Id; unit: Unit }

/** The place that is the member's own, beside those of the gym. */
export const ownLocation = 'own'

/** What a place has is read piece by piece, as in a file; the faults are located in the same way. */
export const equipmentSchema = object({
  has: mixed<object>().required('List the equipment.'),
  today: day().required(),
}).noUnknown()
export type GivenEquipment = InferType<typeof equipmentSchema>

export const locationSchema = object({
  name: string()
    .trim()
    .min(1, 'Name the location.')
    .max(80, 'At most 80 characters.')
    .required('Name the location.'),
}).noUnknown()
export type GivenLocation = InferType<typeof locationSchema>

export const settingSchema = object({
  home: string().max(80).optional(),
  unit: mixed<Unit>((value): value is Unit => value === 'kg' || value === 'lb').optional(),
  today: day().required(),
}).noUnknown()
export type GivenSetting = InferType<typeof settingSchema>
