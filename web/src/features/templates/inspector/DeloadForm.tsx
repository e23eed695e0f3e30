import { Controller, useForm, useWatch } from 'react-hook-form'
import { deloadOf, everyNth } from '@young-oak/core/deloads'
import { muscles, type Muscle } from '@young-oak/core/library'
import { nominalWeeks, type Command, type Phase, type Template } from '@young-oak/core/template'
import { draftResolver } from '../../../app/draftResolver.ts'
import { useAppDispatch } from '../../../app/store.ts'
import { Acts } from '../../../ui/Acts.tsx'
import { Button } from '../../../ui/Button.tsx'
import { FormSelect } from '../../../ui/FormSelect.tsx'
import { Alert } from '../../../ui/Alert.tsx'
import { useLibrary } from '../../library/useLibrary.ts'
import { FormParams } from '../../params/FormParams.tsx'
import { edit } from '../editorSlice.ts'
import {
  kindsFor,
  newDeload,
  readDeload,
  sayDeload,
  starterOf,
  whomChoices,
  type DeloadDraft,
} from './deloadDraft.ts'

type Props = { draft: Template; phase: Phase; onClose: () => void }

/** A deload of a phase: its kind with the arguments for and against, its parameters, its weeks and its muscles. */
export function DeloadForm({ draft, phase, onClose }: Props) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const { control, handleSubmit, setValue, clearErrors, formState } = useForm<
    DeloadDraft,
    unknown,
    { command: Command }
  >({
    resolver: draftResolver((given) => readDeload(library, draft, phase, given)),
    defaultValues: newDeload(phase),
  })
  const [kind, params] = useWatch({ control, name: ['kind', 'params'] })
  const { saidFor, saidAgainst } = deloadOf[kind]
  const save = ({ command }: { command: Command }) => {
    dispatch(edit(command))
    onClose()
  }
  return (
    <form noValidate className="grid grid-cols-2 gap-4" onSubmit={(event) => void handleSubmit(save)(event)}>
      <FormSelect
        control={control}
        name="kind"
        label="Kind of deload"
        className="col-span-2"
        options={kindsFor(phase).map((one) => [one, deloadOf[one].title])}
        onChosen={(to) => {
          setValue('params', starterOf(to))
          clearErrors()
        }}
      />
      <div className="col-span-2 text-sm text-bark">
        <p className="text-ink">
          {sayDeload({ kind, params }) ?? 'Incomplete: “Add deload” shows what is missing.'}
        </p>
        <p>For: {saidFor}</p>
        <p>Arguments against: {saidAgainst}</p>
      </div>
      <FormParams key={kind} control={control} name="params" kind={deloadOf[kind]} />
      {kind !== 'taper' && (
        <Controller
          control={control}
          name="weeks"
          render={({ field, fieldState }) => (
            <WeekChoice
              phase={phase}
              chosen={field.value}
              error={fieldState.error?.message}
              onChoose={field.onChange}
            />
          )}
        />
      )}
      {kind !== 'fewerDays' && (
        <Controller
          control={control}
          name="muscles"
          render={({ field }) => <MuscleChoice chosen={field.value} onChoose={field.onChange} />}
        />
      )}
      <FormSelect
        control={control}
        name="whom"
        label="For whom"
        className="col-span-2"
        options={whomChoices(draft)}
      />
      <Alert className="col-span-2">{formState.errors.root?.message}</Alert>
      <Acts>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
        <Button type="submit">Add deload</Button>
      </Acts>
    </form>
  )
}

type WeekProps = {
  phase: Phase
  chosen: number[]
  error: string | undefined
  onChoose: (weeks: number[]) => void
}

/** The weeks that the deload is in: one by one, or every so many. */
function WeekChoice({ phase, chosen, error, onChoose }: WeekProps) {
  const weeks = nominalWeeks(phase)
  return (
    <fieldset className="col-span-2">
      <legend className="text-sm font-medium">
        {phase.ends ? 'Weeks before the test (0 is the test week)' : 'Weeks of the phase'}
      </legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {Array.from({ length: weeks }, (_, i) => i + 1).map((week) => (
          <Toggle
            key={week}
            label={String(phase.ends ? weeks - week : week)}
            isOn={chosen.includes(week)}
            onChange={(isOn) =>
              onChoose(isOn ? [...chosen, week].sort((a, b) => a - b) : chosen.filter((one) => one !== week))
            }
          />
        ))}
      </div>
      {!phase.ends && weeks > 3 && (
        <p className="mt-1 flex flex-wrap gap-3 text-sm">
          {[4, 6, 8]
            .filter((n) => n <= weeks)
            .map((n) => (
              <Button key={n} look="quiet" className="-ml-3.5" onClick={() => onChoose(everyNth(weeks, n))}>
                Every {n}th
              </Button>
            ))}
        </p>
      )}
      <Alert>{error}</Alert>
    </fieldset>
  )
}

type MuscleProps = { chosen: Muscle[]; onChoose: (muscles: Muscle[]) => void }

/** The muscles that the deload acts on; all where none is chosen. */
const MuscleChoice = ({ chosen, onChoose }: MuscleProps) => (
  <fieldset className="col-span-2">
    <legend className="text-sm font-medium">
      Muscle groups <span className="font-normal text-bark">(none chosen: all)</span>
    </legend>
    <div className="mt-1 flex flex-wrap gap-1">
      {muscles.map((muscle) => (
        <Toggle
          key={muscle}
          label={muscle}
          isOn={chosen.includes(muscle)}
          onChange={(isOn) => onChoose(isOn ? [...chosen, muscle] : chosen.filter((one) => one !== muscle))}
        />
      ))}
    </div>
  </fieldset>
)

type ToggleProps = { label: string; isOn: boolean; onChange: (isOn: boolean) => void }

const Toggle = ({ label, isOn, onChange }: ToggleProps) => (
  <label
    className={`flex min-h-9 cursor-pointer items-center gap-1.5 rounded-md border px-2.5 text-sm ${isOn ? 'border-leaf bg-leaf-wash font-medium' : 'border-edge'}`}
  >
    <input
      type="checkbox"
      className="accent-leaf"
      checked={isOn}
      onChange={(event) => onChange(event.target.checked)}
    />
    {label}
  </label>
)
