import { yupResolver } from '@hookform/resolvers/yup'
import { useForm, useWatch } from 'react-hook-form'
import { circuitSchema, type CircuitSettings } from '@young-oak/api/forms/circuit'
import type { Circuit } from '@young-oak/core/template'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { circuitOf, draftOf, newCircuit, type CircuitDraft } from './circuitDraft.ts'

type Props = { circuit?: Circuit; submit: string; onSave: (circuit: Circuit) => void }

/** How one scored thing is scored: by time for the rounds, or by rounds within a time. */
export function CircuitForm({ circuit, submit, onSave }: Props) {
  const { register, control, handleSubmit, formState } = useForm<CircuitDraft, unknown, CircuitSettings>({
    // Numbers are typed as text, which the schema reads.
    resolver: yupResolver(circuitSchema) as never,
    defaultValues: circuit ? draftOf(circuit) : newCircuit,
  })
  const { errors } = formState
  const by = useWatch({ control, name: 'by' })
  return (
    <form
      noValidate
      aria-label="Circuit"
      className="grid grid-cols-2 gap-4"
      onSubmit={(event) => void handleSubmit((settings) => onSave(circuitOf(settings)))(event)}
    >
      <Field label="Name" className="col-span-2" error={errors.name?.message} {...register('name')} />
      <FormSelect
        control={control}
        name="by"
        label="Scored by"
        className="col-span-2"
        options={[
          ['time', 'time for the rounds'],
          ['rounds', 'rounds within a time'],
        ]}
      />
      {by === 'time' && (
        <Field label="Rounds" inputMode="numeric" error={errors.rounds?.message} {...register('rounds')} />
      )}
      <Field
        label={by === 'time' ? 'At most, minutes (optional)' : 'Minutes'}
        inputMode="decimal"
        error={errors.minutes?.message}
        {...register('minutes')}
      />
      <Button type="submit" className="col-span-2">
        {submit}
      </Button>
    </form>
  )
}
