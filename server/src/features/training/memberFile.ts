import type { MemberFile } from '@young-oak/api/members'
import { upgradeFact, type Fact } from '@young-oak/core/facts'
import {
  enrolmentsIn,
  latest,
  upgradeLog,
  upgradeSet,
  upgradeShown,
  type Publication,
  type SessionLog,
  type Start,
} from '@young-oak/core/member'
import type { Checkpoint } from '@young-oak/core/plan'
import { addDays, type Day } from '@young-oak/core/units'
import { readPublished, type Template } from '@young-oak/core/template'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { notFound } from '../../http/problem.ts'
import { asMerged, mergedMark } from '../exercises/library.ts'

/** How many weeks ahead of the running one a member sees, null for all; and whether they may choose another track. */
export type Lets = { opens: number | null; choosesTrack: boolean }

/** What a writer said of a version. */
export type VersionNote = { number: number; note: string }

export type Read = {
  member: string
  file: MemberFile
  /** Where planning may take up the thread; it holds, and sessions up to its day were not read. */
  checkpoint: Checkpoint | null
  /** What was published to the member, as far as it counts. */
  published: Publication[]
  /** What the latest publication of each enrolment lets its member see and choose. */
  lets: Record<string, Lets>
  /** Number and note of the versions that were published to the member, by their ids. */
  notes: Record<string, VersionNote>
  /** The gym's locations by name. */
  locations: { id: string; name: string }[]
  /** What the member and the gym were at. */
  revision: number
  gymRevision: number
  /** Sessions as they are now, whose stored copies lack sets. */
  behind: SessionLog[]
}

/** A plan of the weeks around a day, or of the next sessions from it on. */
export type NearDay = { day: Day; through: 'near' | 'next' }

/** Everything that a member's plan is computed from; with a day, what a near plan of that day needs. */
export async function readMemberFile(scope: MemberScope, near?: NearDay): Promise<Read> {
  const [read] = await readMemberFiles([scope], near)
  if (!read) throw notFound('member')
  return read
}

/**
 * Everything that members of one gym are planned from, in one statement: facts (with the equipment of the gym's places among
 * them), one row a session, enrolments and the versions they name. For plans of a day that may begin at a checkpoint, the checkpoint
 * where it holds, with the sessions after it, and for near plans those of the last week. In the order of the members' ids.
 */
export async function readMemberFiles(scopes: MemberScope[], near?: NearDay): Promise<Read[]> {
  const [scope] = scopes
  if (!scope) return []
  const recent = near?.through === 'near' ? addDays(near.day, -7) : null
  const members = scopes.map(({ member }) => member)
  // Named, so that PostgreSQL plans it once a connection: that takes as long as reading one member.
  const asked = scope.db.raw(everything, [recent, near?.day ?? null, near?.through === 'next', members])
  const { rows } = (await asked.options({ name: 'memberFiles' })) as { rows: Row[] }
  const versions = await readVersions(scope, [...new Set(rows.flatMap(versionsIn))])
  const locations = locationsOf(rows)
  return rows.map((row) => readOf(scope, row, versions, locations))
}

/** What was written for a member after a revision: sessions whole, as they are now, facts each by itself. */
export async function readChanges(scope: MemberScope, since: number): Promise<Read> {
  const after = [since, since, since, since]
  const { rows } = (await scope.db.raw(changed, [null, null, false, [scope.member], ...after])) as {
    rows: Row[]
  }
  const [row] = rows
  if (!row) throw notFound('member')
  return readOf(scope, row, await readVersions(scope, versionsIn(row)), locationsOf(rows))
}

/** The gym's locations by name, and the facts of what they have. */
type GymLocations = { named: Read['locations']; facts: Fact[] }

function locationsOf([first]: Row[]): GymLocations {
  const facts = (first?.equipped ?? []).map(({ location, from, rev, racks, fixed }): Fact => ({
    id: `location:${location}:${from}`,
    rev,
    date: from,
    actsFrom: from,
    kind: 'equipment',
    location,
    racks,
    ...(fixed && { fixed }),
  }))
  return { named: first?.named ?? [], facts }
}

const versionsIn = ({ published, shown }: Row): string[] => [
  ...new Set([...published.map(({ version }) => version), ...shown]),
]

