import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import type { Common } from './Field.tsx'
import { SelectField, type Option } from './Select.tsx'

type Props<V extends FieldValues, O, T extends string> = Common & {
  control: Control<V, unknown, O>
  name: FieldPath<V>
  options: readonly Option<T>[]
  className?: string
  disabled?: boolean
  /** What else a choice does. */
  onChosen?: (to: T) => void
}

/** A choice that is a field of a form. */
export function FormSelect<V extends FieldValues, O, T extends string>({
  control,
  name,
  onChosen,
  ...rest
}: Props<V, O, T>) {
  const { field, fieldState } = useController({ control, name })
  return (
    <SelectField
      error={fieldState.error?.message}
      {...rest}
      value={field.value as T}
      onChoose={(to) => {
        field.onChange(to)
        onChosen?.(to)
      }}
    />
  )
}
