import type { BlockOf } from '../facts/index.ts'
import type { Plan, PlannedWeek } from '../plan/index.ts'
import { addDays, type Day } from '../units/index.ts'

/** A block with its name and the day it ends: known once it is over, until then counted at a week for each week that is left. */
export type Block = BlockOf & { name: string; ends: Day }

/** The blocks of a plan, in order. */
export function blocksOf({ enrolment, start, weeks }: Plan, today: Day): Block[] {
  const blocks = new Map<string, Block>()
  let ends: Day | undefined
  for (const week of weeks) {
    ends = endOf(week, ends, start > today ? start : today)
    blocks.set(week.phase, { enrolment, phase: week.phase, name: week.phaseName, ends })
  }
  return [...blocks.values()]
}

/** On a calendar a week ends by date; else with its last place, and one with places left takes a week. */
function endOf({ from, places }: PlannedWeek, before: Day | undefined, today: Day): Day {
  if (from) return addDays(from, 6)
  const days = places.flatMap(({ date }) => (date ? [date] : [])).sort()
  const isOver = places.every(({ status }) => status !== 'open' && status !== 'next' && status !== 'ahead')
  const last = days.at(-1)
  if (isOver) return last ?? before ?? today
  const first = days[0] ?? (before && addDays(before, 1) > today ? addDays(before, 1) : today)
  const end = addDays(first, 6)
  return end > today ? end : today
}
