import { isCommand, type Command, type Difference } from '@young-oak/core/template'
import {
  archiveSchema,
  editings,
  editsSchema,
  sharingSchema,
  importSchema,
  type ChangesView,
  type EditAnswer,
  type EditsAnswer,
  type TemplateLine,
  type TemplateView,
} from '../templates.ts'
import { contract, paged, pageOf } from './contract.ts'
import { draft } from './shown.ts'
import {
  choice,
  count,
  either,
  exact,
  left,
  list,
  orNull,
  readBy,
  text,
  yesOrNo,
  type Reads,
} from './reads.ts'

const who = ['writer'] as const
const whoseSay = ['writer', 'owner'] as const
/** A command as a writer's page sent it: its values are the core's to check, beside the draft. */
const command = (): Reads<Command> =>
  readBy('command', (value) => (isCommand(value) ? null : 'must be a command'))
const editAnswer = (): Reads<EditAnswer> =>
  either<[EditAnswer, EditAnswer]>(
    exact<{ id: string; result: 'stored' | 'had' }>({ id: text(), result: choice('stored', 'had') }),
    exact<{ id: string; result: 'conflict' | 'refused'; message: string }>({
      id: text(),
      result: choice('conflict', 'refused'),
      message: text(),
    }),
  )

const view = () =>
  exact<TemplateView>(
    {
      id: text(),
      author: orNull(text()),
      isArchived: yesOrNo(),
      mayEdit: yesOrNo(),
      isTheirs: yesOrNo(),
      editing: choice(...editings),
      writers: list(
        exact<TemplateView['writers'][number]>({
          id: text(),
          name: text(),
          isAuthor: yesOrNo(),
          isNamed: yesOrNo(),
        }),
      ),
      revision: count(),
      draft: draft(),
      versions: list(
        exact<TemplateView['versions'][number]>({
          number: count(),
          note: text(),
          publishedAt: text(),
          members: count(),
        }),
      ),
    },
    'Template view',
  )

export const templates = {
  ...contract({
    method: 'get',
    path: '/templates',
    says: 'The gym’s templates, by name.',
    who: whoseSay,
    query: paged,
    answer: pageOf(
      exact<TemplateLine>({
        id: text(),
        name: text(),
        weeks: count(),
        perWeek: count(),
        slots: count(),
        version: orNull(count()),
        members: count(),
        changedSince: yesOrNo(),
        author: orNull(text()),
        isArchived: yesOrNo(),
        mayEdit: yesOrNo(),
        isTheirs: yesOrNo(),
        isTrained: yesOrNo(),
      }),
    ),
    problems: [],
    since: 2,
  }),
  ...contract({
    method: 'post',
    path: '/templates',
    says: 'Imports a template file; the exercises that it declares are added to the gym’s own.',
    who,
    body: importSchema,
    answer: exact<{ id: string }>({ id: text() }),
    problems: ['templateFaults', 'tooMany', 'doesNotFit'],
    bringsExercises: true,
  }),
  ...contract({
    method: 'get',
    path: '/templates/:id',
    says: 'A draft with its versions.',
    who: whoseSay,
    answer: view(),
    problems: [],
    since: 9,
  }),
  ...contract({
    method: 'post',
    path: '/templates/:id/sharing',
    says: 'Says who may edit a template besides its author and the gym’s owner: every writer, or those who are named; with `author`, hands it to another writer. The author’s and the owner’s to say, or any writer’s once the author has left.',
    who: whoseSay,
    body: sharingSchema,
    answer: view(),
    problems: ['doesNotFit'],
    since: 9,
  }),
  ...contract({
    method: 'post',
    path: '/templates/:id/archive',
    says: 'Archives a template, or brings it back. Members who are on it go on; it can neither be edited nor published meanwhile.',
    who: whoseSay,
    body: archiveSchema,
    answer: view(),
    problems: [],
    since: 9,
  }),
  ...contract({
    method: 'delete',
    path: '/templates/:id',
    says: 'Deletes a template that nobody has trained on, with what was published of it.',
    who: whoseSay,
    answer: null,
    problems: ['notPossible'],
  }),
  ...contract({
    method: 'get',
    path: '/templates/:id/changes',
    says: 'What a version published now would change against the newest one.',
    who,
    answer: exact<ChangesView>({
      next: count(),
      since: orNull(count()),
      changes: list(exact<Difference>({ where: text(), what: text() })),
    }),
    problems: [],
    since: 8,
  }),
  ...contract({
    method: 'post',
    path: '/templates/:id/edits',
    says: 'Edits, each answered by itself, with every edit since the revision that they were made on.',
    who,
    body: editsSchema,
    answer: exact<EditsAnswer>({
      revision: count(),
      answers: list(editAnswer()),
      edits: list(exact<EditsAnswer['edits'][number]>({ id: text(), command: command() })),
      draft: left(draft()),
    }),
    problems: ['notPossible'],
    since: 3,
    takesOlder: true,
  }),
}
