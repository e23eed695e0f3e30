import { useForm } from 'react-hook-form'
import {
  cellNames,
  detailFields,
  formatCell,
  type Command,
  type SetPrescription,
  type Slot,
  type Template,
} from '@young-oak/core/template'
import { draftResolver } from '../../../app/draftResolver.ts'
import { useAppDispatch } from '../../../app/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Field } from '../../../ui/Field.tsx'
import { FormMark } from '../../../ui/FormMark.tsx'
import { FormSelect } from '../../../ui/FormSelect.tsx'
import { optionsOf, type Option } from '../../../ui/Select.tsx'
import { useLibrary } from '../../library/useLibrary.ts'
import { edit } from '../editorSlice.ts'
import { detailsOf, readDetails, type DetailsDraft, type SlotChoice } from './slotDetails.ts'
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
  const { register, control, handleSubmit, formState } = useForm<
    DetailsDraft,
    unknown,
    { commands: Command[] }
  >({
    resolver: draftResolver((given) => readDetails(library, draft, { slotId, phase, row }, given)),
    defaultValues: detailsOf(library, slot, prescriptions),
  })
  const { errors } = formState
  const save = ({ commands }: { commands: Command[] }) => {
    const [only] = commands
    if (only) dispatch(edit(commands.length === 1 ? only : { do: 'several', commands }))
  }
  return (
    <form noValidate className="grid gap-5" onSubmit={(event) => void handleSubmit(save)(event)}>
      {prescriptions.map((prescribed, line) => (
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
              error={errors.lines?.[line]?.[field]?.message}
              {...register(`lines.${line}.${field}`)}
            />
          ))}
        </fieldset>
      ))}
      <FormSelect
        control={control}
        name="warmUp"
        label="Warm-up before this lift"
        options={[['template', 'as in the template'] as Option<SlotChoice>, ...optionsOf(warmUpChoices)]}
      />
      <FormMark control={control} name="isForAll" label="Change every week of the phase" />
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
