import { useLibrary } from '../library/useLibrary.ts'
import { Plus, X } from 'lucide-react'
import { useState } from 'react'
import { exerciseOf, exercisesAtHand, liftName, type ExerciseId } from '@young-oak/core/library'
import type { EquipmentBody } from '@young-oak/core/facts'
import {
  fixedTools,
  formatLoad,
  makeable,
  snap,
  specialBars,
  type Rack,
  type Unit,
} from '@young-oak/core/units'
import { ExerciseOptions } from '../library/ExerciseOptions.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { IconButton } from '../../ui/IconButton.tsx'
import { draftOf, emptyUnit, readDraft, toolNames, type UnitDraft } from './equipmentDraft.ts'

type Props = {
  has: EquipmentBody | null
  isSaving: boolean
  error?: string
  onSave: (has: EquipmentBody) => void
}

/** What a place has, in one unit or both: a form that says at once what can be made of it. */
export function EquipmentForm({ has, isSaving, error, onSave }: Props) {
  const library = useLibrary()
  const [draft, setDraft] = useState(() => draftOf(has))
  const [isTried, setTried] = useState(false)
  const read = readDraft(library, draft)
  const units = (['kg', 'lb'] as const).filter((unit) => draft[unit])
  return (
    <form
      noValidate
      className="grid gap-6"
      onSubmit={(event) => {
        event.preventDefault()
        setTried(true)
        if (read.has) onSave(read.has)
      }}
    >
      {(['kg', 'lb'] as const).map((unit) => (
        <section key={unit} aria-label={unit === 'kg' ? 'In kilograms' : 'In pounds'}>
          <label className="flex min-h-11 items-center gap-3 font-medium">
            <input
              type="checkbox"
              className="size-5 accent-leaf"
              checked={draft[unit] !== undefined}
              disabled={units.length === 1 && draft[unit] !== undefined}
              onChange={(event) => {
                const { [unit]: _, ...others } = draft
                setDraft(event.target.checked ? { ...draft, [unit]: emptyUnit(unit) } : others)
              }}
            />
            {unit === 'kg' ? 'Plates in kilograms' : 'Plates in pounds'}
          </label>
          {draft[unit] && (
            <UnitFields
              unit={unit}
              draft={draft[unit]}
              onChange={(own) => setDraft({ ...draft, [unit]: own })}
            />
          )}
        </section>
      ))}
      {read.has && <WhatItMakes racks={read.has.racks} />}
      {isTried && read.faults.length > 0 && (
        <ul role="alert" className="rounded bg-brick-wash px-3 py-2 text-sm text-brick">
          {read.faults.map((fault) => (
            <li key={fault}>{fault}</li>
          ))}
        </ul>
      )}
      {error && (
        <p role="alert" className="text-brick">
          {error}
        </p>
      )}
      <Button type="submit" className="min-h-11 justify-self-start" disabled={isSaving}>
        Save equipment
      </Button>
    </form>
  )
}

type UnitProps = { unit: Unit; draft: UnitDraft; onChange: (draft: UnitDraft) => void }

function UnitFields({ unit, draft, onChange }: UnitProps) {
  const put = (change: Partial<UnitDraft>) => onChange({ ...draft, ...change })
  return (
    <div className="mt-2 grid gap-4 border-l-2 border-line pl-4">
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <Field
          label={`The usual bar, ${unit}`}
          inputMode="decimal"
          value={draft.bar}
          onChange={(event) => put({ bar: event.target.value })}
        />
        <Field
          label="Other, lighter bars"
          placeholder="15; 10"
          value={draft.bars}
          onChange={(event) => put({ bars: event.target.value })}
        />
        {specialBars.map((bar) => (
          <Field
            key={bar}
            label={`${bar.charAt(0).toUpperCase()}${bar.slice(1)}, ${unit}`}
            inputMode="decimal"
            placeholder="usual weight"
            value={draft.special[bar]}
            onChange={(event) => put({ special: { ...draft.special, [bar]: event.target.value } })}
          />
        ))}
      </div>
      <Plates unit={unit} plates={draft.plates} onChange={(plates) => put({ plates })} />
      <div className="grid gap-3">
        {fixedTools.map((tool) => (
          <Field
            key={tool}
            label={`${toolNames[tool]}, ${unit}`}
            placeholder="not listed: usual loads are assumed"
            hint={tool === 'dumbbells' ? 'Loads, and runs of equal steps: 2-20 by 2; 22.5; 25' : undefined}
            value={draft.fixed[tool]}
            onChange={(event) => put({ fixed: { ...draft.fixed, [tool]: event.target.value } })}
          />
        ))}
      </div>
      <Machines unit={unit} machines={draft.machines} onChange={(machines) => put({ machines })} />
    </div>
  )
}

