import type { MemberFile } from '@young-oak/api/members'
import { upgradeFact, type Fact } from '@young-oak/core/facts'
import {
  upgradeLog,
  upgradeShown,
  type Enrolment,
  type Segment,
  type SessionLog,
  type Start,
} from '@young-oak/core/member'
import type { Checkpoint } from '@young-oak/core/plan'
import { readPublished, type Template } from '@young-oak/core/template'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { notFound } from '../../http/problem.ts'
import { asMerged, mergedMark } from '../exercises/library.ts'

export type Read = {
  file: MemberFile
  checkpoint: Checkpoint | null
  /** The gym's locations by name. */
  locations: { id: string; name: string }[]
}

/**
 * Everything that a member's plan is computed from, in one statement: facts (with the equipment of the gym's places among
 * them), one row a session, enrolments and the versions they name, and the checkpoint. With `lean` snapshots up to the
 * checkpoint's day are left where they are: planning from it needs none of them.
 */
export async function readMemberFile(scope: MemberScope, lean = false): Promise<Read> {
  const { rows } = await scope.db.raw(everything, [lean, scope.member])
  const row = rows[0] as Row | undefined
  if (!row) throw notFound('member')
  const equipped = row.equipped.map(({ location, from, rev, racks, fixed }): Fact => ({
    id: `location:${location}:${from}`,
    rev,
    date: from,
    actsFrom: from,
    kind: 'equipment',
    location,
    racks,
    ...(fixed && { fixed }),
  }))
  const file = {
    name: row.name,
    member: asMerged(scope, {
      facts: [...equipped, ...row.facts.map(({ body, format }) => upgradeFact(body, format))],
      logs: row.logs.map(({ copy, format, starts }) => withStarts(upgradeLog(copy, format), starts)),
    }),
    enrolments: enrolmentsOf(row.segments),
    templates: Object.fromEntries(row.segments.map(({ enrolment, template }) => [enrolment, template])),
    versions: await readVersions(scope, [
      ...new Set([...row.segments.map(({ version }) => version), ...row.shown]),
    ]),
  }
  return { file, checkpoint: row.checkpoint, locations: row.named }
}

type Equipment = Extract<Fact, { kind: 'equipment' }>
type Row = {
  name: string
  checkpoint: Checkpoint | null
  facts: { body: unknown; format: number }[]
  logs: { copy: unknown; format: number; starts: StartRow[] | null }[]
  /** The versions that snapshots name. */
  shown: string[]
  segments: SegmentRow[]
  named: Read['locations']
  equipped: (Pick<Equipment, 'location' | 'racks' | 'fixed'> & { from: string; rev: number })[]
}
type StartRow = {
  change: string
  date: string
  minute: number | null
  location: string | null
  shown: unknown
}
type SegmentRow = {
  enrolment: string
  clock: Enrolment['clock']
  template: string
  track: string | null
} & Omit<Segment, 'track'>

const everything = `
  select m.name, c.body as checkpoint,
    coalesce((select json_agg(json_build_object('format', f.format, 'body', f.body)) from fact f where f.gym_id = m.gym_id and f.member_id = m.id), '[]') as facts,
    coalesce((select json_agg(json_build_object('copy', l.copy, 'format', l.format,
        'starts', (select json_agg(json_build_object('change', s.change, 'date', s.date, 'minute', s.minute, 'location', s.location,
            'shown', case when ? and l.date <= c.through then null else s.shown end))
          from session_start s where s.gym_id = l.gym_id and s.session_id = l.id)))
      from session_log l where l.gym_id = m.gym_id and l.member_id = m.id), '[]') as logs,
    coalesce((select json_agg(distinct s.version_id) from session_log l
      join session_start s on s.gym_id = l.gym_id and s.session_id = l.id
      where l.gym_id = m.gym_id and l.member_id = m.id), '[]') as shown,
    coalesce((select json_agg(json_build_object('enrolment', e.id, 'clock', e.clock, 'template', e.template_id,
        'from', s.starts_on, 'version', s.version_id, 'track', s.track, 'begins', s.begins) order by e.id, s.starts_on)
      from enrolment e join enrolment_segment s on s.gym_id = e.gym_id and s.enrolment_id = e.id
      where e.gym_id = m.gym_id and e.member_id = m.id), '[]') as segments,
    coalesce((select json_agg(json_build_object('location', p.location_id, 'from', p.acts_from, 'rev', p.rev, 'racks', p.racks, 'fixed', p.fixed))
      from location_equipment p where p.gym_id = m.gym_id), '[]') as equipped,
    coalesce((select json_agg(json_build_object('id', p.id, 'name', p.name) order by p.name)
      from location p where p.gym_id = m.gym_id), '[]') as named
  from member m left join fold_checkpoint c on c.gym_id = m.gym_id and c.member_id = m.id
  where m.id = ?`

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

function enrolmentsOf(segments: SegmentRow[]): Enrolment[] {
  const byId = new Map<string, Enrolment>()
  for (const { enrolment, clock, from, version, track, begins } of segments) {
    const made = byId.get(enrolment) ?? { id: enrolment, clock, segments: [] }
    made.segments.push({ from, version, begins, ...(track !== null && { track }) })
    byId.set(enrolment, made)
  }
  return [...byId.values()]
}

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
