import { toNestErrors } from '@hookform/resolvers'
import type { FieldError, FieldErrors, FieldValues, Resolver } from 'react-hook-form'

/** What is wrong with a form by the path of its field; a field that holds several has a fault for each of those. */
export type Faults = Record<string, string | Record<string, string>>

/** A form as it was read: what it says, or what is wrong with it. */
export type Read<V> = { value: V; faults?: undefined } | { value?: undefined; faults: Faults }

/** A form whose fields are read together, by the schema of what they are a draft of: its faults stand beside the fields that they speak of. */
export const draftResolver =
  <D extends FieldValues, V extends FieldValues>(read: (draft: D) => Read<V>): Resolver<D, unknown, V> =>
  (draft, _, options) => {
    const { value, faults } = read(draft)
    if (faults === undefined) return { values: value, errors: {} }
    const errors = Object.fromEntries(
      Object.entries(faults).map(([path, fault]): [string, FieldError] => [path, errorOf(fault)]),
    )
    return { values: {}, errors: toNestErrors(errors as FieldErrors, options) }
  }

const errorOf = (fault: string | Record<string, string>): FieldError =>
  typeof fault === 'string'
    ? { type: 'fault', message: fault }
    : { type: 'fault', message: Object.values(fault)[0] ?? '', types: fault }

/** The faults of a field that holds several, by their own paths. */
export const faultsWithin = (error: FieldError | undefined): Record<string, string> =>
  (error?.types ?? {}) as Record<string, string>
