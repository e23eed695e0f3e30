import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { goesOn, pauseReasons, type PauseReason } from '@young-oak/core/facts'
import { muscles, type Muscle } from '@young-oak/core/library'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Choices } from '../../ui/Choices.tsx'
import { Details } from '../../ui/Details.tsx'
import { Field, PhoneSelect } from '../../ui/Field.tsx'
import { changesWhile, meanwhiles, sayMeanwhile, sayPause, type Meanwhile } from './meanwhile.ts'
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
  const [meanwhile, setMeanwhile] = useState<Meanwhile>('nothing')
  const [without, setWithout] = useState<Muscle[]>([])
  const [way, setWay] = useState<Way>('program')
  if (paused) {
    const { id } = paused
    return (
      <div className="my-1 flex flex-wrap items-center gap-x-3 rounded bg-mist-wash px-3 py-1 text-mist">
        <span className="grow">{sayPause(paused)}</span>
        <Button
          look="quiet"
          className="min-h-11"
          disabled={isBusy}
          onClick={() => void give({ kind: 'resume', pause: id }, `${name} goes on today.`)}
        >
          {goesOn(paused) ? 'Train as written from today' : 'End the pause today'}
        </Button>
      </div>
    )
  }
  const changes = changesWhile(meanwhile, without)
  const pause = () =>
    changes &&
    give(
      {
        kind: 'pause',
        enrolment,
        reason,
        ...(to && { to }),
        ...(way !== 'program' && { back: Number(way) }),
        ...changes,
      },
      meanwhile === 'nothing' ? `${name} is paused.` : `${name} goes on with this change.`,
    )
  return (
    <Details title="Pause this program, or train around something" className="">
      <form
        className="grid items-start gap-3 sm:grid-cols-2"
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
        <PhoneSelect
          label="Meanwhile"
          value={meanwhile}
          onChange={({ target }) => setMeanwhile(target.value as Meanwhile)}
        >
          {meanwhiles.map((one) => (
            <option key={one} value={one}>
              {sayMeanwhile(one)}
            </option>
          ))}
        </PhoneSelect>
        {meanwhile === 'without' && (
          <div className="sm:col-span-2">
            <Choices
              label="Left out: lifts that work mainly"
              chosen={without}
              choices={muscles.map((muscle) => [muscle, muscle] as const)}
              onChange={setWithout}
            />
          </div>
        )}
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
        <Button type="submit" look="plain" className="min-h-11 sm:mt-6" disabled={isBusy || !changes}>
          {meanwhile === 'nothing' ? `Pause ${name}` : 'Go on with this change'}
        </Button>
        {(reason === 'injury' || reason === 'illness') && (
          <p className="text-sm text-acorn sm:col-span-2">
            See a licensed professional before training again.
          </p>
        )}
      </form>
    </Details>
  )
}
