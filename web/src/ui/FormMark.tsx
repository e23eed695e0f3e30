import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import { Mark } from './Mark.tsx'

type Props<V extends FieldValues, O> = {
  control: Control<V, unknown, O>
  name: FieldPath<V>
  label: string
  className?: string
}

/** Something that is so or not, as a field of a form. */
export function FormMark<V extends FieldValues, O>({ control, name, label, className }: Props<V, O>) {
  const { field } = useController({ control, name })
  return (
    <div className={className}>
      <Mark label={label} isOn={field.value === true} onChange={field.onChange} />
    </div>
  )
}
