import { actingDay } from '@young-oak/core/evidence'
import { upgradeFact, type Fact } from '@young-oak/core/facts'
import type { Day } from '@young-oak/core/units'
import { factColumns } from '../../database/columns.ts'
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

/** Stores facts of several members at once, and raises their revisions; held in one order, so that two sheets take turns. */
export async function insertFacts(
  { db, gym }: Scope,
  facts: { scope: MemberScope; fact: Fact }[],
): Promise<void> {
  const days = new Map<string, Day>()
  for (const { scope, fact } of facts) {
    const day = actingDay(fact)
    const had = days.get(scope.member)
    if (had === undefined || day < had) days.set(scope.member, day)
  }
  const members = [...days.keys()].sort()
  await db('member').whereIn('id', members).orderBy('id').forUpdate().select('id')
  const { rows } = await db.raw(
    `update member set revision = revision + 1, traits = null, dirty_from = least(dirty_from, given.day)
     from unnest(?::uuid[], ?::date[]) as given(member, day) where id = given.member returning id, revision`,
    [members, members.map((member) => days.get(member) as Day)],
  )
  const revisions = new Map((rows as { id: string; revision: number }[]).map((row) => [row.id, row.revision]))
  await db.batchInsert(
    'fact',
    facts.map(({ scope: { member }, fact }) => ({
      gym_id: gym,
      member_id: member,
      revision: revisions.get(member),
      ...factColumns(fact),
    })),
    200,
  )
}
