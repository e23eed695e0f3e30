import { pageSize, type Page } from '@young-oak/api/contracts'
import type { Publish, PublicationLine, PublicationState, PublishedTo } from '@young-oak/api/publications'
import { enrolmentsIn } from '@young-oak/core/member'
import type { Day } from '@young-oak/core/units'
import { v5 } from 'uuid'
import { pageFrom } from '../../http/page.ts'
import type { Scope } from '../../database/scope.ts'

type Made = Pick<Publish, 'id' | 'revision' | 'members' | 'start' | 'note' | 'track' | 'replaces'> & {
  begins: 'week' | 'session'
  clock: 'own' | 'calendar'
  again: boolean
  others: 'beside' | 'replace'
  template: string
  version: string
  staff: string
}

/** Writes a publication down with its members; nothing of it counts yet. */
export async function insertPublication({ db, gym }: Scope, made: Made): Promise<void> {
  const {
    id,
    template,
    version,
    revision,
    start,
    begins,
    clock,
    again,
    others,
    replaces,
    note,
    staff,
    members,
    track,
  } = made
  await db('publication').insert({
    gym_id: gym,
    id,
    after: db('publication').where({ gym_id: gym }).select(db.raw('coalesce(max(number), 0)')),
    template_id: template,
    version_id: version,
    revision,
    starts_on: start,
    begins,
    clock,
    again,
    others,
    replaces: replaces ?? null,
    note,
    state: 'preparing',
    audience: members.length,
    made_by: staff,
  })
  await db.raw(
    `insert into publication_member (gym_id, publication_id, member_id, sets_track, track)
     select ?, ?, member, ?, ? from unnest(?::uuid[]) member`,
    [gym, id, track !== undefined, track ?? null, members],
  )
}

export type Held = Filling & { state: PublicationState; staff: string; mayTakeBack: boolean }

/** A publication with its row held until the transaction ends. `asker` may take it back who made it, or whoever writes here once that one has left. */
export async function holdPublication(
  { db }: Scope,
  id: string,
  asker: string | null,
): Promise<Held | undefined> {
  const { rows } = await db.raw(
    `select p.state, p.template_id as template, p.made_by as staff, p.clock, p.again, p.others, p.replaces,
       (p.made_by = ?::uuid or s.left_at is not null) as "mayTakeBack"
     from publication p join staff s on s.gym_id = p.gym_id and s.id = p.made_by
     where p.id = ? for update of p`,
    [asker, id],
  )
  return rows[0]
}

const line = `
  select p.id, t.name as template, v.number as version, p.note, p.state, s.name as "madeBy", p.made_at as "madeAt",
    greatest(p.starts_on, p.in_force_on) as start, p.ended_on as "endedOn", b.name as "endedBy", p.others, p.audience as members,
    (p.made_by = ?::uuid or s.left_at is not null) as "isTheirs"
  from publication p
  join template t on t.gym_id = p.gym_id and t.id = p.template_id
  join template_version v on v.gym_id = p.gym_id and v.id = p.version_id
  join staff s on s.gym_id = p.gym_id and s.id = p.made_by
  left join staff b on b.gym_id = p.gym_id and b.id = p.ended_by`

/** What was published of a template, the latest first. */
export async function listPublications(
  { db }: Scope,
  template: string,
  asker: string,
): Promise<PublicationLine[]> {
  const { rows } = await db.raw(`${line} where p.template_id = ? order by p.made_at desc, p.id limit 200`, [
    asker,
    template,
  ])
  return rows.map(lineOf)
}

export async function findPublication(
  { db }: Scope,
  id: string,
  asker: string,
): Promise<PublicationLine | undefined> {
  const { rows } = await db.raw(`${line} where p.id = ?`, [asker, id])
  return rows[0] && lineOf(rows[0])
}

const lineOf = (row: PublicationLine & { madeAt: unknown }): PublicationLine => ({
  ...row,
  madeAt: (row.madeAt as unknown as Date).toISOString(),
})

