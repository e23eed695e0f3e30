import type { Sharing, TemplateView } from '@young-oak/api/templates'
import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound, Problem } from '../../http/problem.ts'

/** Whose a template is, for whoever asks: its author's, and the owner's of the gym; one whose author has left, or is not known, is every writer's. */
export type Owning = Pick<TemplateView, 'author' | 'isArchived' | 'mayEdit' | 'isTheirs' | 'editing'>

/** What a statement about templates `t` asks of it, with the join below, for the seat `?`. */
export const owningColumns = `s.name as author, t.archived_at is not null as "isArchived", t.editing,
  (asker.owns or s.id is null or s.id = asker.id) as "isTheirs",
  (asker.owns or t.editing = 'all' or s.id is null or s.id = asker.id or exists (select from template_editor d
    where d.gym_id = t.gym_id and d.template_id = t.id and d.staff_id = asker.id)) as "mayEdit"`
/** Whoever has a seat as the gym's owner has the same say where they write. */
export const owningJoin = `left join staff s on s.gym_id = t.gym_id and s.id = t.author_id and s.left_at is null
  cross join (select a.id, exists (select from staff o where o.gym_id = a.gym_id and o.account_id = a.account_id
    and o.role = 'owner' and o.left_at is null) as owns from staff a where a.id = ?::uuid) asker`

export async function findOwning({ db }: Scope, id: string, staff: string): Promise<Owning | undefined> {
  const { rows } = await db.raw(`select ${owningColumns} from template t ${owningJoin} where t.id = ?`, [
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
    throw new Problem(
      'notAllowed',
      `Only ${owning.author}, the gym’s owner and named writers may edit this template.`,
    )
}

/** Refuses everybody but the author and the gym's owner, or any writer once the author has left. */
export async function needAuthor(scope: Scope, id: string, staff: string): Promise<void> {
  const owning = await findOwning(scope, id, staff)
  if (!owning) throw notFound('template')
  if (!owning.isTheirs) throw forbidden()
}

/** The gym's writers, which of them a template belongs to, and which are named as its editors. */
export async function listWriters({ db }: Scope, id: string): Promise<TemplateView['writers']> {
  const { rows } = await db.raw(
    `select s.id, s.name, t.author_id is not distinct from s.id as "isAuthor", exists (select from template_editor d
       where d.gym_id = s.gym_id and d.template_id = t.id and d.staff_id = s.id) as "isNamed"
     from template t join staff s on s.gym_id = t.gym_id
     where t.id = ? and s.role = 'writer' and s.left_at is null order by s.name, s.id`,
    [id],
  )
  return rows
}

/** Says whose a template is, where that is said, and who else may edit it. */
export async function share(scope: Scope, id: string, { editing, editors, author }: Sharing): Promise<void> {
  const { db, gym } = scope
  if (author !== undefined && !(await listWriters(scope, id)).some((one) => one.id === author))
    throw new Problem(
      'doesNotFit',
      'A template can only be handed to a writer of the gym. Choose another one.',
    )
  await db('template')
    .where({ gym_id: gym, id })
    .update({ editing, ...(author !== undefined && { author_id: author }) })
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
