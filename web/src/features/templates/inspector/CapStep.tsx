import { formatNumber, type Step, typedNumber } from '@young-oak/core/units'
import { SavedField } from './SavedField.tsx'

type Props = { step: Step; onSave: (step: Step) => void }

/** By how much rows that are counted back from a test day may pass the heaviest load that was trained in the phase. */
export function CapStep({ step, onSave }: Props) {
  const save = (unit: keyof Step) => (typed: string) => {
    const value = typedNumber(typed)
    if (typeof value !== 'number' || !(value > 0 && value <= 50)) return 'Above 0, at most 50.'
    onSave({ ...step, [unit]: value })
    return undefined
  }
  return (
    <fieldset>
      <legend className="text-sm font-medium">May pass the heaviest load trained in the phase by</legend>
      <div className="mt-1 grid grid-cols-2 gap-3">
        {(['kg', 'lb'] as const).map((unit) => (
          <SavedField
            key={unit}
            label={unit}
            inputMode="decimal"
            value={formatNumber(step[unit])}
            onSave={save(unit)}
          />
        ))}
      </div>
    </fieldset>
  )
}