const hasStarted = `exists (
  select from session_start s join session_log l on l.gym_id = s.gym_id and l.id = s.session_id
  where l.gym_id = m.gym_id and l.enrolment_id = m.enrolment_id and s.version_id = p.version_id
    and s.date between greatest(p.starts_on, p.in_force_on) and coalesce(p.ended_on, 'infinity'))`

/** For how many members it is filled in, and how many have started a session under it. */
export async function countMembers({ db }: Scope, id: string): Promise<{ filled: number; started: number }> {
  const { rows } = await db.raw(
    `select count(m.enrolment_id)::int as filled, count(*) filter (where ${hasStarted})::int as started
     from publication_member m join publication p on p.gym_id = m.gym_id and p.id = m.publication_id
     where m.publication_id = ?`,
    [id],
  )
  return rows[0]
}

/** Whom it reached, by name, from behind one on. */
export async function listReached({ db }: Scope, id: string, after?: string): Promise<Page<PublishedTo>> {
  const { rows } = await db.raw(
    `select o.id, o.name, ${hasStarted} as "hasStarted"
     from publication_member m
     join publication p on p.gym_id = m.gym_id and p.id = m.publication_id
     join member o on o.gym_id = m.gym_id and o.id = m.member_id
     where m.publication_id = ? and (?::uuid is null or (o.name, o.id) > (select name, id from member where id = ?::uuid))
     order by o.name, o.id limit ?`,
    [id, after ?? null, after ?? null, pageSize + 1],
  )
  return pageFrom(rows as PublishedTo[])
}

/** How many members are filled in with one statement. */
const aBatch = 1000

export type Filling = Pick<Made, 'template' | 'clock' | 'again' | 'others'> & { replaces: string | null }

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

/** Publications of one gym come into force one after the other: each gets a number of its own, and none reads what another is about to change. */
export async function waitForTurn({ db, gym }: Scope): Promise<void> {
  await db.raw(`select pg_advisory_xact_lock(hashtextextended('publications of ' || ?, 0))`, [gym])
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

/** Makes a publication count, under the gym's next number, from today on in the gym's zone; its members' revisions rise. */
export async function putInForce(scope: Scope, id: string): Promise<void> {
  const { db, gym } = scope
  await db.raw(
    `update publication set state = 'inForce', in_force_on = (now() at time zone g.zone)::date,
       number = (select coalesce(max(number), 0) + 1 from publication where gym_id = ?)
     from gym g where g.id = publication.gym_id and publication.id = ?`,
    [gym, id],
  )
  await touchReached(scope, id)
}

/** Takes a publication back, or calls it off, on today's day in the gym's zone. */
export async function endPublication(
  scope: Scope,
  id: string,
  state: 'withdrawn' | 'cancelled',
  staff: string,
): Promise<void> {
  await scope.db.raw(
    `update publication set state = ?, ended_on = (now() at time zone g.zone)::date, ended_by = ?
     from gym g where g.id = publication.gym_id and publication.id = ?`,
    [state, staff, id],
  )
  if (state === 'withdrawn') await touchReached(scope, id)
}

/** Raises the revisions of a publication's members. */
async function touchReached(scope: Scope, id: string): Promise<void> {
  const members = await holdReached(scope, id)
  await scope.db.raw('update member set revision = revision + 1 where gym_id = ? and id = any(?::uuid[])', [
    scope.gym,
    members,
  ])
}

/** Holds the members of a publication in the order of their ids, and answers those. */
async function holdReached({ db, gym }: Scope, id: string): Promise<string[]> {
  const reached = await db('publication_member')
    .where({ publication_id: id })
    .select<{ member_id: string }[]>('member_id')
  const members = reached.map(({ member_id }) => member_id)
  await db.raw('select from member where gym_id = ? and id = any(?::uuid[]) order by id for update', [
    gym,
    members,
  ])
  return members
}

/** Today in the gym's zone. */
export async function gymToday({ db, gym }: Scope): Promise<Day> {
  const { rows } = await db.raw('select (now() at time zone zone)::date as today from gym where id = ?', [
    gym,
  ])
  return rows[0].today
}