type PlatesProps = {
  unit: Unit
  plates: UnitDraft['plates']
  onChange: (plates: UnitDraft['plates']) => void
}

function Plates({ unit, plates, onChange }: PlatesProps) {
  const change = (at: number, own: Partial<UnitDraft['plates'][number]>) =>
    onChange(plates.map((plate, i) => (i === at ? { ...plate, ...own } : plate)))
  const input = 'h-11 w-20 rounded-md border border-edge bg-sheet px-2 text-right'
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">Plates: weight of one, and pairs of it</legend>
      <ul className="flex flex-wrap gap-x-6 gap-y-2">
        {plates.map(({ weight, pairs }, i) => (
          <li key={i} className="flex items-center gap-2">
            <input
              aria-label={`Plate ${i + 1}, ${unit}`}
              inputMode="decimal"
              value={weight}
              onChange={(event) => change(i, { weight: event.target.value })}
              className={input}
            />
            <span className="text-bark">{unit} ×</span>
            <input
              aria-label={`Pairs of plate ${i + 1}`}
              inputMode="numeric"
              value={pairs}
              onChange={(event) => change(i, { pairs: event.target.value })}
              className={`${input} w-14`}
            />
            <IconButton
              label={`Remove plate ${i + 1}`}
              onClick={() => onChange(plates.filter((_, k) => k !== i))}
            >
              <X size={16} />
            </IconButton>
          </li>
        ))}
      </ul>
      <Button
        type="button"
        look="quiet"
        className="mt-1"
        onClick={() => onChange([...plates, { weight: '', pairs: '1' }])}
      >
        <Plus size={16} className="inline" /> Add a plate
      </Button>
    </fieldset>
  )
}

type MachinesProps = {
  unit: Unit
  machines: UnitDraft['machines']
  onChange: (machines: UnitDraft['machines']) => void
}

/** Machines whose pins go in steps of their own. */
function Machines({ unit, machines, onChange }: MachinesProps) {
  const library = useLibrary()
  const isLeft = (id: ExerciseId) =>
    exerciseOf(library, { exercise: id }).tool === 'machine' &&
    !machines.some(({ exercise }) => exercise === id)
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 text-sm font-medium">Machines with their own steps</legend>
      {machines.map(({ exercise, loads }, i) => (
        <Field
          key={exercise}
          label={`${liftName(library, { exercise })}, ${unit}`}
          placeholder="7; 12; 19-75 by 7"
          hint="Clear the field to remove the machine."
          value={loads}
          onChange={(event) =>
            onChange(machines.map((one, k) => (k === i ? { ...one, loads: event.target.value } : one)))
          }
        />
      ))}
      {exercisesAtHand(library).some(isLeft) && (
        <select
          aria-label="Add a machine"
          value=""
          onChange={(event) =>
            onChange([...machines, { exercise: event.target.value as ExerciseId, loads: '' }])
          }
          className="h-11 justify-self-start rounded-md border border-edge bg-sheet px-3"
        >
          <ExerciseOptions title="Add a machine…" fits={isLeft} />
        </select>
      )}
    </fieldset>
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
