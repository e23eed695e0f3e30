import { FormProvider, useForm, useWatch } from 'react-hook-form'
import type { EquipmentBody } from '@young-oak/core/facts'
import { formatLoad, makeable, snap, type Rack, type Unit } from '@young-oak/core/units'
import { draftResolver } from '../../app/draftResolver.ts'
import { Alert } from '../../ui/Alert.tsx'
import { Button } from '../../ui/Button.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { draftOf, emptyUnit, readDraft, type EquipmentDraft } from './equipmentDraft.ts'
import { UnitFields } from './UnitFields.tsx'

type Props = {
  has: EquipmentBody | null
  isSaving: boolean
  error: string | undefined
  onSave: (has: EquipmentBody) => void
}

const unitNames: Record<Unit, string> = { kg: 'kilograms', lb: 'pounds' }

/** What a location has, in one unit or both: a form that says at once what can be loaded with it. */
export function EquipmentForm({ has, isSaving, error, onSave }: Props) {
  const library = useLibrary()
  const read = (draft: EquipmentDraft) => readDraft(library, draft)
  const form = useForm<EquipmentDraft, unknown, EquipmentBody>({
    resolver: draftResolver(read),
    defaultValues: draftOf(has),
  })
  const { control, handleSubmit, setValue, formState } = form
  const draft = useWatch({ control }) as EquipmentDraft
  const made = read(draft).value
  const isOnly = !draft.kg || !draft.lb
  return (
    <FormProvider {...form}>
      <form noValidate className="grid gap-6" onSubmit={(event) => void handleSubmit(onSave)(event)}>
        {(['kg', 'lb'] as const).map((unit) => (
          <section key={unit} aria-label={`In ${unitNames[unit]}`}>
            <label className="flex min-h-11 items-center gap-3 font-medium">
              <input
                type="checkbox"
                className="size-5 accent-leaf"
                checked={draft[unit] !== undefined}
                disabled={isOnly && draft[unit] !== undefined}
                onChange={(event) => setValue(unit, event.target.checked ? emptyUnit(unit) : undefined)}
              />
              Plates in {unitNames[unit]}
            </label>
            {draft[unit] && <UnitFields unit={unit} />}
          </section>
        ))}
        {made && <WhatItMakes racks={made.racks} />}
        <Alert>{formState.errors.root?.message ?? error}</Alert>
        <Button type="submit" className="min-h-11 justify-self-start" disabled={isSaving}>
          Save equipment
        </Button>
      </form>
    </FormProvider>
  )
}

/** From what to what a barbell goes, and in how small steps: a wrong plate is seen at once. */
function WhatItMakes({ racks }: { racks: Rack[] }) {
  return (
    <p className="rounded bg-leaf-wash px-3 py-2 text-sm" aria-live="polite">
      {racks.map((rack) => {
        const { loads, unit } = makeable(rack)
        const steps = loads.slice(1).map((load, i) => snap(load - (loads[i] as number)))
        const [first, last] = [loads[0] ?? 0, loads.at(-1) ?? 0]
        return (
          <span key={unit} className="block">
            On a bar: {formatLoad({ value: first, unit })} to {formatLoad({ value: last, unit })}
            {steps.length > 0 &&
              `, in steps of ${formatLoad({ value: Math.min(...steps), unit })}${Math.max(...steps) > Math.min(...steps) ? ` to ${formatLoad({ value: Math.max(...steps), unit })}` : ''}`}
            .
          </span>
        )
      })}
    </p>
  )
}
