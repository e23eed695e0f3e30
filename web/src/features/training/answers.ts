import type { SessionLog } from '@young-oak/core/member'
import { mainMuscle, type Library, type Muscle } from '@young-oak/core/library'
import type { Answers } from '@young-oak/core/progressions'
import type { PlannedSession } from '@young-oak/core/plan'
import type { Day } from '@young-oak/core/units'
import { record } from '../../offline/useOutbox.ts'

/** The muscles that a session works main, in its order, each once: those that its questions are about. */
export function musclesOf(library: Library, { slots }: PlannedSession): Muscle[] {
  const main = slots.filter(({ circuit }) => !circuit).flatMap((slot) => mainMuscle(library, slot) ?? [])
  return [...new Set(main)]
}

/** Minutes since a session was started, where it was today and they make a session; null otherwise. */
export function minutesSince({ date, minute }: SessionLog, today: Day, now: number): number | null {
  if (minute === undefined || date !== today) return null
  const since = now - minute
  return since >= 5 && since <= 240 ? since : null
}

/** Records what was said of a session, with what was said before. */
export function recordAnswers(log: SessionLog, change: Answers): void {
  const { rev = 0, change: _, ...had } = log.answers ?? {}
  const answers = {
    ...had,
    ...change,
    ...((had.worked ?? change.worked) && { worked: { ...had.worked, ...change.worked } }),
    ...((had.sore ?? change.sore) && { sore: { ...had.sore, ...change.sore } }),
  }
  record({ kind: 'answers', session: log.id, rev: rev + 1, answers })
}
