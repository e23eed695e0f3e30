import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { goesOn } from '@young-oak/core/facts'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { newPause, pauseOf, sayPause } from './meanwhile.ts'
import { PauseFields } from './PauseFields.tsx'
import { useGive } from './useGive.ts'

type Props = { program: ProgressView['programs'][number]; member: string | undefined }

/** Pauses a program with a reason and the way back, or says that it is paused and ends that. */
export function PauseForm({ program: { enrolment, name, paused }, member }: Props) {
  const { give, isBusy } = useGive(member)
  const [draft, setDraft] = useState(newPause)
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
  const fact = pauseOf(draft)
  const isRest = draft.meanwhile === 'nothing'
  const pause = () =>
    fact && give({ ...fact, enrolment }, isRest ? `${name} is paused.` : `${name} goes on with this change.`)
  return (
    <Details title="Pause this program, or train around something" className="">
      <form
        className="grid items-start gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault()
          void pause()
        }}
      >
        <PauseFields draft={draft} onChange={setDraft} />
        <Button type="submit" look="plain" className="min-h-11 sm:mt-6" disabled={isBusy || !fact}>
          {isRest ? `Pause ${name}` : 'Go on with this change'}
        </Button>
      </form>
    </Details>
  )
}
