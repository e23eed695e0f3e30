import { createHash } from 'node:crypto'
import { pageSize, type Page } from '@young-oak/api/contracts'
import {
  impactKinds,
  type ImpactKind,
  type ImpactLine,
  type ImpactView,
  type Publish,
} from '@young-oak/api/publications'
import { engine } from '@young-oak/core'
import type { Impact } from '@young-oak/core/impact'
import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'

/** How it would be published, without to whom. */
export type Asking = Omit<Publish, 'id' | 'revision' | 'members' | 'note'>
export type Look = {
  look: string
  staff: string
  template: string
  revision: number
  asked: Asking
  members: string[]
  today: Day
  state: ImpactView['state']
}

/** The same for looks that find the same: at one draft, with the same settings, on the same day. */
export const lookAt = (template: string, hash: string, asked: Asking, today: Day): string =>
  createHash('sha256')
    .update(JSON.stringify([engine, template, hash, Object.entries(asked).sort(), today]))
    .digest('hex')

/** Writes a look down, and throws those of other days away. One that was sent before stays as it is. */
export async function insertLook({ db, gym }: Scope, id: string, look: Omit<Look, 'state'>): Promise<void> {
  await db('impact').where({ gym_id: gym }).andWhereRaw(`made_at < now() - interval '1 day'`).delete()
  await db('impact_member').where({ gym_id: gym }).andWhereRaw(`made_at < now() - interval '1 day'`).delete()
  const { staff, template, asked, ...rest } = look
  await db('impact')
    .insert({
      gym_id: gym,
      id,
      staff_id: staff,
      template_id: template,
      asked: JSON.stringify(asked),
      ...rest,
      state: 'running',
    })
    .onConflict(['gym_id', 'id'])
    .ignore()
}

/** A look without its members, who may be many. */
export async function findLook({ db }: Scope, id: string): Promise<Omit<Look, 'members'> | undefined> {
  return db('impact')
    .where({ id })
    .first('look', 'staff_id as staff', 'template_id as template', 'revision', 'asked', 'today', 'state')
}

/** Ends a look that still runs; says whether it did. */
export async function endLook(
  { db }: Scope,
  id: string,
  state: 'done' | 'cancelled' | 'failed',
): Promise<boolean> {
  return (await db('impact').where({ id, state: 'running' }).update({ state })) > 0
}

/** The members of a look of whom nothing is known, or something older than they are. */
export async function lackingIn({ db }: Scope, id: string): Promise<string[]> {
  const { rows } = await db.raw(
    `select m.id from impact a join member m on m.gym_id = a.gym_id and m.id = any(a.members) and m.left_at is null
     join gym g on g.id = a.gym_id
     left join impact_member i on i.gym_id = a.gym_id and i.look = a.look and i.member_id = m.id
       and i.revision = m.revision and i.gym_revision = g.revision
     where a.id = ? and i.member_id is null order by m.id`,
    [id],
  )
  return (rows as { id: string }[]).map((one) => one.id)
}

type Found = { member: string; revision: number; gymRevision: number; impact: Impact }

export async function keepImpacts({ db, gym }: Scope, look: string, found: Found[]): Promise<void> {
  const rows = found.map(({ member, revision, gymRevision, impact }) => ({
    member_id: member,
    revision,
    gym_revision: gymRevision,
    is_what: impact.is,
    jump: impact.jump?.percent ?? 0,
    needs: impact.needs.length,
    short: impact.short.length,
    longer: impact.longer ? impact.longer.after - impact.longer.before : 0,
    findings: impact.findings.length,
    beside: impact.beside.length,
    ends: impact.ends.length,
    follows: impact.follows.length,
    is_mid_week: impact.isMidWeek,
    is_deload: impact.isDeload,
    is_paused: impact.isPaused,
    keeps_track: impact.keepsTrack,
    body: impact,
  }))
  await db.raw(
    `insert into impact_member (gym_id, look, member_id, revision, gym_revision, is_what, jump, needs, short, longer, findings, beside, ends,
       is_mid_week, is_deload, is_paused, keeps_track, follows, body)
     select ?, ?, r.* from json_to_recordset(?) as r(member_id uuid, revision int, gym_revision int, is_what text, jump int, needs int,
       short int, longer int, findings int, beside int, ends int, is_mid_week boolean, is_deload boolean, is_paused boolean, keeps_track boolean, follows int, body json)
     on conflict (gym_id, look, member_id) do update set revision = excluded.revision, gym_revision = excluded.gym_revision,
       is_what = excluded.is_what, jump = excluded.jump, needs = excluded.needs, short = excluded.short, longer = excluded.longer,
       findings = excluded.findings, beside = excluded.beside, ends = excluded.ends, is_mid_week = excluded.is_mid_week,
       is_deload = excluded.is_deload, is_paused = excluded.is_paused, keeps_track = excluded.keeps_track, follows = excluded.follows, body = excluded.body, made_at = now()`,
    [gym, look, JSON.stringify(rows)],
  )
}

