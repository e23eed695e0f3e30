import { Chip } from './Chip.tsx'

type Props<T extends string> = {
  label: string
  chosen: readonly T[]
  /** Values with the words that say them. */
  choices: readonly (readonly [T, string])[]
  onChange: (chosen: T[]) => void
}

/** Any answers of a few, by thumb: one that is tapped again is taken back. */
export function Choices<T extends string>({ label, chosen, choices, onChange }: Props<T>) {
  return (
    <fieldset className="my-1">
      <legend className="text-sm font-medium">{label}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {choices.map(([one, said]) => {
          const isOn = chosen.includes(one)
          return (
            <Chip
              key={one}
              said={said}
              isOn={isOn}
              onTap={() => onChange(isOn ? chosen.filter((other) => other !== one) : [...chosen, one])}
            />
          )
        })}
      </div>
    </fieldset>
  )
}