function readOf(
  scope: Scope,
  row: Row,
  versions: Record<string, Template>,
  { named, facts: equipped }: GymLocations,
): Read {
  const logs = row.logs.map(upToDate)
  const published = row.published.map(publicationOf)
  const file = {
    name: row.name,
    member: asMerged(scope, {
      facts: [...equipped, ...row.facts.map(({ body, format }) => upgradeFact(body, format))],
      logs: logs.map((log, i) => withStarts(log, row.logs[i]?.starts ?? null)),
    }),
    enrolments: enrolmentsIn(published),
    templates: Object.fromEntries(row.published.map(({ enrolment, template }) => [enrolment, template])),
    versions: Object.fromEntries(versionsIn(row).map((id) => [id, versions[id] as Template])),
  }
  return {
    member: row.member,
    file,
    checkpoint: row.checkpoint,
    published,
    lets: Object.fromEntries(
      row.published.map(({ enrolment, opens, choosesTrack }) => [enrolment, { opens, choosesTrack }]),
    ),
    notes: Object.fromEntries(row.published.map(({ version, of, note }) => [version, { number: of, note }])),
    locations: named,
    revision: row.revision,
    gymRevision: row.gymRevision,
    behind: logs.filter((_, i) => row.logs[i]?.newer),
  }
}

/** A session as it is stored: its copy, and the sets that were logged since the copy was written. */
type LogRow = { copy: unknown; format: number; newer: { body: unknown; format: number }[] | null }

/** A session with every set that was logged; of one set the entry that counts. */
export function upToDate({ copy, format, newer }: LogRow): SessionLog {
  const log = upgradeLog(copy, format)
  if (!newer) return log
  const sets = newer.map(({ body, format }) => upgradeSet(body, format))
  return { ...log, sets: latest([...log.sets, ...sets]) }
}

type Equipment = Extract<Fact, { kind: 'equipment' }>
type Row = {
  member: string
  name: string
  revision: number
  gymRevision: number
  checkpoint: Checkpoint | null
  facts: { body: unknown; format: number }[]
  logs: (LogRow & { starts: StartRow[] | null })[]
  /** The versions that snapshots name. */
  shown: string[]
  published: PublishedRow[]
  /** The gym's locations and what they have: in the first row, since they are the same for all. */
  named: Read['locations'] | null
  equipped: (Pick<Equipment, 'location' | 'racks' | 'fixed'> & { from: string; rev: number })[] | null
}
type StartRow = {
  change: string
  date: string
  minute: number | null
  location: string | null
  shown: unknown
}
type PublishedRow = Required<Omit<Publication, 'track' | 'withdrawn' | 'after' | 'carries'>> &
  Lets & {
    after: string | null
    carries: string | null
    template: string
    setsTrack: boolean
    track: string | null
    /** Number and note of its version. */
    of: number
    note: string
  }

