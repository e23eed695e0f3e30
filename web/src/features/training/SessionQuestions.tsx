import { useLibrary } from '../library/useLibrary.ts'
import type { SessionLog } from '@young-oak/core/member'
import type { Muscle } from '@young-oak/core/library'
import { soreAnswers, workedAnswers } from '@young-oak/core/progressions'
import type { PlannedSession } from '@young-oak/core/plan'
import { useState } from 'react'
import { minuteOfDay, today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Field } from '../../ui/Field.tsx'
import { minutesSince, musclesOf, recordAnswers } from './answers.ts'

type Props = { session: PlannedSession; log: SessionLog }

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const hardness = Array.from({ length: 11 }, (_, i) => [String(i), String(i)] as const)

/** After a session: how hard it was, and how worked each muscle felt. What is said moves the sets of programs that listen. */
export function AfterSession({ session, log }: Props) {
  const library = useLibrary()
  const { hard, worked = {} } = log.answers ?? {}
  return (
    <section aria-label="How was it" className="mt-4 border-t border-line pt-3">
      <h3 className="text-lg">How was it?</h3>
      <p className="text-sm text-bark">Optional. Some programs adjust your sets by the answers.</p>
      <Choice
        label="How hard was it? (0 rest, 10 maximal)"
        value={hard === undefined ? '' : String(hard)}
        choices={hardness}
        onChange={(said) => said && recordAnswers(log, { hard: Number(said) })}
      />
      <Minutes key={log.id} log={log} />
      {musclesOf(library, session).map((muscle) => (
        <Choice
          key={muscle}
          label={`${capital(muscle)}: worked`}
          value={worked[muscle] ?? ''}
          choices={workedAnswers.map((one) => [one, one] as const)}
          onChange={(said) => said && recordAnswers(log, { worked: { [muscle]: said } })}
        />
      ))}
    </section>
  )
}

/** How long it took: hardness times minutes is the load of the session. */
function Minutes({ log }: { log: SessionLog }) {
  const known = log.answers?.minutes
  const [typed, setTyped] = useState(known === undefined ? '' : String(known))
  const [error, setError] = useState<string>()
  const [since] = useState(() => minutesSince(log, today(), minuteOfDay()))
  const save = (text: string) => {
    setTyped(text)
    if (!text.trim()) return setError(undefined)
    const minutes = Number(text)
    if (!(Number.isInteger(minutes) && minutes >= 1 && minutes <= 600)) return setError('1 to 600 minutes.')
    setError(undefined)
    if (minutes !== known) recordAnswers(log, { minutes })
  }
  return (
    <div className="mt-3 flex items-end gap-3">
      <Field
        label="How many minutes did it take?"
        inputMode="numeric"
        className="w-52"
        value={typed}
        error={error}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => save(typed)}
        onKeyDown={(event) => event.key === 'Enter' && save(typed)}
      />
      {known === undefined && since !== null && (
        <Button look="plain" onClick={() => save(String(since))}>
          Use {since} min, since you started
        </Button>
      )}
    </div>
  )
}

/** Before the first set: whether a muscle is still sore from the last time. */
export function StillSore({ session, log }: Props) {
  const library = useLibrary()
  const muscles: Muscle[] = musclesOf(library, session)
  const { sore = {} } = log.answers ?? {}
  const isAnswered = muscles.some((muscle) => sore[muscle])
  return (
    <details className="mt-3 rounded border border-line px-3" open={isAnswered && log.sets.length === 0}>
      <summary className="flex min-h-11 cursor-pointer items-center text-sm">
        Sore from last time?{isAnswered && ' (answered)'}
      </summary>
      <div className="pb-3">
        {muscles.map((muscle) => (
          <Choice
            key={muscle}
            label={capital(muscle)}
            value={sore[muscle] ?? ''}
            choices={soreAnswers.map((one) => [one, one === 'still' ? 'still sore' : one] as const)}
            onChange={(said) => said && recordAnswers(log, { sore: { [muscle]: said } })}
          />
        ))}
      </div>
    </details>
  )
}
