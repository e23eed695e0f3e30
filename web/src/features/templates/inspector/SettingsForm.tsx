import { yupResolver } from '@hookform/resolvers/yup'
import { Controller, useForm, useWatch } from 'react-hook-form'
import { loadSettingsSchema, type LoadSettings } from '@young-oak/api/forms/loadSettings'
import { repTables, repTableTitle } from '@young-oak/core/maxes'
import { deloadPolicies, missedPolicies, type Template } from '@young-oak/core/template'
import { offeredRatios } from '@young-oak/core/views'
import { useAppDispatch } from '../../../app/store.ts'
import { Acts } from '../../../ui/Acts.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
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
      <SelectField label="Percentages use" {...register('use')}>
        <option value="newest">the newest max</option>
        <option value="best">the best max of recent weeks</option>
      </SelectField>
      {use === 'best' ? number('weeks', 'Recent weeks') : <span className="hidden sm:block" />}
      {number('fresh', 'A max is too old after (weeks)')}
      <SelectField
        label="Percentages for reps"
        hint="Published tables differ by a few percent."
        {...register('table')}
      >
        {repTables.map((table) => (
          <option key={table} value={table}>
            {repTableTitle(table)}
          </option>
        ))}
      </SelectField>
      {number('trainingMax', 'Training max, % of the 1RM')}
      <SelectField
        label="Rounding"
        hint="Deloads and test singles always round down."
        {...register('rounding')}
      >
        <option value="nearest">to the nearest, ties up</option>
        <option value="down">down</option>
        <option value="up">up</option>
      </SelectField>
      <SelectField label="Warm-up before a lift" {...register('warmUp')}>
        {Object.entries(warmUpChoices).map(([choice, said]) => (
          <option key={choice} value={choice}>
            {said}
          </option>
        ))}
      </SelectField>
      {warmUp === 'listed' && (
        <Field
          label="Warm-up sets: % × reps"
          hint="bar × 10 for the empty bar"
          error={errors.listed?.message}
          {...register('listed')}
        />
      )}
      <SelectField
        label="Missed sessions of a week"
        hint="For members on the calendar, when the week is over."
        {...register('missed')}
      >
        {missedPolicies.map((policy) => (
          <option key={policy} value={policy}>
            {missedWords[policy]}
          </option>
        ))}
      </SelectField>
      <SelectField label="Deloads" {...register('deloadPolicy')}>
        {deloadPolicies.map((policy) => (
          <option key={policy} value={policy}>
            {policyWords[policy]}
          </option>
        ))}
      </SelectField>
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
