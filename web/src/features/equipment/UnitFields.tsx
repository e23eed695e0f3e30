import { Plus, X } from 'lucide-react'
import { get, useFieldArray, useFormContext, useWatch, type FieldError } from 'react-hook-form'
import { exerciseOf, liftName, type ExerciseId } from '@young-oak/core/library'
import { fixedTools, specialBars, type Unit } from '@young-oak/core/units'
import { Alert } from '../../ui/Alert.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { IconButton } from '../../ui/IconButton.tsx'
import { ExercisePicker } from '../library/ExercisePicker.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { toolNames, type EquipmentDraft, type UnitDraft } from './equipmentDraft.ts'

/** The form that the fields are in, with what is wrong with a field in words. */
function useEquipmentForm() {
  const form = useFormContext<EquipmentDraft>()
  const { errors } = form.formState
  return { ...form, faultOf: (field: string) => (get(errors, field) as FieldError | undefined)?.message }
}

/** The bars, the plates and the fixed loads of a location in one unit. */
export function UnitFields({ unit }: { unit: Unit }) {
  const { register, faultOf } = useEquipmentForm()
  return (
    <div className="mt-2 grid gap-4 border-l-2 border-line pl-4">
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <Field
          label={`The usual bar, ${unit}`}
          inputMode="decimal"
          error={faultOf(`${unit}.bar`)}
          {...register(`${unit}.bar`)}
        />
        <Field
          label="Other, lighter bars"
          placeholder="15; 10"
          error={faultOf(`${unit}.bars`)}
          {...register(`${unit}.bars`)}
        />
        {specialBars.map((bar) => (
          <Field
            key={bar}
            label={`${bar.charAt(0).toUpperCase()}${bar.slice(1)}, ${unit}`}
            inputMode="decimal"
            placeholder="usual weight"
            error={faultOf(`${unit}.special.${bar}`)}
            {...register(`${unit}.special.${bar}`)}
          />
        ))}
      </div>
      <Plates unit={unit} />
      <div className="grid gap-3">
        {fixedTools.map((tool) => (
          <Field
            key={tool}
            label={`${toolNames[tool]}, ${unit}`}
            placeholder="not listed: usual loads are assumed"
            hint={tool === 'dumbbells' ? 'Loads, and runs of equal steps: 2-20 by 2; 22.5; 25' : undefined}
            error={faultOf(`${unit}.fixed.${tool}`)}
            {...register(`${unit}.fixed.${tool}`)}
          />
        ))}
      </div>
      <Field
        label={`Plates to put on a pin, ${unit}`}
        placeholder="none"
        hint="Single plates for smaller steps on stacks: 1.25; 2.5"
        error={faultOf(`${unit}.onPin`)}
        {...register(`${unit}.onPin`)}
      />
      <Machines unit={unit} />
    </div>
  )
}

function Plates({ unit }: { unit: Unit }) {
  const { control } = useEquipmentForm()
  const { fields, append, remove } = useFieldArray({ control, name: `${unit}.plates` })
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">Plates: weight of each, and pairs</legend>
      <ul className="flex flex-wrap gap-x-6 gap-y-2">
        {fields.map(({ id }, i) => (
          <Plate key={id} unit={unit} at={i} onRemove={() => remove(i)} />
        ))}
      </ul>
      <Button look="quiet" className="mt-1" onClick={() => append({ weight: '', pairs: '1' })}>
        <Plus size={16} className="inline" /> Add a plate
      </Button>
    </fieldset>
  )
}

type PlateProps = { unit: Unit; at: number; onRemove: () => void }

function Plate({ unit, at, onRemove }: PlateProps) {
  const { register, faultOf } = useEquipmentForm()
  const field = `${unit}.plates.${at}` as const
  const [weight, pairs] = [faultOf(`${field}.weight`), faultOf(`${field}.pairs`)]
  const input = 'h-11 rounded-md border bg-sheet px-2 text-right'
  const edge = (fault: string | undefined) => (fault ? 'border-brick' : 'border-edge')
  return (
    <li>
      <div className="flex items-center gap-2">
        <input
          aria-label={`Plate ${at + 1}, ${unit}`}
          aria-invalid={weight !== undefined}
          inputMode="decimal"
          className={`${input} w-20 ${edge(weight)}`}
          {...register(`${field}.weight`)}
        />
        <span className="text-bark">{unit} ×</span>
        <input
          aria-label={`Pairs of plate ${at + 1}`}
          aria-invalid={pairs !== undefined}
          inputMode="numeric"
          className={`${input} w-14 ${edge(pairs)}`}
          {...register(`${field}.pairs`)}
        />
        <IconButton label={`Remove plate ${at + 1}`} onClick={onRemove}>
          <X size={16} />
        </IconButton>
      </div>
      <Alert>{weight ?? pairs}</Alert>
    </li>
  )
}

/** Machines whose pins go in steps of their own. */
function Machines({ unit }: { unit: Unit }) {
  const library = useLibrary()
  const { control, register, setValue, faultOf } = useEquipmentForm()
  const machines: UnitDraft['machines'] = useWatch({ control, name: `${unit}.machines` }) ?? []
  const add = (exercise: ExerciseId) =>
    setValue(`${unit}.machines`, [...machines, { exercise, loads: '', onPin: '' }])
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 text-sm font-medium">Machines with their own steps</legend>
      {machines.map(({ exercise }, i) => (
        <div key={exercise} className="grid grid-cols-[1fr_8rem] gap-3">
          <Field
            label={`${liftName(library, { exercise })}, ${unit}`}
            placeholder="7; 12; 19-75 by 7"
            hint="Clear the field to remove the machine."
            error={faultOf(`${unit}.machines.${i}.loads`)}
            {...register(`${unit}.machines.${i}.loads`)}
          />
          <Field
            label="Plates on its pin"
            placeholder="none"
            error={faultOf(`${unit}.machines.${i}.onPin`)}
            {...register(`${unit}.machines.${i}.onPin`)}
          />
        </div>
      ))}
      <ExercisePicker
        label="Add a machine"
        isBare
        placeholder="Add a machine…"
        value=""
        fits={(id) =>
          exerciseOf(library, { exercise: id }).tool === 'machine' &&
          !machines.some(({ exercise }) => exercise === id)
        }
        onChoose={(exercise) => exercise && add(exercise)}
      />
    </fieldset>
  )
}