/** A statement that reads members with those of their sessions and facts that fit. */
const reading = (logs: string, facts: string) => `
  with own as (
    select m.gym_id, m.id, m.name, m.revision, g.revision as gym_revision, c.body as checkpoint, c.through, ?::date as recent
    from member m join gym g on g.id = m.gym_id
    left join lateral (
      select k.body, k.through from fold_checkpoint k where k.gym_id = m.gym_id and k.member_id = m.id and k.through < ?::date
        and (k.kind = 'near' or ?::boolean) and (m.dirty_from is null or m.dirty_from > k.through) and k.gym_revision = g.revision
      order by k.through desc limit 1) c on true
    where m.id = any(?::uuid[])),
  logged as (
    select l.* from own o join session_log l on l.gym_id = o.gym_id and l.member_id = o.id
      and (${logs})),
  newer as (
    select s.session_id, json_agg(json_build_object('format', s.format, 'body', s.body) order by s.revision, s.id, s.rev, s.change) as sets
    from logged l join set_entry s on s.gym_id = l.gym_id and s.session_id = l.id and s.member_id = l.member_id and s.revision > l.copied
      and s.revision > (select min(copied) from logged)
    group by s.session_id)
  select o.id as member, o.name, o.revision, o.gym_revision as "gymRevision", o.checkpoint,
    coalesce((select json_agg(json_build_object('format', f.format, 'body', f.body)) from fact f where f.gym_id = o.gym_id and f.member_id = o.id and (${facts})), '[]') as facts,
    coalesce((select json_agg(json_build_object('copy', l.copy, 'format', l.format, 'newer', n.sets,
        'starts', (select json_agg(json_build_object('change', s.change, 'date', s.date, 'minute', s.minute, 'location', s.location, 'shown', s.shown))
          from session_start s where s.gym_id = l.gym_id and s.session_id = l.id)))
      from logged l left join newer n on n.session_id = l.id where l.member_id = o.id), '[]') as logs,
    coalesce((select json_agg(distinct s.version_id) from session_start s where s.gym_id = o.gym_id and s.member_id = o.id), '[]') as shown,
    coalesce((select json_agg(json_build_object('number', c.number, 'enrolment', e.id, 'clock', e.clock, 'template', e.template_id,
        'from', c.starts_on, 'version', c.version_id, 'setsTrack', c.sets_track, 'track', c.track, 'begins', c.begins, 'ends', c.ends,
        'after', c.after_enrolment, 'carries', c.carries_enrolment, 'opens', c.opens, 'choosesTrack', c.chooses_track, 'of', v.number, 'note', v.note)
        order by c.number)
      from counting_publication c join enrolment e on e.gym_id = c.gym_id and e.id = c.enrolment_id
        join template_version v on v.gym_id = c.gym_id and v.id = c.version_id
      where c.gym_id = o.gym_id and c.member_id = o.id), '[]') as published,
    case when o.id = (select min(id::text)::uuid from own) then coalesce((select json_agg(json_build_object('location', p.location_id, 'from', p.acts_from, 'rev', p.rev, 'racks', p.racks, 'fixed', p.fixed))
      from location_equipment p where p.gym_id = o.gym_id), '[]') end as equipped,
    case when o.id = (select min(id::text)::uuid from own) then coalesce((select json_agg(json_build_object('id', p.id, 'name', p.name) order by p.name)
      from location p where p.gym_id = o.gym_id), '[]') end as named
  from own o order by o.id`
const everything = reading('o.through is null or l.date > o.through or l.date >= o.recent', 'true')
const later = (table: string) =>
  `exists (select from ${table} s where s.gym_id = l.gym_id and s.member_id = l.member_id and s.session_id = l.id and s.revision > ?)`
const changed = reading(
  `l.revision > ? or ${later('session_start')} or ${later('set_entry')}`,
  'f.revision > ?',
)

/** A session with what was shown; with its starts beside it where it has several. */
function withStarts(log: SessionLog, rows: StartRow[] | null): SessionLog {
  if (!rows) return log
  const starts = rows.map(({ change, date, minute, location, shown }): Start => ({
    change,
    date,
    minute: minute ?? 0,
    ...(location !== null && { location }),
    ...(shown ? { shown: upgradeShown(shown) } : {}),
  }))
  const [only] = starts
  if (starts.length > 1) return { ...log, starts }
  return only?.shown ? { ...log, shown: only.shown } : log
}

const publicationOf = ({
  template: _,
  opens: _opens,
  choosesTrack: _choosesTrack,
  of: _of,
  note: _note,
  after,
  carries,
  setsTrack,
  track,
  ...rest
}: PublishedRow): Publication => ({
  ...rest,
  ...(after !== null && { after }),
  ...(carries !== null && { carries }),
  ...(setsTrack && { track }),
})

async function readVersions(scope: Scope, ids: string[]): Promise<Record<string, Template>> {
  const mark = mergedMark(scope)
  const missing = ids.filter((id) => !parsed.has(id + mark))
  const rows = missing.length
    ? await scope.db('template_version').whereIn('id', missing).select('id', 'body')
    : []
  for (const { id, body } of rows) {
    const { template } = readPublished(asMerged(scope, body), scope.library)
    if (!template) throw new Error(`invalid version "${id}": it was published, so it must read`)
    if (parsed.size >= mostParsed) parsed.delete(parsed.keys().next().value as string)
    parsed.set(id + mark, template)
  }
  return Object.fromEntries(ids.map((id) => [id, parsed.get(id + mark) as Template]))
}

/**
 * Versions never change, so each is parsed once a server, and once more where exercises were merged since. Keyed by their random id, and only asked for by ids that the
 * scope's own enrolments name.
 */
const parsed = new Map<string, Template>()
const mostParsed = 500
