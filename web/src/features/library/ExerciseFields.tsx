import { X } from 'lucide-react'
import { useFormContext, useWatch } from 'react-hook-form'
import {
  liftName,
  muscles,
  patterns,
  readings,
  readingWords,
  takesMax,
  tools,
  type ExerciseId,
  type OwnId,
  type Tool,
} from '@young-oak/core/library'
import { specialBars } from '@young-oak/core/units'
import { Field } from '../../ui/Field.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { asSaid, Select, type Option } from '../../ui/Select.tsx'
import { usualReads, type ExerciseDraft, type ExerciseField, type Share } from './exerciseDraft.ts'
import { ExercisePicker } from './ExercisePicker.tsx'
import { useLibrary } from './useLibrary.ts'

/** The form that the fields are in, with what is wrong with a field in words. */
function useExerciseForm() {
  const form = useFormContext<ExerciseDraft>()
  const errors = form.formState.errors as Partial<Record<ExerciseField, { message?: string }>>
  return { ...form, faultOf: (field: ExerciseField) => errors[field]?.message }
}

export function Names() {
  const { register, faultOf } = useExerciseForm()
  return (
    <div className="grid gap-4 sm:grid-cols-[2fr_1fr]">
      <Field label="Name" error={faultOf('name')} {...register('name')} />
      <Field label="Also found by" hint="Other names for it." error={faultOf('also')} {...register('also')} />
    </div>
  )
}

/** What loads are computed from: settled once the exercise is there. */
export function Kind() {
  const { control, setValue, faultOf } = useExerciseForm()
  const tool = useWatch<ExerciseDraft, 'tool'>({ name: 'tool' })
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-4">
        <FormSelect
          label="Pattern"
          control={control}
          name="pattern"
          error={faultOf('pattern')}
          options={[['', 'choose'], ...asSaid(patterns)]}
        />
        <FormSelect
          label="Tool"
          control={control}
          name="tool"
          options={asSaid(tools)}
          onChosen={(to: Tool) => setValue('reads', usualReads[to])}
        />
        <FormSelect
          label="What the load means"
          control={control}
          name="reads"
          options={readings.map((one) => [one, readingWords[one]])}
        />
        {tool === 'barbell' && (
          <FormSelect
            label="Bar"
            control={control}
            name="bar"
            options={[['', 'the usual bar'], ...asSaid(specialBars)]}
          />
        )}
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <Tick label="Held for a time" name="isHeld" />
        <Tick label="One side at a time" name="perSide" />
      </div>
    </>
  )
}

function Tick({ label, name }: { label: string; name: 'isHeld' | 'perSide' }) {
  const { register } = useExerciseForm()
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input type="checkbox" className="size-5 accent-leaf" {...register(name)} />
      {label}
    </label>
  )
}

const shareWords: Option<Share>[] = [
  ['', '–'],
  ['half', 'half'],
  ['full', 'in full'],
  ['main', 'main'],
]

/** What a set counts for each muscle: in full, by half, or not. */
export function Muscles() {
  const { setValue, faultOf } = useExerciseForm()
  const shares = useWatch<ExerciseDraft, 'shares'>({ name: 'shares' })
  const error = faultOf('direct')
  return (
    <fieldset aria-describedby={error && 'muscles-note'}>
      <legend className="text-sm font-medium">A set counts for</legend>
      <div className="mt-1 grid grid-cols-2 gap-x-6 gap-y-1 sm:grid-cols-4">
        {muscles.map((muscle) => (
          <label key={muscle} className="flex items-center justify-between gap-2 text-sm">
            {muscle}
            <Select
              value={shares[muscle] ?? ''}
              options={shareWords}
              onChoose={(to) => setValue(`shares.${muscle}`, to)}
              className={`min-h-9 px-2 ${shares[muscle] ? 'font-medium' : ''}`}
            />
          </label>
        ))}
      </div>
      {error && (
        <p id="muscles-note" role="alert" className="mt-1 text-sm text-brick">
          {error}
        </p>
      )}
    </fieldset>
  )
}

/** The range that it suits, and what it costs. */
export function Suits() {
  const { register, faultOf } = useExerciseForm()
  const isHeld = useWatch<ExerciseDraft, 'isHeld'>({ name: 'isHeld' })
  const unit = isHeld ? 'seconds' : 'reps'
  return (
    <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
      <Field
        label={`Suits from, ${unit}`}
        inputMode="numeric"
        error={faultOf('reps')}
        {...register('from')}
      />
      <Field label={`Suits up to, ${unit}`} inputMode="numeric" {...register('to')} />
      <Field
        label="Recovery cost (0 none, 5 most)"
        inputMode="decimal"
        error={faultOf('cost')}
        {...register('cost')}
      />
      <Field
        label="Spine load (0 none, 5 most)"
        inputMode="decimal"
        error={faultOf('spine')}
        {...register('spine')}
      />
    </div>
  )
}

/** How it is done, and the lift that it is a variation of. */
export function Notes({ own }: { own?: OwnId }) {
  const library = useLibrary()
  const { register, setValue, faultOf } = useExerciseForm()
  const parent = useWatch<ExerciseDraft, 'parent'>({ name: 'parent' })
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <Field label="Cue" error={faultOf('cue')} {...register('cue')} />
      <Field label="Caution (optional)" error={faultOf('caution')} {...register('caution')} />
      <ExercisePicker
        label="Variation of"
        hint="Templates can use its max until the exercise has its own."
        placeholder="no other lift"
        isOptional
        value={parent}
        fits={(exercise) => takesMax(library, { exercise }) && exercise !== own}
        onChoose={(to) => setValue('parent', to)}
      />
      {parent && (
        <Field
          label="First max, % of the parent’s"
          inputMode="decimal"
          error={faultOf('parent')}
          {...register('percent')}
        />
      )}
    </div>
  )
}

/** What may replace it: fewer tools, or easier on a joint. */
export function Substitutes({ own }: { own?: OwnId }) {
  const library = useLibrary()
  const { setValue, faultOf } = useExerciseForm()
  const chosen = useWatch<ExerciseDraft, 'substitutes'>({ name: 'substitutes' })
  const change = (to: string[]) => setValue('substitutes', to)
  return (
    <div className="grid gap-2">
      <ExercisePicker
        label="Substitutes"
        hint="Exercises that can replace it: another tool, or easier on a joint."
        placeholder="add a substitute"
        value=""
        error={faultOf('substitutes')}
        fits={(id) => id !== own && !chosen.includes(id)}
        onChoose={(id) => id && change([...chosen, id])}
      />
      <ul className="flex flex-wrap gap-2">
        {chosen.map((id) => (
          <li key={id} className="flex items-center rounded border border-edge pl-2 text-sm">
            {liftName(library, { exercise: id as ExerciseId })}
            <button
              type="button"
              aria-label={`Remove ${liftName(library, { exercise: id as ExerciseId })}`}
              onClick={() => change(chosen.filter((one) => one !== id))}
              className="grid size-9 place-items-center text-bark hover:text-ink"
            >
              <X size={14} />
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
