import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import { faultsWithin } from '../../app/draftResolver.ts'
import type { ParamDraft, ParamKind } from './paramDraft.ts'
import { ParamFields } from './ParamFields.tsx'

type Props<V extends FieldValues, O> = {
  control: Control<V, unknown, O>
  name: FieldPath<V>
  kind: ParamKind
}

/** The parameters of a kind as one field of a form. */
export function FormParams<V extends FieldValues, O>({ control, name, kind }: Props<V, O>) {
  const { field, fieldState } = useController({ control, name })
  return (
    <ParamFields
      kind={kind}
      typed={field.value as ParamDraft}
      faults={faultsWithin(fieldState.error)}
      onType={field.onChange}
    />
  )
}
