import type { Sharing, TemplateView } from '@young-oak/api/templates'
import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound, Problem } from '../../http/problem.ts'

/** Whose a template is, for whoever asks: a template whose author has left, or is not known, is every writer's. */
export type Owning = Pick<TemplateView, 'author' | 'isArchived' | 'mayEdit' | 'isTheirs' | 'editing'>

/** What a statement about templates `t` asks of it, for the writer `?` three times over. */
export const owningColumns = `s.name as author, t.archived_at is not null as "isArchived", t.editing,
  coalesce(s.id is null or s.id = ?::uuid, true) as "isTheirs",
  (t.editing = 'all' or s.id is null or s.id = ?::uuid or exists (select from template_editor d
    where d.gym_id = t.gym_id and d.template_id = t.id and d.staff_id = ?::uuid)) as "mayEdit"`
export const owningJoin =
  'left join staff s on s.gym_id = t.gym_id and s.id = t.author_id and s.left_at is null'

export async function findOwning({ db }: Scope, id: string, staff: string): Promise<Owning | undefined> {
  const { rows } = await db.raw(`select ${owningColumns} from template t ${owningJoin} where t.id = ?`, [
    staff,
    staff,
    staff,
    id,
  ])
  return rows[0]
}

/** Refuses everybody while a template is archived. */
export async function refuseArchived(scope: Scope, id: string, staff: string): Promise<Owning> {
  const owning = await findOwning(scope, id, staff)
  if (!owning) throw notFound('template')
  if (owning.isArchived)
    throw new Problem('notPossible', 'This template is archived: bring it back on the Templates page first.')
  return owning
}

/** Refuses whoever may not edit a template, and everybody while it is archived. */
export async function needEditor(scope: Scope, id: string, staff: string): Promise<void> {
  const owning = await refuseArchived(scope, id, staff)
  if (!owning.mayEdit)
    throw new Problem('notAllowed', `Only ${owning.author} and named writers may edit this template.`)
}

/** Refuses everybody but the author, or any writer once that one has left. */
export async function needAuthor(scope: Scope, id: string, staff: string): Promise<void> {
  const owning = await findOwning(scope, id, staff)
  if (!owning) throw notFound('template')
  if (!owning.isTheirs) throw forbidden()
}

/** The gym's writers besides one, and which of them are named as editors. */
export async function listWriters(
  { db }: Scope,
  id: string,
  staff: string,
): Promise<TemplateView['writers']> {
  const { rows } = await db.raw(
    `select s.id, s.name, exists (select from template_editor d
       where d.gym_id = s.gym_id and d.template_id = ? and d.staff_id = s.id) as "isNamed"
     from staff s where s.role = 'writer' and s.left_at is null and s.id <> ? order by s.name, s.id`,
    [id, staff],
  )
  return rows
}

export async function share({ db, gym }: Scope, id: string, { editing, editors }: Sharing): Promise<void> {
  await db('template').where({ gym_id: gym, id }).update({ editing })
  await db('template_editor').where({ gym_id: gym, template_id: id }).delete()
  await db.raw(
    `insert into template_editor (gym_id, template_id, staff_id)
     select gym_id, ?, id from staff where gym_id = ? and role = 'writer' and left_at is null and id = any(?::uuid[])`,
    [id, gym, editors],
  )
}

export async function archive({ db, gym }: Scope, id: string, isArchived: boolean): Promise<void> {
  await db('template')
    .where({ gym_id: gym, id })
    .update({ archived_at: isArchived ? db.fn.now() : null })
}

/** Deletes a template that nobody has trained on. */
export async function deleteTemplate({ db }: Scope, id: string): Promise<void> {
  const { rows } = await db.raw('select delete_template(?) as "isGone"', [id])
  if (!rows[0].isGone)
    throw new Problem('notPossible', 'Members have trained on this template: archive it instead.')
}
