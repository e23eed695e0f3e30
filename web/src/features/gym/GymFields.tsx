import type { Control, FieldPath, FieldValues, UseFormRegister } from 'react-hook-form'
import { useController } from 'react-hook-form'
import type { WeekStart } from '@young-oak/api/gyms'
import type { Unit } from '@young-oak/core/units'
import { Field } from '../../ui/Field.tsx'
import { Finder } from '../../ui/Finder.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'

const units: readonly (readonly [Unit, string])[] = [
  ['kg', 'Kilograms (kg)'],
  ['lb', 'Pounds (lb)'],
]
const days: readonly (readonly [WeekStart, string])[] = [
  ['monday', 'Monday'],
  ['saturday', 'Saturday'],
  ['sunday', 'Sunday'],
]
const mostFound = 50

/** The time zone of this device, where a gym is most likely to be. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

type Props<V extends FieldValues, O> = {
  register: UseFormRegister<V>
  control: Control<V, unknown, O>
  /** Where the gym's fields are in the form. */
  at: Record<'name' | 'zone' | 'unit' | 'weekStart', FieldPath<V>>
}

/** What a gym is called, its time zone, its unit and its week. */
export function GymFields<V extends FieldValues, O>({ register, control, at }: Props<V, O>) {
  const name = useController({ control, name: at.name })
  const zone = useController({ control, name: at.zone })
  return (
    <>
      <Field
        label="Name of the gym"
        autoComplete="organization"
        error={name.fieldState.error?.message}
        {...register(at.name)}
      />
      <Finder
        label="Time zone"
        chosen={sayZone(zone.field.value as string)}
        placeholder="Choose the time zone"
        typing="A city, such as London"
        nothing="No time zone is called that. Try the nearest large city."
        find={findZones}
        hint="The gym’s day begins at midnight there."
        error={zone.fieldState.error?.message}
        onChoose={(value) => zone.field.onChange(value)}
      />
      <FormSelect
        control={control}
        name={at.unit}
        label="Unit"
        options={units}
        hint="For members who have not chosen their own."
      />
      <FormSelect
        control={control}
        name={at.weekStart}
        label="The week begins on"
        options={days}
        hint="Attendance is counted in whole weeks."
      />
    </>
  )
}

const sayZone = (zone: string): string => zone.replaceAll('_', ' ')

const findZones = (words: string) =>
  Intl.supportedValuesOf('timeZone')
    .filter((zone) => sayZone(zone).toLowerCase().includes(words.toLowerCase()))
    .slice(0, mostFound)
    .map((value) => ({ value, said: sayZone(value) }))
