import { useState } from 'react'
import { makeCircuit, type Built } from '@young-oak/core/building'
import { liftName } from '@young-oak/core/library'
import type { Circuit, Id, Template } from '@young-oak/core/template'
import { Button } from '../../../ui/Button.tsx'
import { Field, SelectField } from '../../../ui/Field.tsx'
import { Modal } from '../../../ui/Modal.tsx'
import { mint } from '../mint.ts'

type Props = { draft: Template; slots: Id[]; onPut: (built: Built) => boolean; onClose: () => void }

/** Marked lines as one scored thing: by the time that its rounds take, or by the rounds that fit into a time. */
export function CircuitDialog({ draft, slots, onPut, onClose }: Props) {
  const [typed, setTyped] = useState({ name: 'Circuit', by: 'time', rounds: '3', minutes: '' })
  const [fault, setFault] = useState<Partial<Record<'name' | 'rounds' | 'minutes', string>>>({})
  const put = (change: Partial<typeof typed>) => setTyped({ ...typed, ...change })
  const save = () => {
    const [rounds, minutes] = [Number(typed.rounds), Number(typed.minutes)]
    const found: typeof fault = {}
    if (!typed.name.trim()) found.name = 'Give it a name.'
    if (typed.by === 'time' && !(Number.isInteger(rounds) && rounds >= 1 && rounds <= 100))
      found.rounds = 'Whole rounds, 1 to 100.'
    const hasCap = typed.minutes.trim() !== ''
    if ((typed.by === 'rounds' || hasCap) && !(minutes >= 0.5 && minutes <= 120))
      found.minutes = 'Minutes, 0.5 to 120.'
    setFault(found)
    if (Object.keys(found).length) return
    const capSeconds = hasCap || typed.by === 'rounds' ? Math.round(minutes * 60) : undefined
    const circuit: Circuit = {
      name: typed.name.trim(),
      by: typed.by as Circuit['by'],
      ...(typed.by === 'time' && { rounds }),
      ...(capSeconds && { capSeconds }),
    }
    if (onPut(makeCircuit(draft, slots, circuit, mint))) onClose()
  }
  const names = slots.flatMap((id) => (draft.slots[id] ? [liftName(draft.slots[id])] : []))
  return (
    <Modal
      title="One circuit of these lines"
      about={`${names.join(', ')}, one round after the other.`}
      isOpen
      onClose={onClose}
    >
      <form
        noValidate
        className="grid grid-cols-2 gap-4"
        onSubmit={(event) => {
          event.preventDefault()
          save()
        }}
      >
        <Field
          label="Name"
          className="col-span-2"
          value={typed.name}
          error={fault.name}
          onChange={(event) => put({ name: event.target.value })}
        />
        <SelectField
          label="Scored by"
          className="col-span-2"
          value={typed.by}
          onChange={(event) => put({ by: event.target.value })}
        >
          <option value="time">the time that its rounds take</option>
          <option value="rounds">the rounds that fit into a time</option>
        </SelectField>
        {typed.by === 'time' && (
          <Field
            label="Rounds"
            inputMode="numeric"
            value={typed.rounds}
            error={fault.rounds}
            onChange={(event) => put({ rounds: event.target.value })}
          />
        )}
        <Field
          label={typed.by === 'time' ? 'At most, minutes (optional)' : 'Minutes'}
          inputMode="decimal"
          value={typed.minutes}
          error={fault.minutes}
          onChange={(event) => put({ minutes: event.target.value })}
        />
        <Button type="submit" className="col-span-2">
          Make it
        </Button>
      </form>
    </Modal>
  )
}
