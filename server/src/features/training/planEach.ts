import type { Planned } from '@young-oak/core/plan'
import type { Day } from '@young-oak/core/units'
import type { MemberScope } from '../members/memberScope.ts'
import { readMemberFiles, type Read } from './memberFile.ts'
import { keepCheckpoints, type Left } from './store.ts'

/** What was found in a member's plans; where they were planned from a checkpoint that does not hold, `isWhole` is false and it is found once more. */
type Seen<T> = { found: T; planned: Planned; isWhole: boolean }

/**
 * Reads members of one gym for their next sessions as of a day, and has each planned: from their checkpoint where it holds, and else from everything. Where
 * that has come to is kept for the next time.
 */
export async function planEach<T>(
  scopes: MemberScope[],
  day: Day,
  plan: (read: Read) => Seen<T>,
): Promise<{ read: Read; found: T }[]> {
  const byMember = new Map(scopes.map((scope) => [scope.member, scope]))
  const all: { read: Read; found: T }[] = []
  const left: Left[] = []
  const behind: MemberScope[] = []
  const take = (scope: MemberScope, read: Read, { found, planned: { checkpoint } }: Seen<T>) => {
    all.push({ read, found })
    if (checkpoint && checkpoint !== read.checkpoint && checkpoint.through < day)
      left.push({ scope, checkpoint, read })
  }
  for (const read of await readMemberFiles(scopes, { day, through: 'next' })) {
    const scope = byMember.get(read.member) as MemberScope
    const seen = plan(read)
    if (read.checkpoint && !seen.isWhole) behind.push(scope)
    else take(scope, read, seen)
  }
  for (const read of await readMemberFiles(behind))
    take(byMember.get(read.member) as MemberScope, read, plan(read))
  await keepCheckpoints('next', left)
  return all
}
