import { useLibrary } from '../library/useLibrary.ts'
import type { SessionLog } from '@young-oak/core/member'
import type { Muscle } from '@young-oak/core/library'
import { soreAnswers, workedAnswers } from '@young-oak/core/progressions'
import type { PlannedSession } from '@young-oak/core/plan'
import { Choice } from '../../ui/Choice.tsx'
import { musclesOf, recordAnswers } from './answers.ts'

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
