import type { Unit } from '@young-oak/core/units'
import { Field, PhoneSelect } from './Field.tsx'

export type TypedSet = { load: string; unit: Unit; reps: string; rir: string }

type Props = {
  typed: TypedSet
  errors: Partial<Record<keyof TypedSet, string>>
  onType: (change: Partial<TypedSet>) => void
  autoFocus?: boolean
}

/** One set as it is typed: its load with the unit, the reps, and the RIR. */
export function SetFields({ typed, errors, onType, autoFocus }: Props) {
  return (
    <div className="grid grid-cols-[1fr_5.5rem] gap-3 sm:grid-cols-[1fr_5.5rem_5rem_7rem]">
      <Field
        label="Load"
        inputMode="decimal"
        autoFocus={autoFocus}
        value={typed.load}
        error={errors.load}
        onChange={(event) => onType({ load: event.target.value })}
      />
      <PhoneSelect
        label="Unit"
        value={typed.unit}
        onChange={(event) => onType({ unit: event.target.value as Unit })}
      >
        <option>kg</option>
        <option>lb</option>
      </PhoneSelect>
      <Field
        label="Reps"
        inputMode="numeric"
        value={typed.reps}
        error={errors.reps}
        onChange={(event) => onType({ reps: event.target.value })}
      />
      <Field
        label="RIR"
        inputMode="numeric"
        value={typed.rir}
        error={errors.rir}
        onChange={(event) => onType({ rir: event.target.value })}
      />
    </div>
  )
}
