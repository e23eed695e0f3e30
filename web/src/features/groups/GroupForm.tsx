import { set, useFieldArray, useForm, useWatch, type FieldErrors, type Resolver } from 'react-hook-form'
import { ValidationError } from 'yup'
import { groupSchema, type GivenGroup } from '@young-oak/api/groups'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { conditionTitles, draftOf, groupOf, newCondition, type GroupDraft } from './group.ts'

type Props = {
  group?: GivenGroup
  programs: Record<string, string>
  error: unknown
  isLoading: boolean
  onSave: (group: GivenGroup) => void
  onCancel?: () => void
}

const resolver: Resolver<GroupDraft> = (draft) => {
  try {
    groupSchema.validateSync(groupOf(draft), { strict: true, abortEarly: false })
    return { values: draft, errors: {} }
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    const errors: FieldErrors<GroupDraft> = {}
    for (const { path, message } of error.inner.length ? error.inner : [error])
      set(errors, path ?? 'name', { type: 'given', message })
    return { values: {}, errors }
  }
}

/** The name of a group, and the rule of one that has a rule. */
export function GroupForm({ group, programs, error, isLoading, onSave, onCancel }: Props) {
  const { register, control, handleSubmit, formState } = useForm<GroupDraft>({
    resolver,
    defaultValues: draftOf(group),
  })
  const { fields, append, remove } = useFieldArray({ control, name: 'rule' })
  const { by, rule } = useWatch({ control }) as GroupDraft
  const templates = Object.entries(programs)
  return (
    <form
      onSubmit={(event) => void handleSubmit((draft) => onSave(groupOf(draft)))(event)}
      noValidate
      aria-label={group ? `Change ${group.name}` : 'New group'}
      className="mt-3 grid max-w-xl gap-4"
    >
      <Field label="Name of the group" error={formState.errors.name?.message} {...register('name')} />
      <FormSelect
        control={control}
        name="by"
        label="Members of the group"
        options={[
          ['hand', 'chosen by hand'],
          ['rule', 'by a rule, as of today'],
        ]}
      />
      {by === 'rule' && (
        <fieldset className="grid gap-3">
          <legend className="font-medium">A member belongs to the group if the member</legend>
          {fields.map((field, i) => {
            const kind = rule[i]?.kind ?? field.kind
            const faults = formState.errors.rule?.[i]
            return (
              <div key={field.id} className="grid gap-3 rounded-md border border-line p-3 sm:grid-cols-2">
                <FormSelect
                  control={control}
                  name={`rule.${i}.kind`}
                  label={i === 0 ? 'Condition' : 'And'}
                  options={conditionTitles}
                />
                {kind === 'onProgram' && (
                  <FormSelect
                    control={control}
                    name={`rule.${i}.template`}
                    label="Program"
                    options={[['', 'Choose a program'], ...templates]}
                    error={faults?.template?.message}
                  />
                )}
                {(kind === 'notTrainedFor' || kind === 'daysAWeek') && (
                  <Field
                    label={kind === 'daysAWeek' ? 'Days a week' : 'Days'}
                    inputMode="numeric"
                    error={faults?.days?.message}
                    {...register(`rule.${i}.days`)}
                  />
                )}
                {fields.length > 1 && (
                  <Button
                    look="quiet"
                    className="justify-self-start"
                    aria-label={`Remove condition ${i + 1}`}
                    onClick={() => remove(i)}
                  >
                    Remove
                  </Button>
                )}
              </div>
            )
          })}
          {fields.length < 6 && (
            <Button look="plain" className="justify-self-start" onClick={() => append(newCondition())}>
              Add a condition
            </Button>
          )}
        </fieldset>
      )}
      <Fault error={error} />
      <div className="flex gap-3">
        <Button type="submit" disabled={isLoading}>
          {group ? 'Save the group' : 'Add the group'}
        </Button>
        {onCancel && (
          <Button look="plain" onClick={onCancel}>
            Cancel
          </Button>
        )}
      </div>
    </form>
  )
}
