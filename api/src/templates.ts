import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import {
  isCommand,
  upgradeCommand,
  type Command,
  type Difference,
  type Template,
} from '@young-oak/core/template'

/** A command's own values are checked once it is applied. None asks only for what others have done since. */
export const editsSchema = object({
  /** The revision that the sender's draft stands on. */
  since: number().integer().min(0).required(),
  edits: array()
    .of(
      object({
        id: string().uuid().required(),
        command: mixed<object>()
          .required()
          .test('known', 'The server does not know this edit: load the page again.', (command, { from }) => {
            const { format = 1 } = (from?.[1]?.value ?? {}) as { format?: number }
            return isCommand(upgradeCommand(command, format))
          }),
      }).noUnknown(),
    )
    .max(200)
    .required(),
  /** The format of the commands; the first one where nothing is said. */
  format: number().integer().min(1).optional(),
}).noUnknown()
export type Edits = InferType<typeof editsSchema>

/** The commands of edits that fit the schema, in today's format. */
export const commandsOf = ({ edits, format = 1 }: Edits): Command[] =>
  edits.map(({ command }) => upgradeCommand(command, format) as Command)

/** An edit in today's format, as the page keeps it. */
export type Edit = { id: string; command: Command }

export const importSchema = object({
  template: mixed<object>().required('Choose a template file.'),
}).noUnknown()

export type TemplateLine = {
  id: string
  name: string
  weeks: number
  perWeek: number
  slots: number
  /** The newest version, or null while nothing has been published. */
  version: number | null
  members: number
  changedSince: boolean
  /** Who made it, while they are here. */
  author: string | null
  isArchived: boolean
  /** Whether the asker may edit it; say who else may, archive it, and delete it; and whether anybody has trained on it. */
  mayEdit: boolean
  isTheirs: boolean
  isTrained: boolean
}

/** Who may edit a template besides its author and the gym's owner: every writer, or those who are named; with `author`, whose it is from now on. */
export const sharingSchema = object({
  editing: mixed<Editing>((value): value is Editing => editings.includes(value as Editing)).required(),
  editors: array().of(string().uuid().required()).max(200).required(),
  author: string().uuid().optional(),
}).noUnknown()
export const editings = ['all', 'named'] as const
export type Editing = (typeof editings)[number]
export type Sharing = InferType<typeof sharingSchema>

export const archiveSchema = object({ isArchived: boolean().required() }).noUnknown()

export type TemplateView = {
  id: string
  author: string | null
  isArchived: boolean
  mayEdit: boolean
  isTheirs: boolean
  editing: Editing
  /** The gym's writers, which of them it belongs to, and which are named as editors. */
  writers: { id: string; name: string; isAuthor: boolean; isNamed: boolean }[]
  revision: number
  draft: Template
  versions: { number: number; note: string; publishedAt: string; members: number }[]
}

/**
 * The answer to edits: each by itself, and every edit since the revision that they were made on, the sender's among them, in order;
 * or the whole draft where there are too many of those.
 */
export type EditsAnswer = {
  revision: number
  answers: EditAnswer[]
  edits: { id: string; command: Command }[]
  draft?: Template
}
export type EditAnswer = { id: string } & (
  { result: 'stored' | 'had' } | { result: 'conflict' | 'refused'; message: string }
)

/** What a version published now would change, against the newest one. */
export type ChangesView = {
  /** The number of the version that the draft would be published as: its own, where it is published already. */
  next: number
  since: number | null
  changes: Difference[]
}
