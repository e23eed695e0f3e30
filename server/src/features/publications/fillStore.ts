import { enrolmentsIn, goingOn, type Publication } from '@young-oak/core/member'
import type { Day } from '@young-oak/core/units'
import { v5 } from 'uuid'
import type { Scope } from '../../database/scope.ts'
import type { Filling } from './store.ts'
import { whatItChanges, type OnProgram } from './whatItChanges.ts'

/** How many members are filled in with one statement. */
const aBatch = 2000

/**
 * Fills in the next members of a publication: the enrolment that it changes, or the one that it makes, and what it ends. Answers how many; a batch that runs
 * again writes the same rows.
 */
export async function fillBatch(scope: Scope, id: string, filling: Filling): Promise<number> {
  const { db, gym } = scope
  const open = await db('publication_member')
    .where({ gym_id: gym, publication_id: id, enrolment_id: null })
    .orderBy('member_id')
    .limit(aBatch)
    .select<{ member_id: string; starts_on: Day | null }[]>('member_id', 'starts_on')
  if (!open.length) return 0
  const members = open.map(({ member_id }) => member_id)
  const days = new Map(open.map((one) => [one.member_id, dayOf(filling, one.starts_on)]))
  const going = await goingOnOf(scope, days)
  const batch = members.map((member) => {
    const { changes, ends, after, carries } = whatItChanges(filling, going.get(member) ?? [])
    return { member, enrolment: changes ?? v5(member, id), isFresh: changes === null, ends, after, carries }
  })
  await db.raw(
    `insert into enrolment (gym_id, id, member_id, template_id, clock)
     select ?, enrolment, member, ?, ? from json_to_recordset(?) as b(member uuid, enrolment uuid) on conflict (gym_id, id) do nothing`,
    [gym, filling.template, filling.clock, JSON.stringify(batch.filter(({ isFresh }) => isFresh))],
  )
  await db.raw(
    `update publication_member m set enrolment_id = b.enrolment, ends = array(select json_array_elements_text(b.ends)::uuid), after_enrolment = b.after,
       carries_enrolment = b.carries
     from json_to_recordset(?) as b(member uuid, enrolment uuid, ends json, after uuid, carries uuid)
     where m.gym_id = ? and m.publication_id = ? and m.member_id = b.member`,
    [JSON.stringify(batch), gym, id],
  )
  return open.length
}

type Counting = OnProgram & Publication & { member: string }

/** The day on which it would begin today for a member who may have a first day of their own. */
const dayOf = ({ day, today }: Filling, own: Day | null): Day =>
  own === null ? day : own > today ? own : today

/** The programs that members are on after a day of each, or will be, by member, the latest first. */
async function goingOnOf({ db, gym }: Scope, days: Map<string, Day>): Promise<Map<string, OnProgram[]>> {
  const members = [...days.keys()]
  const { rows } = await db.raw(
    `select member_id as member, number, enrolment_id as enrolment, template_id as template, version_id as version, starts_on as "from", ends
     from counting_publication where gym_id = ? and member_id = any(?::uuid[])`,
    [gym, members],
  )
  const { rows: endings } = await db.raw(
    `select f.ends_enrolment as id, f.acts_from as day from fact f
     where f.gym_id = ? and f.member_id = any(?::uuid[]) and f.ends_enrolment is not null
       and not exists (select from fact later where later.gym_id = f.gym_id and later.member_id = f.member_id and later.id = f.id and later.rev > f.rev)`,
    [gym, members],
  )
  const ended = Object.fromEntries((endings as { id: string; day: Day }[]).map((one) => [one.id, one.day]))
  const counting = rows as Counting[]
  const templates = new Map(counting.map(({ enrolment, template }) => [enrolment, template]))
  const byMember = new Map<string, Counting[]>()
  for (const one of counting) {
    const own = byMember.get(one.member)
    if (own) own.push(one)
    else byMember.set(one.member, [one])
  }
  const goingIn = (member: string, own: Counting[]): OnProgram[] =>
    goingOn(enrolmentsIn(own), { ended }, days.get(member) as Day).map(({ id }) => ({
      id,
      template: templates.get(id) ?? '',
    }))
  return new Map([...byMember].map(([member, own]) => [member, goingIn(member, own)]))
}

/** Leaves out who is no longer here or no longer the writer's. Answers whether anybody is left. */
export async function leaveOutGone({ db, gym }: Scope, id: string, staff: string): Promise<boolean> {
  await db.raw(
    `delete from publication_member m where m.gym_id = ? and m.publication_id = ? and (
       not exists (select from member o where o.gym_id = m.gym_id and o.id = m.member_id and o.left_at is null)
       or not exists (select from assignment a where a.gym_id = m.gym_id and a.member_id = m.member_id and a.staff_id = ? and a.until_at is null))`,
    [gym, id, staff],
  )
  return (
    (await db('publication_member').where({ gym_id: gym, publication_id: id }).first('member_id')) !==
    undefined
  )
}

/** Whether another publication of the gym has come into force since this one was written down. */
export async function isOvertaken({ db }: Scope, id: string): Promise<boolean> {
  const { rows } = await db.raw(
    `select exists (select from publication o where o.gym_id = p.gym_id and o.number > p.after) as overtaken
     from publication p where p.id = ?`,
    [id],
  )
  return rows[0].overtaken
}

/** Fills all of it in anew, as things stand now. */
export async function fillAnew(scope: Scope, id: string, filling: Filling): Promise<void> {
  const { db, gym } = scope
  await db('publication_member')
    .where({ gym_id: gym, publication_id: id })
    .update({ enrolment_id: null, ends: [], after_enrolment: null, carries_enrolment: null })
  while ((await fillBatch(scope, id, filling)) > 0);
}
