import type { Fact } from '@young-oak/core/facts'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { asMerged } from '../exercises/library.ts'

export type FactsOfMember = { id: string; name: string; facts: Fact[] }

/** Members, by name, with the facts that their maxes are read from. */
export async function membersWithMaxes(scope: Scope, members: MemberScope[]): Promise<FactsOfMember[]> {
  const { rows } = await scope.db.raw(
    `select m.id, m.name,
       coalesce(json_agg(f.body) filter (where f.body is not null), '[]') as facts
     from member m left join fact f on f.gym_id = m.gym_id and f.member_id = m.id
       and f.body->>'kind' in ('max', 'bodyWeight', 'unit')
     where m.id = any(?::uuid[]) group by m.gym_id, m.id, m.name order by m.name, m.id`,
    [members.map(({ member }) => member)],
  )
  return asMerged(scope, rows)
}

/** Stores facts of several members at once, and raises their revisions; held in one order, so that two sheets take turns. */
export async function insertFacts(
  { db, gym }: Scope,
  facts: { scope: MemberScope; fact: Fact }[],
): Promise<void> {
  const members = [...new Set(facts.map(({ scope }) => scope.member))].sort()
  await db('member').whereIn('id', members).orderBy('id').forUpdate().select('id')
  await db('member').whereIn('id', members).increment('revision', 1)
  await db.batchInsert(
    'fact',
    facts.map(({ scope: { member }, fact }) => ({
      gym_id: gym,
      member_id: member,
      id: fact.id,
      rev: fact.rev,
      change: fact.change ?? '',
      date: fact.date,
      body: JSON.stringify(fact),
    })),
    200,
  )
}
