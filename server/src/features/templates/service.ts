import {
  commandsOf,
  type ChangesView,
  type EditAnswer,
  type Edits,
  type EditsAnswer,
  type TemplateView,
} from '@young-oak/api/templates'
import { renameExercises } from '@young-oak/core/library'
import { formatIssue, type Issue } from '@young-oak/core/parsing'
import {
  applyCommand,
  checkCommand,
  compareTemplates,
  isConflict,
  readDraft,
  readOwnExercises,
  readTemplate,
  sayIssue,
  type Command,
  type ReadTemplate,
  type Template,
} from '@young-oak/core/template'
import type { Scope } from '../../database/scope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { asMerged, refuseStrangers } from '../exercises/library.ts'
import { adoptExercises } from '../exercises/service.ts'
import { findOwning, listWriters, needEditor } from './owning.ts'
import {
  appendEdit,
  editsSince,
  findTemplate,
  findNewest,
  hasEdit,
  holdTemplate,
  insertTemplate,
  listVersions,
  saveDraft,
} from './store.ts'

export async function viewTemplate(scope: Scope, id: string, staff: string): Promise<TemplateView> {
  const found = await findTemplate(scope, id)
  const owning = await findOwning(scope, id, staff)
  if (!found || !owning) throw notFound('template')
  const { revision, draft } = found
  const [versions, writers] = [await listVersions(scope, id), await listWriters(scope, id)]
  return { id, ...owning, writers, revision, draft, versions }
}

/**
 * Stores a template file as a new draft, whole or not at all; sessions of a draft may still be empty. Exercises that it brings become
 * the gym's.
 */
export async function importTemplate(scope: Scope, staff: string, input: object): Promise<{ id: string }> {
  const { exercises, ...file } = input as { exercises?: unknown }
  const { declared, issues } = readOwnExercises(exercises ?? {})
  refuse(scope, issues)
  const { ids, library } = await adoptExercises(scope, declared)
  const own = { ...scope, library }
  const template = renameExercises(file, ids)
  refuseStrangers(own.library, template)
  const draft = orRefuse(own, readDraft(asMerged(own, template), own.library))
  return { id: await insertTemplate(scope, draft, staff) }
}

/**
 * Applies a writer's commands in order, each answered by itself: one that was applied before is passed over, one that no longer fits or
 * whose value a file could not hold changes nothing and holds up none behind it. Two writers at once wait for one another.
 */
export async function edit(scope: Scope, id: string, staff: string, given: Edits): Promise<EditsAnswer> {
  const held = given.edits.length ? await holdTemplate(scope, id) : await findTemplate(scope, id)
  if (!held) throw notFound('template')
  if (given.edits.length) await needEditor(scope, id, staff)
  let { draft, revision } = held
  const { since } = given
  const commands = asMerged(scope, commandsOf(given))
  const answers: EditAnswer[] = []
  for (const [i, { id: editId }] of given.edits.entries()) {
    const command = commands[i] as Command
    if (await hasEdit(scope, editId)) {
      answers.push({ id: editId, result: 'had' })
      continue
    }
    const [issue] = checkCommand(scope.library, draft, command)
    const next = issue ? null : applyCommand(draft, command)
    if (issue || !next)
      answers.push({
        id: editId,
        result: 'refused',
        message: issue ? sayIssue(scope.library, draft, issue) : '',
      })
    else if (isConflict(next))
      answers.push({ id: editId, result: 'conflict', message: next.conflict(scope.library) })
    else {
      draft = next
      revision += 1
      await appendEdit(scope, { template: id, revision, id: editId, staff, command })
      answers.push({ id: editId, result: 'stored' })
    }
  }
  if (revision !== held.revision) await saveDraft(scope, { id, draft, revision })
  if (revision - since > mostSince) return { revision, answers, edits: [], draft }
  return { revision, answers, edits: since < revision ? await editsSince(scope, id, since) : [] }
}

/** Past so many edits the whole draft is shorter. */
const mostSince = 500

/** What publishing the draft now would change, line by line. */
export async function viewChanges(scope: Scope, id: string): Promise<ChangesView> {
  const found = await findTemplate(scope, id)
  if (!found) throw notFound('template')
  const last = await findNewest(scope, id)
  const next = last && last.hash === found.hash ? last.number : (last?.number ?? 0) + 1
  const newest = await findNewest(scope, id, true)
  if (!newest) return { next, since: null, changes: [] }
  return { next, since: newest.number, changes: compareTemplates(scope.library, newest.body, found.draft) }
}

/** A draft as it may be published: whole, and without a fault. */
export const publishable = (scope: Scope, draft: Template): Template =>
  orRefuse(scope, readTemplate(draft, scope.library), draft)

function orRefuse(scope: Scope, { template, issues = [] }: ReadTemplate, draft?: Template): Template {
  if (!template) refuse(scope, issues, draft)
  return template as Template
}

/** Faults of a file name their places as the file does; those of a draft as its writer calls them. */
function refuse({ library }: Scope, issues: Issue[], draft?: Template): void {
  if (!issues.length) return
  const errors = issues.map((issue) => ({
    path: issue.path,
    message: draft ? sayIssue(library, draft, issue) : formatIssue(issue),
  }))
  const count = errors.length === 1 ? 'one fault' : `${errors.length} faults`
  throw new Problem('templateFaults', `The template has ${count}. Nothing was saved.`, errors)
}
