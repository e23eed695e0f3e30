import type { MemberFile } from '@young-oak/api/members'
import type { Enrolment, Fact, Segment, SessionLog } from '@young-oak/core/member'
import { readTemplate, type Template } from '@young-oak/core/template'
import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import { notFound } from '../../http/problem.ts'

/**
 * Everything that a member's plan is computed from: facts (with the equipment of the gym's places among them), one row a
 * session, enrolments and the versions they name. With `since` snapshots up to that day are left where they are: planning
 * from a checkpoint of that day needs none of them.
 */
export async function readMemberFile(scope: Scope, memberId: string, since?: Day): Promise<MemberFile> {
  const { db } = scope
  const member = await db('member').where({ id: memberId }).first('name')
  if (!member) throw notFound('member')
  const [facts, logs, segments, equipment] = [
    await db('fact').where({ member_id: memberId }).select('body'),
    await db('session_log')
      .where({ member_id: memberId })
      .select('copy', since ? db.raw('case when date > ? then shown end as shown', [since]) : 'shown'),
    await listSegments(scope, memberId),
    await db('place_equipment').select('place_id', 'acts_from', 'racks', 'fixed'),
  ]
  const places = equipment.map((row): Fact => ({
    id: `place:${row.place_id}:${row.acts_from}`,
    rev: 1,
    date: row.acts_from,
    actsFrom: row.acts_from,
    kind: 'equipment',
    place: row.place_id,
    racks: row.racks,
    ...(row.fixed && { fixed: row.fixed }),
  }))
  return {
    name: member.name,
    member: {
      facts: [...places, ...facts.map(({ body }) => body as Fact)],
      logs: logs.map(({ copy, shown }): SessionLog => (shown ? { ...copy, shown } : copy)),
    },
    enrolments: enrolmentsOf(segments),
    templates: Object.fromEntries(segments.map(({ enrolment, template }) => [enrolment, template])),
    versions: await readVersions(scope, [...new Set(segments.map(({ version }) => version))]),
  }
}

type Row = { enrolment: string; clock: Enrolment['clock']; template: string; track: string | null } & Omit<
  Segment,
  'track'
>

function listSegments({ db }: Scope, memberId: string): Promise<Row[]> {
  return db('enrolment as e')
    .join('enrolment_segment as s', (on) => on.on('s.gym_id', 'e.gym_id').andOn('s.enrolment_id', 'e.id'))
    .where('e.member_id', memberId)
    .orderBy(['e.id', 's.starts_on'])
    .select(
      'e.id as enrolment',
      'e.template_id as template',
      'e.clock',
      's.track',
      's.begins',
      's.starts_on as from',
      's.version_id as version',
    )
}

function enrolmentsOf(segments: Row[]): Enrolment[] {
  const byId = new Map<string, Enrolment>()
  for (const { enrolment, clock, from, version, track, begins } of segments) {
    const made = byId.get(enrolment) ?? { id: enrolment, clock, segments: [] }
    made.segments.push({ from, version, begins, ...(track !== null && { track }) })
    byId.set(enrolment, made)
  }
  return [...byId.values()]
}

async function readVersions({ db }: Scope, ids: string[]): Promise<Record<string, Template>> {
  const missing = ids.filter((id) => !parsed.has(id))
  const rows = missing.length ? await db('template_version').whereIn('id', missing).select('id', 'body') : []
  for (const { id, body } of rows) {
    const { template } = readTemplate(body)
    if (!template) throw new Error(`invalid version "${id}": it was published, so it must read`)
    if (parsed.size >= mostParsed) parsed.delete(parsed.keys().next().value as string)
    parsed.set(id, template)
  }
  return Object.fromEntries(ids.map((id) => [id, parsed.get(id) as Template]))
}

/**
 * Versions never change, so each is parsed once a server. Keyed by their random id, and only asked for by ids that the
 * scope's own enrolments name.
 */
const parsed = new Map<string, Template>()
const mostParsed = 500
