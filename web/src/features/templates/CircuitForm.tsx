import { useState } from 'react'
import type { Circuit } from '@young-oak/core/template'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectField } from '../../ui/Field.tsx'
import { draftOf, newCircuit, readCircuit, type CircuitDraft, type CircuitFaults } from './circuitDraft.ts'

type Props = { circuit?: Circuit; submit: string; onSave: (circuit: Circuit) => void }

/** How one scored thing is scored: by time for the rounds, or by rounds within a time. */
export function CircuitForm({ circuit, submit, onSave }: Props) {
  const [typed, setTyped] = useState(() => (circuit ? draftOf(circuit) : newCircuit))
  const [faults, setFaults] = useState<CircuitFaults>({})
  const put = (change: Partial<CircuitDraft>) => setTyped({ ...typed, ...change })
  return (
    <form
      noValidate
      aria-label="Circuit"
      className="grid grid-cols-2 gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        const read = readCircuit(typed)
        setFaults('faults' in read ? read.faults : {})
        if ('circuit' in read) onSave(read.circuit)
      }}
    >
      <Field
        label="Name"
        className="col-span-2"
        value={typed.name}
        error={faults.name}
        onChange={(event) => put({ name: event.target.value })}
      />
      <SelectField
        label="Scored by"
        className="col-span-2"
        value={typed.by}
        onChange={(event) => put({ by: event.target.value as Circuit['by'] })}
      >
        <option value="time">time for the rounds</option>
        <option value="rounds">rounds within a time</option>
      </SelectField>
      {typed.by === 'time' && (
        <Field
          label="Rounds"
          inputMode="numeric"
          value={typed.rounds}
          error={faults.rounds}
          onChange={(event) => put({ rounds: event.target.value })}
        />
      )}
      <Field
        label={typed.by === 'time' ? 'At most, minutes (optional)' : 'Minutes'}
        inputMode="decimal"
        value={typed.minutes}
        error={faults.minutes}
        onChange={(event) => put({ minutes: event.target.value })}
      />
      <Button type="submit" className="col-span-2">
        {submit}
      </Button>
    </form>
  )
}
