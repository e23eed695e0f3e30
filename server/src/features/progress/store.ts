import type { EntriesOfMany } from '@young-oak/api/progress'
import { upgradeFact, type Fact } from '@young-oak/core/facts'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'

/** The latest revision of a member's own fact; nothing where it is another member's. */
export async function readFact({ db, member }: MemberScope, id: string): Promise<Fact | undefined> {
  const row = await db('fact').where({ member_id: member, id }).orderBy('rev', 'desc').first('body', 'format')
  return row && upgradeFact(row.body, row.format)
}

/** The latest revisions of facts of several members, each of whom the writer has; of those that there are. */
export async function readFactsOf(
  { db, gym }: Scope,
  rows: EntriesOfMany['rows'],
): Promise<{ member: string; fact: Fact }[]> {
  const { rows: found } = await db.raw(
    `select distinct on (f.member_id, f.id) f.member_id as member, f.body, f.format
     from unnest(?::uuid[], ?::text[]) as asked(member, id)
     join fact f on f.gym_id = ? and f.member_id = asked.member and f.id = asked.id
     order by f.member_id, f.id, f.rev desc`,
    [rows.map(({ member }) => member), rows.map(({ id }) => id), gym],
  )
  return (found as { member: string; body: unknown; format: number }[]).map(({ member, body, format }) => ({
    member,
    fact: upgradeFact(body, format),
  }))
}

/** The weekday that the gym's weeks begin on, 1 for Monday to 7 for Sunday. */
export async function readFirstWeekday({ db, gym }: Scope): Promise<number> {
  const row = await db('gym').where({ id: gym }).first('week_start as start')
  return row?.start === 'saturday' ? 6 : row?.start === 'sunday' ? 7 : 1
}

/** The runs of a template that some members are on, or that are still to begin. */
export async function runsOf(
  { db, gym }: Scope,
  template: string,
  members: string[],
): Promise<{ member: string; enrolment: string }[]> {
  const { rows } = await db.raw(
    `select member_id as member, id as enrolment from current_enrolment
     where gym_id = ? and template_id = ? and member_id = any(?::uuid[]) order by member_id, id`,
    [gym, template, members],
  )
  return rows
}
