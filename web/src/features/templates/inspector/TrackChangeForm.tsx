import { Controller, FormProvider, useForm, useFormContext, useWatch } from 'react-hook-form'
import { changeOf, type Adjustment } from '@young-oak/core/adjustments'
import { liftName, muscles, type Library } from '@young-oak/core/library'
import type { Template } from '@young-oak/core/template'
import { draftResolver } from '../../../app/draftResolver.ts'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Field } from '../../../ui/Field.tsx'
import { FormSelect } from '../../../ui/FormSelect.tsx'
import { asSaid, type Option } from '../../../ui/Select.tsx'
import { ExercisePicker } from '../../library/ExercisePicker.tsx'
import { useLibrary } from '../../library/useLibrary.ts'
import { FormParams } from '../../params/FormParams.tsx'
import { mint } from '../mint.ts'
import type { Selected } from './selected.ts'
import {
  isOfWeek,
  newTrackChange,
  readTrackChange,
  starterOf,
  trackChangeKinds,
  type Reach,
  type TrackChangeDraft,
} from './trackChange.ts'

type Props = { draft: Template; selected: Selected; onPut: (to: Adjustment) => void; onClose: () => void }

/** A change of a track, and where it acts: on what the keyboard stands on, or wider. */
export function TrackChangeForm({ draft, selected, onPut, onClose }: Props) {
  const library = useLibrary()
  const form = useForm<TrackChangeDraft, unknown, Omit<Adjustment, 'id'>>({
    resolver: draftResolver((given) => readTrackChange(draft, selected, given)),
    defaultValues: newTrackChange(library, draft, selected),
  })
  const { control, handleSubmit, setValue, clearErrors, formState } = form
  const kind = useWatch({ control, name: 'kind' })
  const { errors } = formState
  return (
    <FormProvider {...form}>
      <form
        noValidate
        className="grid grid-cols-2 gap-3 rounded border border-line p-3"
        onSubmit={(event) => void handleSubmit((change) => onPut({ id: mint(), ...change }))(event)}
      >
        <FormSelect
          control={control}
          name="kind"
          label="Kind of change"
          className="col-span-full"
          options={trackChangeKinds.map((one) => [one, changeOf[one].title])}
          onChosen={(to) => {
            setValue('params', starterOf(to))
            clearErrors()
          }}
        />
        {kind === 'swap' ? (
          <Controller
            control={control}
            name="exercise"
            render={({ field }) => (
              <div className="col-span-full">
                <ExercisePicker
                  label="Other exercise"
                  placeholder="choose an exercise"
                  value={field.value}
                  error={errors.exercise?.message}
                  fits={(id) => id !== slotOf(draft, selected)?.exercise}
                  onChoose={field.onChange}
                />
              </div>
            )}
          />
        ) : (
          <FormParams key={kind} control={control} name="params" kind={changeOf[kind]} />
        )}
        {kind === 'rotation' && (
          <Controller
            control={control}
            name="sessions"
            render={({ field, fieldState }) => (
              <Sessions
                draft={draft}
                sessions={field.value}
                error={fieldState.error?.message}
                onChange={field.onChange}
              />
            )}
          />
        )}
        <WhereFields draft={draft} selected={selected} />
        <Button type="submit">Add change</Button>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
      </form>
    </FormProvider>
  )
}

type WhereProps = Pick<Props, 'draft' | 'selected'>

/** Where the change acts: how far from what the keyboard stands on, in which phase, in which of its weeks. */
function WhereFields({ draft, selected }: WhereProps) {
  const library = useLibrary()
  const { control, register, formState } = useFormContext<TrackChangeDraft>()
  const [kind, reach] = useWatch({ control, name: ['kind', 'reach'] })
  return (
    <>
      {!isOfWeek(kind) && (
        <FormSelect
          control={control}
          name="reach"
          label="Where"
          className={reach === 'muscle' ? '' : 'col-span-full'}
          options={reaches(library, draft, selected)}
        />
      )}
      {!isOfWeek(kind) && reach === 'muscle' && (
        <FormSelect control={control} name="muscle" label="Muscle" options={asSaid(muscles)} />
      )}
      <FormSelect
        control={control}
        name="phase"
        label="Phase"
        options={[['', 'all'], ...draft.phases.map(({ id, name }): Option<string> => [id, name])]}
      />
      <Field
        label="Weeks of the phase"
        placeholder="all"
        error={formState.errors.weeks?.message}
        {...register('weeks')}
      />
      {!isOfWeek(kind) && (
        <Field
          label="Days of the week"
          placeholder="all"
          hint="1 for the week’s first session, 2 for its second."
          error={formState.errors.days?.message}
          {...register('days')}
        />
      )}
    </>
  )
}

const slotOf = ({ slots }: Template, { slot }: Selected) => (slot === undefined ? undefined : slots[slot])

/** How far a change may reach from what the keyboard stands on. */
function reaches(library: Library, draft: Template, selected: Selected): Option<Reach>[] {
  const slot = slotOf(draft, selected)
  const session = selected.session && draft.sessions[selected.session]
  const own: Option<Reach>[] = slot
    ? [
        ['slot', `only here: ${liftName(library, slot)}`],
        ['lift', `this lift everywhere: ${liftName(library, slot).toLowerCase()}`],
      ]
    : []
  return [
    ...own,
    ...(session ? [['session', `the session ${session.name}`] as const] : []),
    ['muscle', 'exercises of one muscle'],
    ['everywhere', 'everywhere'],
  ]
}

type SessionsProps = {
  draft: Template
  sessions: string[]
  error: string | undefined
  onChange: (to: string[]) => void
}

/** The sessions that the track rotates, in their order. */
const Sessions = ({ draft, sessions, error, onChange }: SessionsProps) => (
  <fieldset className="col-span-full">
    <legend className="text-sm font-medium">Session rotation</legend>
    {Object.entries(draft.sessions).map(([id, { name }]) => (
      <label key={id} className="flex min-h-8 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="accent-leaf"
          checked={sessions.includes(id)}
          onChange={(event) =>
            onChange(event.target.checked ? [...sessions, id] : sessions.filter((one) => one !== id))
          }
        />
        {name}
      </label>
    ))}
    <Alert>{error}</Alert>
  </fieldset>
)
