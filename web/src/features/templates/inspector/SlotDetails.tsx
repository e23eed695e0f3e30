import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import { setCells } from '@young-oak/core/editing'
import {
  cellNames,
  detailFields,
  formatCell,
  parseCell,
  type Command,
  type SetPrescription,
  type Slot,
  type SlotWarmUp,
  type Template,
} from '@young-oak/core/template'
import { useAppDispatch } from '../../../app/store.ts'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
import { edit } from '../editorSlice.ts'
import { choiceOf, ladderText, warmUpChoices, warmUpOf, type WarmUpChoice } from './warmUpChoice.ts'

type Props = { draft: Template; slotId: string; phase: string; row: number }
type Typed = Record<string, string>
type FormProps = Props & { slot: Slot; groups: SetPrescription[] }

/** What else a slot's lines say: tempo, each side, style, bands, the sign that ends its sets. For this week, or for all of the phase. */
export function SlotDetails({ draft, slotId, phase, row }: Props) {
  const slot = draft.slots[slotId]
  const groups = slot?.rows[phase]?.[row]
  if (!slot || !groups) return null
  // Begun anew where something else came to stand in the lines.
  return (
    <Form
      key={JSON.stringify([slotId, phase, row, groups, slot.warmUp])}
      draft={draft}
      slotId={slotId}
      slot={slot}
      groups={groups}
      phase={phase}
      row={row}
    />
  )
}

const keyOf = (group: string, field: string) => `${group}/${field}`

function Form({ draft, slotId, slot, groups, phase, row }: FormProps) {
  const library = useLibrary()
  const dispatch = useAppDispatch()
  const [typed, setTyped] = useState<Typed>(() =>
    Object.fromEntries(
      groups.flatMap((group) =>
        detailFields.map((field) => [keyOf(group.id, field), formatCell(library, field, group)]),
      ),
    ),
  )
  const [faults, setFaults] = useState<Typed>({})
  const [isForAll, setForAll] = useState(true)
  const [warmUp, setWarmUp] = useState<SlotChoice>(() => slotChoice(slot))
  const save = () => {
    const found: Typed = {}
    const commands: Command[] = []
    const rows = isForAll ? (slot.rows[phase] ?? []).map((_, i) => i) : [row]
    for (const group of groups) {
      for (const field of detailFields) {
        const text = typed[keyOf(group.id, field)] ?? ''
        if (text === formatCell(library, field, group)) continue
        const parsed = parseCell(library, field, text, group, slot, draft)
        if (parsed.error !== undefined) {
          found[keyOf(group.id, field)] = parsed.error
          continue
        }
        commands.push(...setCells(draft, { slot: slotId, phase, rows, group: group.id }, field, parsed.value))
      }
      const hasStop = (typed[keyOf(group.id, 'stop')] ?? '').trim() !== ''
      const hasLeast = (typed[keyOf(group.id, 'least')] ?? '').trim() !== ''
      if (hasLeast && !hasStop) found[keyOf(group.id, 'stop')] = 'Enter what ends the sets.'
    }
    setFaults(found)
    if (Object.keys(found).length) return
    if (warmUp !== slotChoice(slot))
      commands.push({
        do: 'setWarmUp',
        slot: slotId,
        from: slot.warmUp ?? null,
        to: slotWarmUp(warmUp, draft),
      })
    if (commands.length)
      dispatch(edit(commands.length === 1 && commands[0] ? commands[0] : { do: 'several', commands }))
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
      {groups.map((group) => (
        <fieldset key={group.id} className="grid grid-cols-2 gap-3">
          <legend className="mb-1 font-medium">
            {formatCell(library, 'sets', group)} × {formatCell(library, 'goal', group)} @{' '}
            {formatCell(library, 'load', group)}
          </legend>
          {detailFields.map((field) => (
            <Field
              key={field}
              label={capital(cellNames[field])}
              placeholder={hints[field]}
              value={typed[keyOf(group.id, field)] ?? ''}
              error={faults[keyOf(group.id, field)]}
              onChange={(event) => setTyped({ ...typed, [keyOf(group.id, field)]: event.target.value })}
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

type SlotChoice = WarmUpChoice | 'template'

const slotChoice = ({ warmUp }: Slot): SlotChoice => {
  if (warmUp === undefined) return 'template'
  return choiceOf(warmUp === 'none' ? undefined : warmUp)
}

/** A ladder of a slot's own begins as the template's, or as the usual bar. */
function slotWarmUp(choice: SlotChoice, { warmUp }: Template): SlotWarmUp {
  if (choice === 'template') return null
  return warmUpOf(choice, ladderText(warmUp)) ?? 'none'
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
