import type { TemplateLine, TemplateView } from '@young-oak/api/templates'
import { upgradeCommand, upgradeTemplate, type Command, type Template } from '@young-oak/core/template'
import { pageSize, type Page } from '@young-oak/api/contracts'
import { pageFrom } from '../../http/page.ts'
import { commandColumns, draftColumns, versionColumns } from '../../database/columns.ts'
import type { Scope } from '../../database/scope.ts'
import { asMerged } from '../exercises/library.ts'
import { owningColumns, owningJoin } from './owning.ts'

/** The gym's templates by name, from behind one on. */
export async function listTemplates(
  { db }: Scope,
  staff: string,
  after?: string,
): Promise<Page<TemplateLine>> {
  const { rows } = await db.raw(
    `select t.id, t.name, t.weeks, t.per_week as "perWeek", t.slots,
       v.number as version, v.content_hash is distinct from t.content_hash as "changedSince",
       coalesce(a.members, 0) as members, ${owningColumns},
       exists (select from enrolment e join session_log l on l.gym_id = e.gym_id and l.enrolment_id = e.id
         where e.gym_id = t.gym_id and e.template_id = t.id) as "isTrained"
     from template t ${owningJoin}
     left join template_audience a on a.gym_id = t.gym_id and a.template_id = t.id
     left join lateral (select number, content_hash from template_version v
       where v.gym_id = t.gym_id and v.template_id = t.id
         and exists (select from publication p where p.gym_id = v.gym_id and p.version_id = v.id and p.number is not null)
       order by number desc limit 1) v on true
     where ?::uuid is null
       or (t.name, t.id) > (select name, id from template where id = ?::uuid)
     order by t.name, t.id limit ?`,
    [staff, after ?? null, after ?? null, pageSize + 1],
  )
  return pageFrom((rows as (TemplateLine & { editing: string })[]).map(({ editing: _, ...line }) => line))
}

export async function insertTemplate({ db, gym }: Scope, draft: Template, author: string): Promise<string> {
  const [row] = await db('template')
    .insert({ gym_id: gym, author_id: author, ...draftColumns(draft) })
    .returning('id')
  return row.id
}

export type HeldTemplate = { id: string; draft: Template; revision: number; hash?: string }

export async function findTemplate(scope: Scope, id: string): Promise<HeldTemplate | undefined> {
  return asHeld(
    scope,
    await scope.db('template').where({ id }).first('id', 'draft', 'revision', 'content_hash as hash'),
  )
}

/**
 * The draft with its row held until the transaction ends: two writers' commands are applied one after the other. Its key is not held, so that enrolments can
 * be made meanwhile: whoever filled in a publication would wait for one who waits for that publication.
 */
export async function holdTemplate(scope: Scope, id: string): Promise<HeldTemplate | undefined> {
  return asHeld(
    scope,
    await scope
      .db('template')
      .where({ id })
      .forNoKeyUpdate()
      .first('id', 'draft', 'revision', 'content_hash as hash'),
  )
}

/** A draft in today's format, whatever it was stored in: it is rewritten with the next command. */
const asHeld = (scope: Scope, row: HeldTemplate | undefined): HeldTemplate | undefined =>
  row && asMerged(scope, { ...row, draft: upgradeTemplate(row.draft) as Template })

export async function saveDraft({ db }: Scope, { id, draft, revision }: HeldTemplate): Promise<void> {
  await db('template')
    .where({ id })
    .update({ ...draftColumns(draft), revision })
}

/** Keeps a command under its revision. */
export async function appendEdit(
  { db, gym }: Scope,
  edit: { template: string; revision: number; id: string; staff: string; command: Command },
): Promise<void> {
  const { template, revision, id, staff, command } = edit
  await db('template_edit').insert({
    gym_id: gym,
    template_id: template,
    revision,
    id,
    staff_id: staff,
    ...commandColumns(command),
  })
}

/** Every edit behind a revision, in order. */
export async function editsSince(
  scope: Scope,
  template: string,
  since: number,
): Promise<{ id: string; command: Command }[]> {
  const edits = await scope
    .db('template_edit')
    .where({ template_id: template })
    .andWhere('revision', '>', since)
    .orderBy('revision')
    .select('id', 'command', 'format')
  return asMerged(
    scope,
    edits.map((one) => ({ id: one.id, command: upgradeCommand(one.command, one.format) as Command })),
  )
}

export async function hasEdit({ db }: Scope, id: string): Promise<boolean> {
  return (await db('template_edit').where({ id }).first('id')) !== undefined
}

/** A publication of the version "v" that came into force: one that was called off is none. */
const published = ({ db }: Pick<Scope, 'db'>) =>
  db('publication as p')
    .whereRaw('p.gym_id = v.gym_id and p.version_id = v.id')
    .whereNotNull('p.number')
    .select(db.raw('1'))

export async function listVersions({ db }: Scope, template: string): Promise<TemplateView['versions']> {
  const rows = await db('template_version as v')
    .where('v.template_id', template)
    .whereExists(published({ db }))
    .orderBy('v.number', 'desc')
    .select('v.number', 'v.note', 'v.published_at as publishedAt')
    .select(
      db.raw(
        `(select count(distinct c.member_id)::int from counting_publication c where c.gym_id = v.gym_id and c.version_id = v.id) as members`,
      ),
    )
  return rows.map((row) => ({ ...row, publishedAt: row.publishedAt.toISOString() }))
}

/** The newest version; of those that somebody has been given, where that is asked. */
export async function findNewest(
  scope: Scope,
  template: string,
  isPublished = false,
): Promise<{ id: string; number: number; hash: string; body: Template } | undefined> {
  const newest = await scope
    .db('template_version as v')
    .where({ template_id: template })
    .modify((query) => void (isPublished && query.whereExists(published(scope))))
    .orderBy('number', 'desc')
    .first('id', 'number', 'content_hash as hash', 'body')
  return newest && asMerged(scope, { ...newest, body: upgradeTemplate(newest.body) as Template })
}

export async function insertVersion(
  { db, gym }: Scope,
  version: { template: string; body: Template; note: string; staff: string },
): Promise<string> {
  const { template, body, note, staff } = version
  const last = await db('template_version')
    .where({ template_id: template })
    .max<{ max: number | null }[]>('number as max')
  const number = (last[0]?.max ?? 0) + 1
  const row = {
    gym_id: gym,
    template_id: template,
    number,
    note,
    ...versionColumns(body),
    staff_id: staff,
  }
  const [made] = await db('template_version').insert(row).returning('id')
  return made.id
}