/** From so many percent on a jump is worth a look. */
const leastJump = 5

/** What makes a member one of a kind, and who of it comes first. */
const kinds: Record<ImpactKind, { which: string; first?: string }> = {
  jump: { which: `i.jump >= ${leastJump}`, first: 'i.jump desc' },
  needs: { which: 'i.needs > 0', first: 'i.needs desc' },
  done: { which: `i.is_what = 'done'` },
  findings: { which: 'i.findings > 0', first: 'i.findings desc' },
  short: { which: 'i.short > 0', first: 'i.short desc' },
  longer: { which: 'i.longer > 0', first: 'i.longer desc' },
  beside: { which: 'i.beside > 0', first: 'i.beside desc' },
  ends: { which: 'i.ends > 0' },
  follows: { which: 'i.follows > 0' },
  midWeek: { which: 'i.is_mid_week' },
  deload: { which: 'i.is_deload' },
  paused: { which: 'i.is_paused' },
  keepsTrack: { which: 'i.keeps_track' },
  starts: { which: `i.is_what = 'starts'` },
  moves: { which: `i.is_what = 'moves'` },
  same: { which: `i.is_what = 'same'` },
}

/** Of a look in a gym: what was found of its members that holds still. The gym's row is read once, not for each member. */
const ofLook = `from impact a join member m on m.gym_id = a.gym_id and m.id = any(a.members) and m.left_at is null
  join impact_member i on i.gym_id = a.gym_id and i.look = a.look and i.member_id = m.id and i.revision = m.revision
    and i.gym_revision = (select revision from gym where id = ?)
  where a.id = ?`

/** How far a look has come, and how many members are of each kind. */
export async function viewLook({ db, gym }: Scope, id: string): Promise<ImpactView | undefined> {
  const counts = impactKinds.map((kind) => `count(*) filter (where ${kinds[kind].which})::int as "${kind}"`)
  const { rows } = await db.raw(
    `select a.id, a.state, a.revision, t.revision <> a.revision as "hasMoved", cardinality(a.members) as members, c.*
     from impact a join template t on t.gym_id = a.gym_id and t.id = a.template_id
     cross join lateral (select count(*)::int as looked, ${counts.join(', ')} ${ofLook}) c
     where a.id = ?`,
    [gym, id, id],
  )
  const [row] = rows
  if (!row) return undefined
  const { state, revision, hasMoved, members, looked } = row
  return {
    id,
    state,
    revision,
    hasMoved,
    members,
    looked,
    kinds: impactKinds.flatMap((kind) => (row[kind] ? [{ kind, members: row[kind] }] : [])),
  }
}

/** The members of one kind, worst first. */
export async function listLooked(
  { db, gym }: Scope,
  id: string,
  kind: ImpactKind,
  from: number,
): Promise<Page<ImpactLine>> {
  const { which, first } = kinds[kind]
  const { rows } = await db.raw(
    `select m.id, m.name, i.body as impact ${ofLook} and ${which}
     order by ${first ? `${first}, ` : ''}m.name, m.id limit ? offset ?`,
    [gym, id, pageSize + 1, from],
  )
  return { items: rows.slice(0, pageSize), next: rows.length > pageSize ? String(from + pageSize) : null }
}

/** The gym's number of a publication in force; null of any other. */
export async function numberOf({ db }: Scope, id: string): Promise<number | null> {
  const row = await db('publication').where({ id, state: 'inForce' }).first('number')
  return row?.number ?? null
}
