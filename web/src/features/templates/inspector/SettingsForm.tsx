import { yupResolver } from '@hookform/resolvers/yup'
import { Controller, useForm, useWatch } from 'react-hook-form'
import { loadSettingsSchema, type LoadSettings } from '@young-oak/api/forms/loadSettings'
import { repTables, repTableTitle } from '@young-oak/core/maxes'
import type { Template } from '@young-oak/core/template'
import { offeredRatios } from '@young-oak/core/views'
import { useAppDispatch } from '../../../app/store.ts'
import { Acts } from '../../../ui/Acts.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Field } from '../../../ui/Field.tsx'
import { FormSelect } from '../../../ui/FormSelect.tsx'
import { optionsOf } from '../../../ui/Select.tsx'
import { useLibrary } from '../../library/useLibrary.ts'
import { edit } from '../editorSlice.ts'
import { missedWords, policyWords, settingsCommand, settingsOf, type SettingsDraft } from './loadSettings.ts'
import { RatioFields } from './RatioFields.tsx'
import { warmUpChoices } from './warmUpChoice.ts'

/** The load settings of a template as a form. */
export function SettingsForm({ draft, onClose }: { draft: Template; onClose: () => void }) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const { register, control, handleSubmit, setError, formState } = useForm<
    SettingsDraft,
    unknown,
    LoadSettings
  >({
    // Numbers are typed as text, which the schema reads.
    resolver: yupResolver(loadSettingsSchema) as never,
    defaultValues: settingsOf(draft),
  })
  const { errors } = formState
  const [use, warmUp] = useWatch({ control, name: ['use', 'warmUp'] })
  const save = (settings: LoadSettings) => {
    const made = settingsCommand(draft, settings)
    if (made.fault !== undefined) return setError('listed', { message: made.fault }, { shouldFocus: true })
    if (made.command) dispatch(edit(made.command))
    onClose()
  }
  const number = (
    name: 'weeks' | 'fresh' | 'trainingMax' | 'awayWeeks' | 'awayBack',
    label: string,
    hint?: string,
  ) => (
    <Field label={label} hint={hint} inputMode="decimal" error={errors[name]?.message} {...register(name)} />
  )
  return (
    <form
      noValidate
      className="grid gap-4 sm:grid-cols-2"
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <FormSelect
        control={control}
        name="use"
        label="Percentages use"
        options={[
          ['newest', 'the newest max'],
          ['best', 'the best max of recent weeks'],
        ]}
      />
      {use === 'best' ? number('weeks', 'Recent weeks') : <span className="hidden sm:block" />}
      {number('fresh', 'A max is too old after (weeks)')}
      <FormSelect
        control={control}
        name="table"
        label="Percentages for reps"
        hint="Published tables differ by a few percent."
        options={repTables.map((table) => [table, repTableTitle(table)])}
      />
      {number('trainingMax', 'Training max, % of the 1RM')}
      <FormSelect
        control={control}
        name="rounding"
        label="Rounding"
        hint="Deloads and test singles always round down."
        options={[
          ['nearest', 'to the nearest, ties up'],
          ['down', 'down'],
          ['up', 'up'],
        ]}
      />
      <FormSelect
        control={control}
        name="warmUp"
        label="Warm-up before a lift"
        options={optionsOf(warmUpChoices)}
      />
      {warmUp === 'listed' && (
        <Field
          label="Warm-up sets: % × reps"
          hint="bar × 10 for the empty bar"
          error={errors.listed?.message}
          {...register('listed')}
        />
      )}
      <FormSelect
        control={control}
        name="missed"
        label="Missed sessions of a week"
        hint="For members on the calendar, when the week is over."
        options={optionsOf(missedWords)}
      />
      <FormSelect control={control} name="deloadPolicy" label="Deloads" options={optionsOf(policyWords)} />
      {number('awayWeeks', 'Weeks away before a reduction', 'Empty: loads are not reduced.')}
      {number('awayBack', 'Reduction in the first week back, %')}
      <Controller
        control={control}
        name="ratios"
        render={({ field }) => (
          <RatioFields
            ratios={field.value}
            offered={offeredRatios(library, draft)}
            error={errors.ratios ? faultOfRatios(errors.ratios) : undefined}
            onChange={field.onChange}
          />
        )}
      />
      <Acts>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
        <Button type="submit">Save loads</Button>
      </Acts>
    </form>
  )
}

/** One sentence for all ratios: whichever field of theirs it is of. */
const faultOfRatios = (errors: object): string => {
  const all = Object.values(errors).flatMap((one: unknown) =>
    one && typeof one === 'object' ? Object.values(one as Record<string, { message?: string }>) : [],
  )
  return all.find((one) => one?.message)?.message ?? ''
}
