import type { Template } from '../../template/index.ts'
import { daysBetween, type Day } from '../../units/index.ts'
import type { FoldState } from './state.ts'

/** Whether a session is one of the first week back after an absence that the template makes allowance for. */
export function isBack(
  { lastDay, backWeek }: FoldState,
  { away }: Template,
  week: number,
  day: Day,
): boolean {
  if (!away) return false
  return backWeek === week || (lastDay !== null && daysBetween(lastDay, day) >= away.weeks * 7)
}
