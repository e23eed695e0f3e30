import { Checker, type Issue } from '../reading/index.ts'
import * as kinds from './commands/index.ts'
import { isConflict, type Command, type CommandKind, type Conflict, type Of } from './commands/command.ts'
import type { Template } from './types.ts'

type Single = Exclude<Command, Of<'several'>>

/** Every command there is: one that was forgotten does not compile. */
const commandOf: { [K in Single['do']]: CommandKind<K> } = kinds
const kindOf = (command: Single) => commandOf[command.do] as CommandKind<Single['do']>

export const commandNames = [...Object.keys(commandOf), 'several']

/** The draft after a command; the draft itself is left as it is, and everything untouched is shared with it. */
export function applyCommand(draft: Template, command: Command): Template | Conflict {
  if (command.do !== 'several') return kindOf(command).apply(draft, command)
  return command.commands.reduce<Template | Conflict>(
    (made, one) => (isConflict(made) ? made : applyCommand(made, one)),
    draft,
  )
}

/** The command that takes another one back. */
export function invert(command: Command): Command {
  if (command.do === 'several') return { ...command, commands: command.commands.map(invert).reverse() }
  const { inverse } = kindOf(command)
  if (inverse) return inverse(command)
  const { from, to } = command as Of<'setCell'>
  return { ...command, from: to, to: from } as Command
}

/**
 * The faults of a command's own value, located as in a file. Only the piece that it touches is read, so that saving an edit
 * costs the same in a template of any size; the whole is read at import and at publishing.
 */
export function checkCommand(draft: Template, command: Command): Issue[] {
  const checker = new Checker()
  try {
    check(checker, draft, command)
    if (!checker.issues.length && !isConflict(applyCommand(draft, command))) sayCommand(draft, command)
  } catch (error) {
    // What came over the wire may lack a part: it is refused like any other fault.
    if (!(error instanceof TypeError)) throw error
    checker.add('', 'a whole edit', command.do, 'Load the page again.')
  }
  return checker.issues
}

/** Each of several commands is checked against the draft as those before it leave it. */
function check(checker: Checker, draft: Template, command: Command): void {
  if (command.do !== 'several') return kindOf(command).check(checker, draft, command)
  let now = draft
  for (const one of command.commands) {
    check(checker, now, one)
    const next = applyCommand(now, one)
    if (!isConflict(next)) now = next
  }
}

/** A command as a step that can be taken back: "Back squat (Monday), week 3: sets 3 → 4"; of several the first, and how many more. */
export function sayCommand(draft: Template, command: Command): string {
  if (command.do !== 'several') return kindOf(command).say(draft, command)
  if (command.name) return command.name
  const [first, ...more] = command.commands
  if (!first) return 'Nothing'
  return more.length ? `${sayCommand(draft, first)}, and ${more.length} more` : sayCommand(draft, first)
}

export { isConflict }
