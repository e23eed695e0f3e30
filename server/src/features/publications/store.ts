import { pageSize, type Page } from '@young-oak/api/contracts'
import type {
  OthersBecome,
  Publish,
  PublicationLine,
  PublicationState,
  PublicationView,
  PublishedTo,
} from '@young-oak/api/publications'
import type { Day } from '@young-oak/core/units'
import { pageFrom } from '../../http/page.ts'
import type { Scope } from '../../database/scope.ts'
import { startsFor } from './startsFor.ts'
import { tracksFor } from './tracksFor.ts'

type Made = Pick<
  Publish,
  | 'id'
  | 'revision'
  | 'members'
  | 'start'
  | 'note'
  | 'track'
  | 'tracksByRule'
  | 'ownTracks'
  | 'choosesTrack'
  | 'opens'
  | 'replaces'
  | 'onUsualDay'
  | 'ownStarts'
> & {
  begins: 'week' | 'session'
  clock: 'own' | 'calendar'
  again: boolean
  others: OthersBecome
  carry: boolean
  template: string
  version: string
  staff: string
}

/** Writes a publication down with its members; nothing of it counts yet. */
export async function insertPublication(scope: Scope, made: Made): Promise<void> {
  const { db, gym } = scope
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
    carry,
    replaces,
    note,
    staff,
    members,
    track,
    tracksByRule,
    choosesTrack = false,
    opens = null,
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
    carries: carry,
    replaces: replaces ?? null,
    tracks: tracksByRule ? JSON.stringify(tracksByRule) : null,
    chooses_track: choosesTrack,
    opens,
    note,
    state: 'preparing',
    audience: members.length,
    made_by: staff,
  })
  const own = await tracksFor(scope, members, made)
  const starts = await startsFor(scope, members, made, await gymToday(scope))
  const rows = members.map((member) => {
    const on = own.has(member) ? own.get(member) : track
    return { member, sets: on !== undefined, track: on ?? null, start: starts.get(member) ?? null }
  })
  await db.raw(
    `insert into publication_member (gym_id, publication_id, member_id, sets_track, track, starts_on)
     select ?, ?, member, sets, track, start from json_to_recordset(?) as t(member uuid, sets boolean, track text, start date)`,
    [gym, id, JSON.stringify(rows)],
  )
}

/** How a publication is filled in; `day`: on which it would begin today. */
export type Filling = Pick<Made, 'template' | 'clock' | 'again' | 'others' | 'carry'> & {
  day: Day
  today: Day
}

export type Held = Filling & {
  state: PublicationState
  staff: string
  replaces: string | null
  mayTakeBack: boolean
}

/** A publication with its row held until the transaction ends. `asker` may take it back who made it, or whoever writes here once that one has left. */
export async function holdPublication(
  { db }: Scope,
  id: string,
  asker: string | null,
): Promise<Held | undefined> {
  const { rows } = await db.raw(
    `select p.state, p.template_id as template, p.made_by as staff, p.clock, p.again, p.others, p.carries as carry, p.replaces,
       (now() at time zone g.zone)::date as today, greatest(p.starts_on, (now() at time zone g.zone)::date) as day,
       (p.made_by = ?::uuid or s.left_at is not null) as "mayTakeBack"
     from publication p join staff s on s.gym_id = p.gym_id and s.id = p.made_by join gym g on g.id = p.gym_id
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

/** Whether a start `s` of a member `m` under a publication `p` counts for it; and whether it came after the publication was taken back, of no use to anybody. */
const inTime = `s.date between greatest(coalesce(m.starts_on, p.starts_on), p.in_force_on) and coalesce(p.ended_on, 'infinity')`
const tooLate = `s.date > p.ended_on and not exists (
  select from counting_publication c where c.gym_id = m.gym_id and c.member_id = m.member_id
    and c.enrolment_id = m.enrolment_id and c.version_id = p.version_id)`
const startsOf = `session_start s join session_log l on l.gym_id = s.gym_id and l.id = s.session_id
  where s.gym_id = m.gym_id and s.member_id = m.member_id and s.version_id = p.version_id and l.enrolment_id = m.enrolment_id`

type Counts = Pick<PublicationView, 'filled' | 'started' | 'late'>

/** For how many members it is filled in, and how many have started a session under it, in time or too late. Nobody has before it counts. */
export async function countMembers({ db, gym }: Scope, id: string, state: PublicationState): Promise<Counts> {
  const whoStarted = (when: string) => `(
    select count(*)::int from publication p join publication_member m on m.gym_id = p.gym_id and m.publication_id = p.id
    where p.id = :id and exists (select from ${startsOf} and ${when}))`
  const { rows } = await db.raw(
    `select (select count(enrolment_id)::int from publication_member where gym_id = :gym and publication_id = :id) as filled,
       ${state === 'preparing' ? '0' : whoStarted(inTime)} as started, ${state === 'withdrawn' ? whoStarted(tooLate) : '0'} as late`,
    { gym, id },
  )
  return rows[0]
}

/** Whom it reached, by name, from behind one on. */
export async function listReached({ db }: Scope, id: string, after?: string): Promise<Page<PublishedTo>> {
  const { rows } = await db.raw(
    `select o.id, o.name, greatest(coalesce(m.starts_on, p.starts_on), p.in_force_on) as start, exists (select from ${startsOf} and ${inTime}) as "hasStarted",
       case when p.state = 'withdrawn' then (select min(s.date) from ${startsOf} and ${tooLate}) end as "lateStart"
     from publication_member m
     join publication p on p.gym_id = m.gym_id and p.id = m.publication_id
     join member o on o.gym_id = m.gym_id and o.id = m.member_id
     where m.publication_id = ? and (?::uuid is null or (o.name, o.id) > (select name, id from member where id = ?::uuid))
     order by o.name, o.id limit ?`,
    [id, after ?? null, after ?? null, pageSize + 1],
  )
  return pageFrom(rows as PublishedTo[])
}

/** Publications of one gym come into force one after the other: each gets a number of its own, and none reads what another is about to change. */
export async function waitForTurn({ db, gym }: Scope): Promise<void> {
  await db.raw(`select pg_advisory_xact_lock(hashtextextended('publications of ' || ?, 0))`, [gym])
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
  await holdReached(scope, [id])
  await scope.db.raw(
    `update member o set revision = o.revision + 1 from publication_member m
     where m.gym_id = ? and m.publication_id = ? and o.gym_id = m.gym_id and o.id = m.member_id`,
    [scope.gym, id],
  )
}

/** Holds the members of publications, all of them in the order of their ids. */
export async function holdReached({ db, gym }: Scope, ids: string[]): Promise<void> {
  await db.raw(
    `select count(*) from (select from member where gym_id = ?
       and id in (select member_id from publication_member where gym_id = ? and publication_id = any(?::uuid[])) order by id for update) held`,
    [gym, gym, ids],
  )
}

/** Today in the gym's zone. */
export async function gymToday({ db, gym }: Scope): Promise<Day> {
  const { rows } = await db.raw('select (now() at time zone zone)::date as today from gym where id = ?', [
    gym,
  ])
  return rows[0].today
}
