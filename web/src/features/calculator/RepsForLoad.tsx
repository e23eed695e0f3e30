import { useState } from 'react'
import type { RepTable } from '@young-oak/core/maxes'
import type { Load } from '@young-oak/core/units'
import { Field } from '../../ui/Field.tsx'
import { sayReps } from './sayReps.ts'

/** The other way round: the reps that a load allows, by the table that is chosen. */
export function RepsForLoad({ max, table }: { max: Load; table: RepTable }) {
  const [typed, setTyped] = useState('')
  const { said, error } = sayReps(typed, max, table)
  return (
    <div className="mt-4 grid grid-cols-[8rem_1fr] items-end gap-3">
      <Field
        label={`Reps for a load of, ${max.unit}`}
        inputMode="decimal"
        value={typed}
        error={error}
        onChange={(event) => setTyped(event.target.value)}
      />
      <p role="status" className="pb-2.5">
        {said}
      </p>
    </div>
  )
}
