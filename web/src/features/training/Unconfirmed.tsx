import { useState } from 'react'
import { formatDay } from '@young-oak/core/units'
import type { TodayView } from '@young-oak/api/training'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { record } from '../../offline/useOutbox.ts'
import { useAppSelector } from '../../app/store.ts'
import { today } from '../../app/today.ts'

/** Sessions of a phone whose clock was days ahead: each counts once its day is confirmed. */
export default function Unconfirmed({ sessions }: { sessions: TodayView['unconfirmed'] }) {
  const operations = useAppSelector(({ outbox }) => outbox.operations)
  const said = new Set(operations.flatMap((one) => (one.kind === 'confirm' ? [one.session] : [])))
  const waiting = sessions.filter(({ session }) => !said.has(session))
  if (!waiting.length) return null
  return (
    <section aria-label="Days to confirm" className="mb-4 rounded bg-acorn-wash p-3 text-acorn">
      {waiting.map((one) => (
        <ConfirmDay key={one.session} {...one} />
      ))}
    </section>
  )
}

function ConfirmDay({ session, name, date }: TodayView['unconfirmed'][number]) {
  const [day, setDay] = useState(today())
  return (
    <form
      className="my-1"
      onSubmit={(event) => {
        event.preventDefault()
        if (day) record({ kind: 'confirm', session, date: day })
      }}
    >
      <p>
        {name} was logged on {formatDay(date)}, which is ahead of today: the clock of that phone may be wrong.
        It counts once you confirm its day.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Field
          label={`Day of ${name}`}
          type="date"
          required
          max={today()}
          value={day}
          onChange={({ target }) => setDay(target.value)}
        />
        <Button type="submit">Confirm the day</Button>
      </div>
    </form>
  )
}
