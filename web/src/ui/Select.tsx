import { Check, ChevronDown } from 'lucide-react'
import { Select as Parts } from 'radix-ui'
import { Labelled, type Common } from './Field.tsx'

export type Option<T extends string> = readonly [value: T, said: string]

/** The words of every value of a record as options, in its order. */
export const optionsOf = <T extends string>(words: Record<T, string>): Option<T>[] =>
  (Object.keys(words) as T[]).map((one) => [one, words[one]])

/** Words that are said as they are, as options. */
export const asSaid = <T extends string>(words: readonly T[]): Option<T>[] => words.map((one) => [one, one])

type Choosing<T extends string> = {
  value: T
  options: readonly Option<T>[]
  onChoose: (to: T) => void
  disabled?: boolean
  onFocus?: () => void
  'aria-describedby'?: string
}
type Bare<T extends string> = Choosing<T> & {
  id?: string
  'aria-label'?: string
  'aria-invalid'?: boolean
  /** What stands there while the value is none of the options. */
  placeholder?: string
  className?: string
}

// The list takes no empty value, and "none" is a choice like any other here.
const keyOf = (value: string): string => `=${value}`

/** One of a few: opened by a click, Space, Enter or an arrow, and found by its first letters. */
export function Select<T extends string>({
  value,
  options,
  onChoose,
  placeholder,
  className = 'min-h-9 px-2',
  disabled,
  ...rest
}: Bare<T>) {
  const isOption = options.some(([one]) => one === value)
  return (
    <Parts.Root
      value={isOption ? keyOf(value) : ''}
      onValueChange={(key) => {
        const chosen = options.find(([one]) => keyOf(one) === key)
        if (chosen) onChoose(chosen[0])
      }}
      {...(disabled !== undefined && { disabled })}
    >
      <Parts.Trigger
        {...rest}
        // The key itself opens the list; the click that a button makes of it would open it amid words that are typed.
        onKeyUp={(event) => event.key === ' ' && event.preventDefault()}
        className={`flex items-center justify-between gap-2 rounded-md border bg-sheet text-left text-ink disabled:text-bark ${rest['aria-invalid'] ? 'border-brick' : 'border-edge'} ${className}`}
      >
        <span className="truncate">
          <Parts.Value placeholder={placeholder} />
        </span>
        <ChevronDown size={16} aria-hidden className="shrink-0" />
      </Parts.Trigger>
      <Parts.Portal>
        <Parts.Content
          position="popper"
          sideOffset={4}
          className="z-60 max-h-(--radix-select-content-available-height) max-w-[94vw] min-w-(--radix-select-trigger-width) overflow-y-auto rounded-md border border-edge bg-sheet p-1 text-ink shadow"
        >
          <Parts.Viewport>
            {options.map(([one, said]) => (
              <Parts.Item
                key={one}
                value={keyOf(one)}
                className="flex cursor-pointer items-center justify-between gap-3 rounded px-2 py-1.5 outline-none data-[highlighted]:bg-leaf-wash"
              >
                <Parts.ItemText>{said}</Parts.ItemText>
                <Parts.ItemIndicator>
                  <Check size={16} aria-hidden />
                </Parts.ItemIndicator>
              </Parts.Item>
            ))}
          </Parts.Viewport>
        </Parts.Content>
      </Parts.Portal>
    </Parts.Root>
  )
}

/** A choice with its label above and its error or hint below. */
export function SelectField<T extends string>({
  label,
  error,
  hint,
  className = '',
  ...rest
}: Common & Choosing<T> & { className?: string; placeholder?: string }) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className} about={rest['aria-describedby']}>
      {(ids) => <Select {...rest} {...ids} className="min-h-11 w-full px-3" />}
    </Labelled>
  )
}
