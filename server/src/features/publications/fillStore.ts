import { enrolmentsIn } from '@young-oak/core/member'
import type { Day } from '@young-oak/core/units'
import { v5 } from 'uuid'
import type { Scope } from '../../database/scope.ts'
import { gymToday, holdReached, type Filling, type Held } from './store.ts'

/** How many members are filled in with one statement. */
const aBatch = 1000

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
    .select<{ member_id: string }[]>('member_id')
  if (!open.length) return 0
  const members = open.map(({ member_id }) => member_id)
  const current = await currentOf(scope, members)
  const corrected = new Map(
    filling.others === 'replace' && filling.replaces !== null
      ? await endsOf(scope, filling.replaces, members)
      : [],
  )
  const batch = members.map((member) => {
    const own = current.get(member) ?? []
    const isSame = ({ template }: Current) => template === filling.template
    const ended = own.filter((one) => (isSame(one) ? filling.again : filling.others === 'replace'))
    const ends = [...ended.map((one) => one.id), ...(corrected.get(member) ?? [])]
    const running = filling.again ? undefined : own.find(isSame)?.id
    return {
      member,
      enrolment: running ?? v5(member, id),
      isFresh: running === undefined,
      ends: [...new Set(ends)],
    }
  })
  await db.raw(
    `insert into enrolment (gym_id, id, member_id, template_id, clock)
     select ?, enrolment, member, ?, ? from json_to_recordset(?) as b(member uuid, enrolment uuid) on conflict (gym_id, id) do nothing`,
    [gym, filling.template, filling.clock, JSON.stringify(batch.filter(({ isFresh }) => isFresh))],
  )
  await db.raw(
    `update publication_member m set enrolment_id = b.enrolment, ends = array(select json_array_elements_text(b.ends)::uuid)
     from json_to_recordset(?) as b(member uuid, enrolment uuid, ends json)
     where m.gym_id = ? and m.publication_id = ? and m.member_id = b.member`,
    [JSON.stringify(batch), gym, id],
  )
  return open.length
}

type Current = { id: string; template: string }
type Counting = {
  member: string
  number: number
  enrolment: string
  template: string
  version: string
  from: Day
  ends: string[]
}

/** The programs that members are on, or will be, by member, the latest first. */
async function currentOf(scope: Scope, members: string[]): Promise<Map<string, Current[]>> {
  const { db, gym } = scope
  const today = await gymToday(scope)
  const { rows } = await db.raw(
    `select member_id as member, number, enrolment_id as enrolment, template_id as template, version_id as version, starts_on as "from", ends
     from counting_publication where gym_id = ? and member_id = any(?::uuid[])`,
    [gym, members],
  )
  const { rows: endings } = await db.raw(
    `select f.ends_enrolment as id from fact f
     where f.gym_id = ? and f.member_id = any(?::uuid[]) and f.ends_enrolment is not null and f.acts_from <= ?
       and not exists (select from fact later where later.gym_id = f.gym_id and later.member_id = f.member_id and later.id = f.id and later.rev > f.rev)`,
    [gym, members, today],
  )
  const ended = new Set((endings as { id: string }[]).map(({ id }) => id))
  const counting = rows as Counting[]
  const templates = new Map(counting.map(({ enrolment, template }) => [enrolment, template]))
  const byMember = new Map<string, Counting[]>()
  for (const one of counting) {
    const own = byMember.get(one.member)
    if (own) own.push(one)
    else byMember.set(one.member, [one])
  }
  const currentIn = (own: Counting[]): Current[] =>
    enrolmentsIn(own)
      .filter(({ id, to }) => !ended.has(id) && (to === undefined || to > today))
      .sort((a, b) => ((a.segments[0]?.from ?? '') < (b.segments[0]?.from ?? '') ? 1 : -1))
      .map(({ id }) => ({ id, template: templates.get(id) ?? '' }))
  return new Map([...byMember].map(([member, own]) => [member, currentIn(own)]))
}

/** What a publication ended, by member. */
async function endsOf({ db, gym }: Scope, id: string, members: string[]): Promise<[string, string[]][]> {
  const rows = await db('publication_member')
    .where({ gym_id: gym, publication_id: id })
    .whereIn('member_id', members)
    .select<{ member_id: string; ends: string[] }[]>('member_id', 'ends')
  return rows.map(({ member_id, ends }) => [member_id, ends])
}

/**
 * Holds the members of a publication in the order of their ids, leaves out who is no longer here or no longer the writer's, and puts those who
 * have come on the template since on the program that they have. Answers how many are left.
 */
export async function settleMembers(
  scope: Scope,
  id: string,
  { template, staff, again }: Held,
): Promise<number> {
  const { db, gym } = scope
  const members = await holdReached(scope, id)
  const assigned = await db('assignment')
    .where({ gym_id: gym, staff_id: staff, until_at: null })
    .select<{ member_id: string }[]>('member_id')
  const own = new Set(assigned.map(({ member_id }) => member_id))
  const { rows } = await db.raw(
    'select id from member where gym_id = ? and id = any(?::uuid[]) and left_at is null',
    [gym, members],
  )
  const here = new Set((rows as { id: string }[]).map((one) => one.id))
  const gone = members.filter((member) => !own.has(member) || !here.has(member))
  if (gone.length)
    await db.raw(
      'delete from publication_member where gym_id = ? and publication_id = ? and member_id = any(?::uuid[])',
      [gym, id, gone],
    )
  if (!again && (await isOvertaken(scope, id))) await rejoin(scope, id, template)
  return members.length - gone.length
}

/** Whether another publication of the template has come into force since this one was written down. */
async function isOvertaken({ db }: Scope, id: string): Promise<boolean> {
  const { rows } = await db.raw(
    `select exists (select from publication o where o.gym_id = p.gym_id and o.template_id = p.template_id and o.number > p.after) as overtaken
     from publication p where p.id = ?`,
    [id],
  )
  return rows[0].overtaken
}

/** Puts members who are on the template by another publication by now on that enrolment, in the place of one of their own. */
async function rejoin(scope: Scope, id: string, template: string): Promise<void> {
  const { db, gym } = scope
  const all = await db('publication_member')
    .where({ gym_id: gym, publication_id: id })
    .select<{ member_id: string; enrolment_id: string }[]>('member_id', 'enrolment_id')
  const current = await currentOf(
    scope,
    all.map(({ member_id }) => member_id),
  )
  const moved = all.flatMap(({ member_id: member, enrolment_id }) => {
    const own = (current.get(member) ?? []).filter((one) => one.template === template)
    const [newest] = own
    return !newest || own.some((one) => one.id === enrolment_id) ? [] : [{ member, enrolment: newest.id }]
  })
  await db.raw(
    `update publication_member m set enrolment_id = b.enrolment from json_to_recordset(?) as b(member uuid, enrolment uuid)
     where m.gym_id = ? and m.publication_id = ? and m.member_id = b.member`,
    [JSON.stringify(moved), gym, id],
  )
}
