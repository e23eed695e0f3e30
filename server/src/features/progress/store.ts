import { upgradeFact, type Fact } from '@young-oak/core/facts'
import type { MemberScope } from '../members/memberScope.ts'

/** The latest revision of a member's own fact; nothing where it is another member's. */
export async function readFact({ db, member }: MemberScope, id: string): Promise<Fact | undefined> {
  const row = await db('fact').where({ member_id: member, id }).orderBy('rev', 'desc').first('body', 'format')
  return row && upgradeFact(row.body, row.format)
}
