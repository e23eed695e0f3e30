import { pauseBefore } from '../../facts/index.ts'
import type { Evidence } from '../../evidence/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Template } from '../../template/index.ts'
import { daysBetween, type Day } from '../../units/index.ts'
import type { FoldState } from './state.ts'

/**
 * Percent on every load of a session that is one of the first week back, after a pause with a word on the way back, or an absence that the template makes
 * allowance for; null of any other session.
 */
export function backBy(
  { lastDay, backWeek, backBy: known }: FoldState,
  { away }: Template,
  { pauses }: Evidence,
  enrolment: Id,
  week: number,
  day: Day,
): number | null {
  if (backWeek === week) return known
  if (lastDay === null) return null
  const pause = pauses.length ? pauseBefore(pauses, enrolment, lastDay, day) : undefined
  if (pause) return pause.back
  return away && daysBetween(lastDay, day) >= away.weeks * 7 ? away.back : null
}
