import type { Fact } from '@young-oak/core/facts'
import type { Scope } from '../../database/scope.ts'

/** The latest revision of a member's own fact; nothing where it is another member's. */
export async function readFact({ db }: Scope, memberId: string, id: string): Promise<Fact | undefined> {
  const row = await db('fact').where({ member_id: memberId, id }).orderBy('rev', 'desc').first('body')
  return row?.body
}
