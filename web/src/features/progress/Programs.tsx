import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { endReasons, type EndReason } from '@young-oak/core/facts'
import { sayNewVersion } from '../training/sayNewVersion.ts'
import { formatDay } from '@young-oak/core/units'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { PhoneSelect } from '../../ui/Field.tsx'
import { liftName } from '@young-oak/core/library'
import { useLibrary } from '../library/useLibrary.ts'
import { ExerciseChoice } from './ExerciseChoice.tsx'
import { PauseForm } from './PauseForm.tsx'
import { TrackChoice } from './TrackChoice.tsx'
import { useGive } from './useGive.ts'

type Props = { view: ProgressView; member?: string }

/** The programs that run, each of which can be put on another track, paused, or ended with a reason, and those that were ended, which can be resumed. */
export function Programs({ view, member }: Props) {
  const library = useLibrary()
  const { takeBack, isBusy } = useGive(member)
  if (!view.programs.length && !view.endings.length && !view.following.length) return null
  return (
    <section aria-label="Programs" className="rounded-lg border border-line bg-sheet p-4">
      <h2 className="text-xl">Programs</h2>
      <ul className="mt-1 divide-y divide-line">
        {view.programs.map((program) => (
          <li key={program.enrolment} className="py-1">
            {program.name}
            {program.changed && <p className="text-sm text-bark">{sayNewVersion(program.changed)}</p>}
            <TrackChoice program={program} member={member} />
            {program.choices.map(({ slot, session, of, chosen }) => (
              <ExerciseChoice
                key={slot}
                enrolment={program.enrolment}
                slot={slot}
                label={`Exercise in ${session}: ${of.map((lift) => liftName(library, lift)).join(' or ')}`}
                of={of}
                chosen={chosen}
                member={member}
              />
            ))}
            <PauseForm program={program} member={member} />
            <EndForm enrolment={program.enrolment} name={program.name} member={member} />
          </li>
        ))}
        {view.following.map(({ enrolment, name, after }) => (
          <li key={enrolment} className="py-1">
            {name} <span className="text-sm text-bark">starts once {after} is done</span>
            <EndForm enrolment={enrolment} name={name} member={member} />
          </li>
        ))}
        {view.endings.map(({ id, name, on, reason }) => (
          <li key={id} className="flex items-center gap-3 py-1">
            <span className="grow">
              {name}{' '}
              <span className="text-sm text-bark">
                ended on {formatDay(on)}
                {reason && ` (${reason})`}
              </span>
            </span>
            <Button
              look="quiet"
              className="min-h-11"
              aria-label={`Resume ${name}`}
              disabled={isBusy}
              onClick={() => void takeBack(id, `${name} is resumed where it was left.`)}
            >
              Resume
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}

function EndForm({ enrolment, name, member }: { enrolment: string; name: string; member?: string }) {
  const { give, isBusy } = useGive(member)
  const [reason, setReason] = useState<EndReason>('other')
  return (
    <Details title="End this program" className="">
      <form
        className="grid grid-cols-2 items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void give(
            { kind: 'endEnrolment', enrolment, reason },
            `${name} has ended. What was trained in it stays.`,
          )
        }}
      >
        <PhoneSelect
          label="Why"
          value={reason}
          onChange={({ target }) => setReason(target.value as EndReason)}
        >
          {endReasons.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </PhoneSelect>
        <Button type="submit" look="plain" className="min-h-11" disabled={isBusy}>
          End {name}
        </Button>
      </form>
    </Details>
  )
}
