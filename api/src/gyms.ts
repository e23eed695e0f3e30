import { boolean, mixed, object, string, type InferType } from 'yup'
import type { Unit } from '@young-oak/core/units'
import { emailField, newPassword, personName } from './accounts.ts'

/** Time zones by their IANA names; what a place calls itself is none. */
const isZone = (value: unknown): boolean =>
  typeof value === 'string' && Intl.supportedValuesOf('timeZone').includes(value)

/** The days that a week may begin on. */
export const weekStarts = ['monday', 'saturday', 'sunday'] as const
export type WeekStart = (typeof weekStarts)[number]

/** What a gym is called, where its days begin and end, and which unit its members have until they choose. */
export const gymSchema = object({
  name: string().trim().required('Enter the gym’s name.').max(80, 'At most 80 characters.'),
  zone: string()
    .required('Choose the time zone.')
    .test('zone', 'This is no time zone: choose one of the list, such as Europe/London.', isZone),
  unit: mixed<Unit>((value): value is Unit => value === 'kg' || value === 'lb').required('Choose kg or lb.'),
  /** Left out, it stays; of a new gym it is Monday. */
  weekStart: mixed<WeekStart>((value): value is WeekStart =>
    weekStarts.includes(value as WeekStart),
  ).optional(),
}).noUnknown()
export type GivenGym = InferType<typeof gymSchema>

/** The gym, and the link by which anybody may ask to join; null where nobody may. */
export type GymView = GivenGym & { weekStart: WeekStart; joinLink: string | null }

/** Lets people ask to join, by a new link each time, or ends it. */
export const joinLinkSchema = object({ isOpen: boolean().required() }).noUnknown()

/** The first gym and its owner, with the code that the server printed. */
export const setUpSchema = object({
  code: string()
    .trim()
    .required('Enter the code that the server printed.')
    .max(40, 'A code has 8 characters.'),
  gym: gymSchema.required(),
  owner: object({
    name: personName(),
    email: emailField(),
    password: newPassword(),
    /** Whether the owner writes programs too. */
    writes: boolean().required(),
  })
    .noUnknown()
    .required(),
}).noUnknown()
export type GivenSetUp = InferType<typeof setUpSchema>
