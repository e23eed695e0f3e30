import { upgradeFact, type Fact } from '@young-oak/core/facts'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { asMerged } from '../exercises/library.ts'

/** A fact as it was stored, in the format beside it. */
type StoredFact = { body: unknown; format: number }

export type FactsOfMember = { id: string; name: string; facts: Fact[] }

/** Members, by name, with the facts that their maxes are read from. */
export async function membersWithMaxes(scope: Scope, members: MemberScope[]): Promise<FactsOfMember[]> {
  const { rows } = await scope.db.raw(
    `select m.id, m.name,
       coalesce(json_agg(json_build_object('format', f.format, 'body', f.body)) filter (where f.id is not null), '[]') as facts
     from member m left join fact f on f.gym_id = m.gym_id and f.member_id = m.id
       and f.kind in ('max', 'bodyWeight', 'unit')
     where m.id = any(?::uuid[]) group by m.gym_id, m.id, m.name order by m.name, m.id`,
    [members.map(({ member }) => member)],
  )
  return asMerged(
    scope,
    (rows as (Omit<FactsOfMember, 'facts'> & { facts: StoredFact[] })[]).map(({ facts, ...member }) => ({
      ...member,
      facts: facts.map(({ body, format }) => upgradeFact(body, format)),
    })),
  )
}
