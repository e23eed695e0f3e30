import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { pauseReasons, type PauseReason } from '@young-oak/core/facts'
import { formatDay } from '@young-oak/core/units'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { Field, PhoneSelect } from '../../ui/Field.tsx'
import { useGive } from './useGive.ts'

type Props = { program: ProgressView['programs'][number]; member: string | undefined }

const ways = ['program', '0', '-5', '-10', '-15', '-20', '-30'] as const
type Way = (typeof ways)[number]
const sayWay = (way: Way): string =>
  way === 'program' ? 'as the program says' : way === '0' ? 'full loads' : `${way.replace('-', '−')}% load`

/** Pauses a program with a reason and the way back, or says that it is paused and ends that. */
export function PauseForm({ program: { enrolment, name, paused }, member }: Props) {
  const { give, isBusy } = useGive(member)
  const [reason, setReason] = useState<PauseReason>('holiday')
  const [to, setTo] = useState('')
  const [way, setWay] = useState<Way>('program')
  if (paused) {
    const { id, from, to: until, reason: why, back } = paused
    return (
      <div className="my-1 flex flex-wrap items-center gap-x-3 rounded bg-mist-wash px-3 py-1 text-mist">
        <span className="grow">
          Paused since {formatDay(from)} ({why}){until && `, back on ${formatDay(until)}`}
          {back !== null && back < 0 && `; first week back at −${-back}% load`}
        </span>
        <Button
          look="quiet"
          className="min-h-11"
          disabled={isBusy}
          onClick={() => void give({ kind: 'resume', pause: id }, `${name} goes on today.`)}
        >
          End the pause today
        </Button>
      </div>
    )
  }
  const pause = () =>
    give(
      {
        kind: 'pause',
        enrolment,
        reason,
        ...(to && { to }),
        ...(way !== 'program' && { back: Number(way) }),
      },
      `${name} is paused.`,
    )
  return (
    <Details title="Pause this program" className="">
      <form
        className="grid grid-cols-2 items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void pause()
        }}
      >
        <PhoneSelect
          label="Reason for the pause"
          value={reason}
          onChange={({ target }) => setReason(target.value as PauseReason)}
        >
          {pauseReasons.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </PhoneSelect>
        <Field
          label="First day back (optional)"
          type="date"
          min={today()}
          value={to}
          onChange={({ target }) => setTo(target.value)}
        />
        <PhoneSelect
          label="First week back"
          value={way}
          onChange={({ target }) => setWay(target.value as Way)}
        >
          {ways.map((one) => (
            <option key={one} value={one}>
              {sayWay(one)}
            </option>
          ))}
        </PhoneSelect>
        <Button type="submit" look="plain" className="mt-6 min-h-11" disabled={isBusy}>
          Pause {name}
        </Button>
        {(reason === 'injury' || reason === 'illness') && (
          <p className="col-span-2 text-sm text-acorn">See a licensed professional before training again.</p>
        )}
      </form>
    </Details>
  )
}
