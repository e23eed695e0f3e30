import {
  commandsOf,
  type ChangesView,
  type EditAnswer,
  type Edits,
  type EditsAnswer,
  type Publish,
  type PublishAnswer,
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
import { formatDay } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import type { Seat } from '../../http/seat.ts'
import { memberScopes } from '../members/memberScope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import { asMerged, refuseStrangers } from '../exercises/library.ts'
import { adoptExercises } from '../exercises/service.ts'
import {
  appendEdit,
  editsSince,
  enrol,
  enrolledSince,
  findTemplate,
  findNewest,
  hasEdit,
  holdTemplate,
  insertTemplate,
  insertVersion,
  listVersions,
  saveDraft,
  touchMembers,
} from './store.ts'

export async function viewTemplate(scope: Scope, id: string): Promise<TemplateView> {
  const found = await findTemplate(scope, id)
  if (!found) throw notFound('template')
  return { ...found, versions: await listVersions(scope, id) }
}

/**
 * Stores a template file as a new draft, whole or not at all; sessions of a draft may still be empty. Exercises that it brings become
 * the gym's.
 */
export async function importTemplate(scope: Scope, input: object): Promise<{ id: string }> {
  const { exercises, ...file } = input as { exercises?: unknown }
  const { declared, issues } = readOwnExercises(exercises ?? {})
  refuse(scope, issues)
  const { ids, library } = await adoptExercises(scope, declared)
  const own = { ...scope, library }
  const template = renameExercises(file, ids)
  refuseStrangers(own.library, template)
  return { id: await insertTemplate(scope, orRefuse(own, readDraft(asMerged(own, template), own.library))) }
}

/**
 * Applies a writer's commands in order, each answered by itself: one that was applied before is passed over, one that no longer fits or
 * whose value a file could not hold changes nothing and holds up none behind it. Two writers at once wait for one another.
 */
export async function edit(scope: Scope, id: string, staff: string, given: Edits): Promise<EditsAnswer> {
  const held = given.edits.length ? await holdTemplate(scope, id) : await findTemplate(scope, id)
  if (!held) throw notFound('template')
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
  const newest = await findNewest(scope, id)
  if (!newest) return { since: null, changes: [] }
  return { since: newest.number, changes: compareTemplates(scope.library, newest.body, found.draft) }
}

/**
 * Publishes the draft as the next version to the chosen members, from a day: all of it or nothing. Members who are on the
 * template already change to the version from that day on, with their next week or their next session; the day must lie
 * after the one from which they are on what they are on.
 */
export async function publish(
  scope: Scope,
  id: string,
  seat: Seat,
  { members, start, note, begins = 'week', clock = 'own', track }: Publish,
): Promise<PublishAnswer> {
  const held = await holdTemplate(scope, id)
  if (!held) throw notFound('template')
  const body = orRefuse(scope, readTemplate(held.draft, scope.library), held.draft)
  if (typeof track === 'string' && !body.tracks[track])
    throw new Problem('noSuchTrack', `This template has no track "${track}".`, [
      { path: 'track', message: 'This template does not have the track.' },
    ])
  const chosen = [...new Set(members)]
  const own = await memberScopes(scope, seat, { ids: chosen })
  if (own.length !== chosen.length) {
    throw new Problem('notAllowed', 'Some of these members are not assigned to you. Nothing was published.')
  }
  const running = await enrolledSince(scope, id, chosen)
  for (const { from } of running.values()) {
    if (start <= from) {
      const message = `Some of these members are on this template from ${formatDay(from)}: a new version starts after that day.`
      throw new Problem('startsTooEarly', message, [{ path: 'start', message }])
    }
  }
  const version = await insertVersion(scope, { template: id, body, note, staff: seat.id })
  const fresh = chosen.filter((member) => !running.has(member))
  await enrol(scope, {
    template: id,
    version: version.id,
    start,
    begins,
    clock,
    fresh: fresh.map((member) => ({ member, track: track ?? null })),
    running: [...running.values()].map((one) => ({
      id: one.id,
      track: track === undefined ? one.track : track,
    })),
  })
  await touchMembers(scope, chosen)
  return { number: version.number, members: chosen.length }
}

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
