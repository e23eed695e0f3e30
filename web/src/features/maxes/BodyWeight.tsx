import { useState } from 'react'
import { toast } from '../../ui/toast.ts'
import type { MaxesView } from '@young-oak/api/maxes'
import { formatDay, formatLoad, type Unit, typedNumber } from '@young-oak/core/units'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { waitsWords } from '../../offline/enter.ts'
import { useGiveLoad } from './useGiveLoad.ts'

type Props = { unit: Unit; body: MaxesView['body']; member?: string }

/** Body weight, which body-weight lifts have as a part of their load: what is known, and a field to say it anew. */
export function BodyWeight({ unit, body, member }: Props) {
  const [typed, setTyped] = useState('')
  const [fault, setFault] = useState<string>()
  const { give, isLoading } = useGiveLoad(member)
  const submit = async () => {
    const value = typedNumber(typed)
    if (typeof value !== 'number') return setFault('Enter the weight as a number.')
    const given = { load: { value, unit }, date: today(), today: today() }
    const entered = await give({ kind: 'bodyWeight', given })
    if (entered.result === 'refused') return setFault(entered.errors['load.value'] ?? entered.reason)
    setFault(undefined)
    setTyped('')
    toast(
      entered.result === 'waits'
        ? waitsWords
        : 'Saved. Loads added to body weight use it from the next session.',
    )
  }
  return (
    <form
      id="body-weight"
      noValidate
      aria-label="Body weight"
      className="grid gap-3 rounded-lg border border-line bg-sheet p-5"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      <h2 className="text-xl">Body weight</h2>
      <p className="text-sm text-bark">
        {body
          ? `${formatLoad(body.load)}, on ${formatDay(body.date)}. `
          : 'Not entered. Only pull-ups, dips and other body-weight lifts need it. '}
        Only {member === undefined ? 'you and your' : 'the member and the'} writer see it.
      </p>
      <div className="flex items-start gap-3">
        <Field
          label={`Weight today, ${unit}`}
          inputMode="decimal"
          value={typed}
          error={fault}
          className="grow"
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" look="plain" className="mt-6 min-h-11" disabled={isLoading}>
          Save
        </Button>
      </div>
    </form>
  )
}
