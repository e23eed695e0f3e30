import { Chip } from './Chip.tsx'

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
          <Chip key={one} said={said} isOn={one === value} onTap={() => onChange(one === value ? '' : one)} />
        ))}
      </div>
    </fieldset>
  )
}
