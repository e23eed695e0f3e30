type Props<T extends string> = {
  label: string
  value: T | ''
  /** Values with the words that say them. */
  choices: readonly (readonly [T, string])[]
  /** An answer that is tapped again is taken back. */
  onChange: (value: T | '') => void
}

/** One answer of a few, by thumb. */
export function Choice<T extends string>({ label, value, choices, onChange }: Props<T>) {
  return (
    <fieldset className="my-1">
      <legend className="text-sm font-medium">{label}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {choices.map(([one, said]) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === value}
            onClick={() => onChange(one === value ? '' : one)}
            className={`min-h-11 min-w-11 rounded-md border px-3 ${one === value ? 'border-leaf bg-leaf-wash font-semibold' : 'border-edge bg-sheet'}`}
          >
            {said}
          </button>
        ))}
      </div>
    </fieldset>
  )
}
