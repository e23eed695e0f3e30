import { traitKinds, traitsOf } from '@young-oak/core/evidence'
import { upgradeFact, type Fact } from '@young-oak/core/facts'
import { planMember } from '@young-oak/core/plan'
import { lastDay } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import { asMerged } from '../exercises/library.ts'
import { inputOf } from '../training/planInput.ts'

const batch = 500

type Behind = { id: string; facts: { body: unknown; format: number }[] }

/**
 * Reads the traits of everybody in the gym anew whose facts have changed since: rules may be asked then. Whoever comes second waits, and finds them
 * done.
 */
export async function bringTraits(scope: Scope): Promise<void> {
  const { db, gym } = scope
  for (;;) {
    const held = await db('member as m')
      .join('gym as g', 'g.id', 'm.gym_id')
      .where({ 'm.gym_id': gym, 'm.left_at': null })
      .whereNull('m.traits')
      .orderBy('m.id')
      .limit(batch)
      .forNoKeyUpdate('m')
      .select<{ id: string; library: number }[]>('m.id', 'g.library')
    if (!held.length) return
    const ids = held.map(({ id }) => id)
    const { rows } = await db.raw(
      `select f.member_id as id, json_agg(json_build_object('format', f.format, 'body', f.body)) as facts
       from fact f where f.gym_id = ? and f.member_id = any(?::uuid[]) and f.kind = any(?::text[]) group by f.member_id`,
      [gym, ids, [...traitKinds]],
    )
    const facts = new Map((rows as Behind[]).map((row) => [row.id, row.facts]))
    const known = asMerged(
      scope,
      ids.map((id) => ({
        id,
        facts: (facts.get(id) ?? []).map(({ body, format }): Fact => upgradeFact(body, format)),
      })),
    )
    const traits = known.flatMap((one) => traitRows(scope, one))
    await db('member_trait').whereIn('member_id', ids).delete()
    await db.raw(
      `insert into member_trait (gym_id, member_id, name, says, amount)
       select ?, member_id, name, coalesce(says, '{}'), amount
       from json_to_recordset(?::json) as t(member_id uuid, name text, says text[], amount numeric)`,
      [gym, JSON.stringify(traits)],
    )
    await db('member').whereIn('id', ids).update({ traits: held[0]?.library })
  }
}

/** All traits are to be read anew: an exercise was merged into another, or stands by itself again. */
export async function forgetTraits({ db, gym }: Scope): Promise<void> {
  await db('member').where({ gym_id: gym }).whereNotNull('traits').update({ traits: null })
}

function traitRows(scope: Scope, { id, facts }: { id: string; facts: Fact[] }) {
  const file = { member: { facts, logs: [] }, enrolments: [], versions: {} }
  // The last word of every fact counts, also of one that acts from a day to come.
  const { evidence } = planMember(inputOf(scope, file, { today: lastDay, through: 'next' }))
  return traitsOf(evidence).map((trait) => ({ member_id: id, ...trait }))
}
