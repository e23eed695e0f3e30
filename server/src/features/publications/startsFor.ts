import type { Publish } from '@young-oak/api/publications'
import { addDays, weekdayOf, type Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import { bringTraits } from '../groups/traits.ts'

type Asked = Pick<Publish, 'start' | 'onUsualDay' | 'ownStarts'>

/** The first days of those of these members who start on another day than the others: one given by hand, or the first weekday that they usually train on. */
export async function startsFor(
  scope: Scope,
  members: string[],
  { start, onUsualDay, ownStarts = [] }: Asked,
  today: Day,
): Promise<Map<string, Day>> {
  const starts = new Map<string, Day>()
  if (onUsualDay) {
    const from = start > today ? start : today
    for (const [member, weekdays] of await usualDays(scope, members)) {
      const day = firstOf(weekdays, from)
      if (day !== from) starts.set(member, day)
    }
  }
  const own = new Set(members)
  for (const { member, start: day } of ownStarts) if (own.has(member)) starts.set(member, day)
  return starts
}

/** The weekdays on which members can train, as far as they have said so. */
async function usualDays(scope: Scope, members: string[]): Promise<Map<string, number[]>> {
  await bringTraits(scope)
  const { rows } = await scope.db.raw(
    `select member_id as member, says from member_trait where gym_id = ? and name = 'days' and member_id = any(?::uuid[])`,
    [scope.gym, members],
  )
  return new Map(
    (rows as { member: string; says: string[] }[]).map((row) => [row.member, row.says.map(Number)]),
  )
}

function firstOf(weekdays: readonly number[], from: Day): Day {
  for (let ahead = 0; ahead < 7; ahead++) {
    const day = addDays(from, ahead)
    if (weekdays.includes(weekdayOf(day))) return day
  }
  return from
}
