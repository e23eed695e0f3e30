import type { Library } from '../../library/index.ts'
import type { Checker } from '../../parsing/index.ts'
import type { Template } from '../types.ts'

/** What every command has: its name, which is that of its file. */
export type AnyCommand = { do: string }

/**
 * An edit of a draft: named, with ids, the old value and the new, never an array index. The same object is the undo entry, the autosave,
 * the message to the worker, and what is merged between two writers. One file a command, file name = export = `do`: how it acts, what
 * its values must be, how it is called, how it is taken back, and what becomes of it where somebody has changed its place since.
 */
export type CommandKind<C extends AnyCommand> = {
  do: C['do']
  /** The draft after it; everything untouched is shared with the draft before. */
  apply(draft: Template, command: C): Template | Conflict
  /** The faults of its own values, located as in a file. Only the piece that it touches is read. */
  check(checker: Checker, draft: Template, command: C): void
  /** What it does, in words, as a step that can be taken back; `draft` is the one before it. */
  say(library: Library, draft: Template, command: C): string
  /** The command that takes it back: most often `swapped`. */
  inverse(command: C): AnyCommand
  /**
   * The same command against what stands now, where somebody has changed its value or its place since; null where its place is gone, or
   * where it is not told what of theirs it would write over.
   */
  renew(draft: Template, command: C): C | null
}

export const defineCommand = <C extends AnyCommand>(kind: CommandKind<C>): CommandKind<C> => kind

/** The way back of what sets a value: the same, with `from` and `to` the other way round. */
export const swapped = <C extends AnyCommand & { from: unknown; to: unknown }>(command: C): C => ({
  ...command,
  from: command.to,
  to: command.from,
})

/** What sets a value is renewed with the value that stands there now: null where it is empty, undefined where its place is gone. */
export const fromNow =
  <C extends AnyCommand & { from: unknown }>(now: (draft: Template, command: C) => unknown) =>
  (draft: Template, command: C): C | null => {
    const from = now(draft, command)
    return from === undefined ? null : { ...command, from }
  }

/** What holds more than one value is not told what it would write over: it stands as it was meant, or not at all. */
export const asMeant = <C extends AnyCommand>(_: Template, command: C): C => command

/** Why a command no longer fits: what it speaks of is gone, or somebody has changed it since. The sentence names lifts. */
export type Conflict = { conflict(library: Library): string }

export const isConflict = (result: Template | Conflict): result is Conflict => 'conflict' in result

/** What a conflict speaks of, as the writer calls it. */
type What = string | ((library: Library) => string)
const say = (what: What, library: Library): string => (typeof what === 'string' ? what : what(library))

export const gone = (what: What): Conflict => ({
  conflict: (library) => `${say(what, library)} is no longer there.`,
})

/** `now` is what stands there: a value, or the words for one. */
export const changed = (what: What, now: unknown): Conflict => ({
  conflict(library) {
    const is =
      typeof now === 'function'
        ? (now as (library: Library) => string)(library)
        : (JSON.stringify(now) ?? 'empty')
    return `${say(what, library)} has been changed since: it is ${is.length > 80 ? 'something else' : is} now.`
  },
})
