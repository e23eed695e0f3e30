import { yupResolver } from '@hookform/resolvers/yup'
import { Controller, FormProvider, useForm, useFormContext, useWatch } from 'react-hook-form'
import { loadSettingsSchema, type LoadSettings } from '@young-oak/api/forms/loadSettings'
import { repTables, repTableTitle } from '@young-oak/core/maxes'
import type { Template } from '@young-oak/core/template'
import { wayWords } from '@young-oak/core/units'
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
  const dispatch = useAppDispatch()
  const form = useForm<SettingsDraft, unknown, LoadSettings>({
    // Numbers are typed as text, which the schema reads.
    resolver: yupResolver(loadSettingsSchema) as never,
    defaultValues: settingsOf(draft),
  })
  const save = (settings: LoadSettings) => {
    const made = settingsCommand(draft, settings)
    if (made.fault !== undefined)
      return form.setError('listed', { message: made.fault }, { shouldFocus: true })
    if (made.command) dispatch(edit(made.command))
    onClose()
  }
  return (
    <FormProvider {...form}>
      <form
        noValidate
        className="grid gap-4 sm:grid-cols-2"
        onSubmit={(event) => void form.handleSubmit(save)(event)}
      >
        <MaxFields />
        <LoadFields />
        <WeekFields />
        <Ratios draft={draft} />
        <Acts>
          <Button look="plain" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit">Save loads</Button>
        </Acts>
      </form>
    </FormProvider>
  )
}

type NumberProps = {
  name: 'weeks' | 'fresh' | 'trainingMax' | 'tempoX' | 'awayWeeks' | 'awayBack'
  label: string
  hint?: string
}

function NumberField({ name, ...rest }: NumberProps) {
  const { register, formState } = useFormContext<SettingsDraft>()
  return <Field {...rest} inputMode="decimal" error={formState.errors[name]?.message} {...register(name)} />
}

/** Which max percentages are of, and what they allow for reps. */
function MaxFields() {
  const { control } = useFormContext<SettingsDraft>()
  const use = useWatch({ control, name: 'use' })
  return (
    <>
      <FormSelect
        control={control}
        name="use"
        label="Percentages use"
        options={[
          ['newest', 'the newest max'],
          ['best', 'the best max of recent weeks'],
        ]}
      />
      {use === 'best' ? (
        <NumberField name="weeks" label="Recent weeks" />
      ) : (
        <span className="hidden sm:block" />
      )}
      <NumberField name="fresh" label="A max is too old after (weeks)" />
      <FormSelect
        control={control}
        name="table"
        label="Percentages for reps"
        hint="Published tables differ by a few percent."
        options={repTables.map((table) => [table, repTableTitle(table)])}
      />
      <NumberField name="trainingMax" label="Training max, % of the 1RM" />
    </>
  )
}

/** How loads are rounded, and what comes before them. */
function LoadFields() {
  const { control, register, formState } = useFormContext<SettingsDraft>()
  const warmUp = useWatch({ control, name: 'warmUp' })
  return (
    <>
      <FormSelect control={control} name="rounding" label="Rounding" options={optionsOf(wayWords)} />
      <FormSelect
        control={control}
        name="deloadRounding"
        label="Rounding of loads cut in deloads"
        options={optionsOf(wayWords)}
      />
      <FormSelect
        control={control}
        name="testRounding"
        label="Rounding of test singles"
        options={optionsOf(wayWords)}
      />
      <FormSelect
        control={control}
        name="warmUp"
        label="Warm-up before a lift"
        options={optionsOf(warmUpChoices)}
      />
      <NumberField name="tempoX" label="X in a tempo, seconds" hint="In the minutes of a session." />
      {warmUp === 'listed' && (
        <Field
          label="Warm-up sets: % × reps"
          hint="bar × 10 for the empty bar"
          error={formState.errors.listed?.message}
          {...register('listed')}
        />
      )}
    </>
  )
}

/** What becomes of missed sessions, deloads and weeks away. */
function WeekFields() {
  const { control } = useFormContext<SettingsDraft>()
  return (
    <>
      <FormSelect
        control={control}
        name="missed"
        label="Missed sessions of a week"
        hint="For members on the calendar, when the week is over."
        options={optionsOf(missedWords)}
      />
      <FormSelect control={control} name="deloadPolicy" label="Deloads" options={optionsOf(policyWords)} />
      <NumberField
        name="awayWeeks"
        label="Weeks away before a reduction"
        hint="Empty: loads are not reduced."
      />
      <NumberField name="awayBack" label="Reduction in the first week back, %" />
    </>
  )
}

function Ratios({ draft }: { draft: Template }) {
  const library = useLibrary()
  const { control, formState } = useFormContext<SettingsDraft>()
  const { ratios: errors } = formState.errors
  return (
    <Controller
      control={control}
      name="ratios"
      render={({ field }) => (
        <RatioFields
          ratios={field.value}
          offered={offeredRatios(library, draft)}
          error={errors && faultOfRatios(errors)}
          onChange={field.onChange}
        />
      )}
    />
  )
}

/** One sentence for all ratios: whichever field of theirs it is of. */
const faultOfRatios = (errors: object): string => {
  const all = Object.values(errors).flatMap((one: unknown) =>
    one && typeof one === 'object' ? Object.values(one as Record<string, { message?: string }>) : [],
  )
  return all.find((one) => one?.message)?.message ?? ''
}
