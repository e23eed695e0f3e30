import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import {
  cellNames,
  detailFields,
  formatCell,
  type SetPrescription,
  type Slot,
  type Template,
} from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
import { edit } from '../editorSlice.ts'
import {
  detailsOf,
  keyOf,
  readDetails,
  slotChoice,
  type SlotChoice,
  type TypedDetails,
} from './slotDetails.ts'
import { warmUpChoices } from './warmUpChoice.ts'

type Props = { draft: Template; slotId: string; phase: string; row: number }
type FormProps = Props & { slot: Slot; prescriptions: SetPrescription[] }

/** What else a slot's lines say: tempo, each side, style, bands, what ends its sets. For this week, or for all of the phase. */
export function SlotDetails({ draft, slotId, phase, row }: Props) {
  const slot = draft.slots[slotId]
  const prescriptions = slot?.rows[phase]?.[row]
  if (!slot || !prescriptions) return null
  // Begun anew where something else came to stand in the lines.
  return (
    <Form
      key={JSON.stringify([slotId, phase, row, prescriptions, slot.warmUp])}
      draft={draft}
      slotId={slotId}
      slot={slot}
      prescriptions={prescriptions}
      phase={phase}
      row={row}
    />
  )
}

function Form({ draft, slotId, slot, prescriptions, phase, row }: FormProps) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [typed, setTyped] = useState(() => detailsOf(library, prescriptions))
  const [faults, setFaults] = useState<TypedDetails>({})
  const [isForAll, setForAll] = useState(true)
  const [warmUp, setWarmUp] = useState<SlotChoice>(() => slotChoice(slot))
  const save = () => {
    const read = readDetails(library, draft, { slotId, phase, row, isForAll }, typed, warmUp)
    setFaults(read.faults)
    const [only] = read.commands
    if (Object.keys(read.faults).length || !only) return
    dispatch(edit(read.commands.length === 1 ? only : { do: 'several', commands: read.commands }))
  }
  return (
    <form
      noValidate
      className="grid gap-5"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      {prescriptions.map((prescribed) => (
        <fieldset key={prescribed.id} className="grid grid-cols-2 gap-3">
          <legend className="mb-1 font-medium">
            {formatCell(library, 'sets', prescribed)} × {formatCell(library, 'goal', prescribed)} @{' '}
            {formatCell(library, 'load', prescribed)}
          </legend>
          {detailFields.map((field) => (
            <Field
              key={field}
              label={capital(cellNames[field])}
              placeholder={hints[field]}
              value={typed[keyOf(prescribed.id, field)] ?? ''}
              error={faults[keyOf(prescribed.id, field)]}
              onChange={(event) => setTyped({ ...typed, [keyOf(prescribed.id, field)]: event.target.value })}
            />
          ))}
        </fieldset>
      ))}
      <SelectField
        label="Warm-up before this lift"
        value={warmUp}
        onChange={(event) => setWarmUp(event.target.value as SlotChoice)}
      >
        <option value="template">as in the template</option>
        {Object.entries(warmUpChoices).map(([choice, said]) => (
          <option key={choice} value={choice}>
            {said}
          </option>
        ))}
      </SelectField>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-leaf"
          checked={isForAll}
          onChange={(event) => setForAll(event.target.checked)}
        />
        Change every week of the phase
      </label>
      <Button type="submit">Save details</Button>
    </form>
  )
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

const hints: Record<(typeof detailFields)[number], string> = {
  tempo: '31X0',
  perSide: 'yes',
  option: '50% in a 10 kg vest',
  roundRest: '2:00',
  style: 'speed',
  bands: '2 green',
  least: '3',
  stop: 'the bar slows',
  kind: 'top',
  over: 'yes',
}
