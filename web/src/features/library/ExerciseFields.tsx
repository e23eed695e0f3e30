import { useLibrary } from './useLibrary.ts'
import { X } from 'lucide-react'
import { liftName, muscles, type ExerciseId, type OwnId } from '@young-oak/core/library'
import { SelectField } from '../../ui/Field.tsx'
import type { ExerciseDraft, Share } from './exerciseDraft.ts'
import { ExerciseOptions } from './ExerciseOptions.tsx'

export function Tick({
  label,
  is,
  onChange,
}: {
  label: string
  is: boolean
  onChange: (is: boolean) => void
}) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        checked={is}
        onChange={(event) => onChange(event.target.checked)}
        className="size-5"
      />
      {label}
    </label>
  )
}

type MusclesProps = {
  draft: ExerciseDraft
  error?: string
  onChange: (shares: ExerciseDraft['shares']) => void
}

/** What a set counts for each muscle: in full, by half, or not. */
export function Muscles({ draft: { shares }, error, onChange }: MusclesProps) {
  return (
    <fieldset aria-describedby={error && 'muscles-note'}>
      <legend className="text-sm font-medium">A set counts for</legend>
      <div className="mt-1 grid grid-cols-2 gap-x-6 gap-y-1 sm:grid-cols-4">
        {muscles.map((muscle) => (
          <label key={muscle} className="flex items-center justify-between gap-2 text-sm">
            {muscle}
            <select
              value={shares[muscle] ?? ''}
              onChange={(event) => onChange({ ...shares, [muscle]: event.target.value as Share })}
              className={`h-9 rounded border bg-sheet px-1 ${shares[muscle] ? 'border-leaf font-medium' : 'border-edge'}`}
            >
              <option value="">–</option>
              <option value="half">half</option>
              <option value="full">in full</option>
              <option value="main">main</option>
            </select>
          </label>
        ))}
      </div>
      {error && (
        <p id="muscles-note" role="alert" className="mt-1 text-sm text-brick">
          {error}
        </p>
      )}
    </fieldset>
  )
}

type SubstitutesProps = {
  chosen: string[]
  own?: OwnId
  error?: string
  onChange: (chosen: string[]) => void
}

/** What may stand in for it: fewer tools, or easier on a joint. */
export function Substitutes({ chosen, own, error, onChange }: SubstitutesProps) {
  const library = useLibrary()
  return (
    <div className="grid gap-2">
      <SelectField
        label="Substitutes"
        hint="Exercises that can replace it: another tool, or easier on a joint."
        value=""
        error={error}
        onChange={(event) => event.target.value && onChange([...chosen, event.target.value])}
      >
        <ExerciseOptions title="add a substitute" fits={(id) => id !== own && !chosen.includes(id)} />
      </SelectField>
      <ul className="flex flex-wrap gap-2">
        {chosen.map((id) => (
          <li key={id} className="flex items-center rounded border border-edge pl-2 text-sm">
            {liftName(library, { exercise: id as ExerciseId })}
            <button
              type="button"
              aria-label={`Take out ${liftName(library, { exercise: id as ExerciseId })}`}
              onClick={() => onChange(chosen.filter((one) => one !== id))}
              className="grid size-9 place-items-center text-bark hover:text-ink"
            >
              <X size={14} />
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
