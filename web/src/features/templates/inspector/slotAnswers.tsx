import { setClock } from '@young-oak/core/editing'
import { liftName, liftOf, type Library } from '@young-oak/core/library'
import { sayChoices, type RowClock, type Slot, type Template } from '@young-oak/core/template'
import { formatNumber } from '@young-oak/core/units'
import { formatCircuit } from '@young-oak/core/views'
import { optionsOf, SelectField } from '../../../ui/Select.tsx'
import { CircuitForm } from '../CircuitForm.tsx'
import type { Answer } from './Answers.tsx'
import { CapStep } from './CapStep.tsx'
import { SavedField } from './SavedField.tsx'
import type { Selected } from './selected.ts'
import { SetCounts } from './SetCounts.tsx'
import { SlotChoices } from './SlotChoices.tsx'
import { sayDetails } from './slotDetails.ts'
import { SlotDetails } from './SlotDetails.tsx'
import type { usePut } from './usePut.ts'

type Of = {
  library: Library
  draft: Template
  selected: Selected
  id: string
  slot: Slot
  put: ReturnType<typeof usePut>['put']
}

/** What can be set of a slot, and what is. */
export const slotAnswers = (of: Of): Answer[] =>
  [
    of.slot.circuit ? circuit(of) : variant(of),
    choices(of),
    note(of),
    clock(of),
    cap(of),
    counts(of),
    details(of),
  ].filter((answer) => answer !== null)

function circuit({ id, slot, put }: Of): Answer | null {
  const { circuit: from } = slot
  return (
    (from && {
      name: 'circuit',
      said: `Circuit: ${from.name}, ${formatCircuit(from)}`,
      field: (
        <CircuitForm
          key={JSON.stringify([id, from])}
          circuit={from}
          submit="Save circuit"
          onSave={(to) => void put({ do: 'setSlotField', slot: id, field: 'circuit', from, to })}
        />
      ),
    }) ??
    null
  )
}

const variant = ({ id, slot, put }: Of): Answer => ({
  name: 'variant',
  said: slot.variant ? `Variant: ${slot.variant}` : null,
  field: (
    <SavedField
      label="Variant"
      hint="A grip, a stance or a range of motion. It has its own max."
      value={slot.variant ?? ''}
      onSave={(to) => {
        const lift = liftOf({ exercise: slot.exercise, variant: to.slice(0, 60) || undefined })
        void put({ do: 'setExercise', slot: id, from: liftOf(slot), to: lift })
      }}
    />
  ),
})

function choices({ library, id, slot, put }: Of): Answer | null {
  const { choices: from = null, circuit: isCircuit, rotation } = slot
  // A slot that takes turns has its exercises from them.
  if (isCircuit || rotation) return null
  return {
    name: 'choices',
    said: from && `${liftName(library, slot)} ${sayChoices(library, slot)}`,
    field: (
      <SlotChoices
        slot={slot}
        onPut={(to) => void put({ do: 'setSlotField', slot: id, field: 'choices', from, to })}
      />
    ),
  }
}

const note = ({ id, slot, put }: Of): Answer => ({
  name: 'note',
  said: slot.note ? `Note for the member: ${slot.note}` : null,
  field: (
    <SavedField
      label="Note for the member"
      value={slot.note ?? ''}
      onSave={(to) =>
        void put({ do: 'setSlotField', slot: id, field: 'note', from: slot.note ?? null, to: to || null })
      }
    />
  ),
})

const clock = ({ library, draft, id, slot, put }: Of): Answer => ({
  name: 'how sets are chosen',
  said: slot.by === 'week' ? null : `Sets are chosen by ${clockWords[slot.by]}`,
  field: (
    <SelectField
      label="Sets are chosen by"
      value={slot.by}
      options={optionsOf(clockWords)}
      onChoose={(to) => put(setClock(library, draft, id, to))}
    />
  ),
})

const clockWords: Record<RowClock, string> = {
  week: 'the week of the phase',
  exposure: 'the exposure (first, second…), starting again after the last',
  day: 'the day of the week (day 1, day 2…)',
  toTest: 'the weeks to the test day',
}

function cap({ id, slot, put }: Of): Answer | null {
  const { by, capStep: from } = slot
  if (by !== 'toTest' || !from) return null
  return {
    name: 'cap',
    said: `Capped at ${formatNumber(from.kg)} kg (${formatNumber(from.lb)} lb) above the heaviest load trained in the phase`,
    field: (
      <CapStep
        step={from}
        onSave={(to) => void put({ do: 'setSlotField', slot: id, field: 'capStep', from, to })}
      />
    ),
  }
}

const counts = ({ id, slot, put }: Of): Answer => ({
  name: 'muscles',
  said: slot.counts
    ? `A set counts for ${Object.entries(slot.counts)
        .map(([muscle, count]) => `${muscle} ${formatNumber(count)}`)
        .join(', ')}`
    : null,
  field: (
    <SetCounts
      slot={slot}
      onSave={(to) => put({ do: 'setSlotField', slot: id, field: 'counts', from: slot.counts ?? null, to })}
    />
  ),
})

function details({ library, draft, selected, id, slot }: Of): Answer {
  const { phase = '', row = 0 } = selected
  return {
    name: 'details of the sets',
    said: sayDetails(library, slot, phase, row),
    isOpen: selected.opens === 'details',
    field: <SlotDetails draft={draft} slotId={id} phase={phase} row={row} />,
  }
}
