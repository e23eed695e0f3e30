import type { Library } from '../../library/index.ts'
import { Checker, type Issue } from '../../parsing/index.ts'
import type { Template } from '../types.ts'
import { isConflict, type Conflict } from './command.ts'
import { kindOf, type Command, type Several } from './registry.ts'

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
  return kindOf(command).inverse(command) as Command
}

/**
 * The faults of a command's own value, located as in a file. Only the piece that it touches is read, so that saving an edit
 * costs the same in a template of any size; the whole is read at import and at publishing.
 */
export function checkCommand(library: Library, draft: Template, command: Command): Issue[] {
  const checker = new Checker(library)
  try {
    check(checker, draft, command)
    if (!checker.issues.length && !isConflict(applyCommand(draft, command)))
      sayCommand(library, draft, command)
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
export function sayCommand(library: Library, draft: Template, command: Command): string {
  if (command.do !== 'several') return kindOf(command).say(library, draft, command)
  if (command.name) return command.name
  const [first, ...more] = command.commands
  if (!first) return 'Nothing'
  const said = sayCommand(library, draft, first)
  return more.length ? `${said}, and ${more.length} more` : said
}

/**
 * The same command against what stands now, where somebody has changed its value or its place since: each of several against what those
 * before it leave. Null where it has no place any more, or where it is not told what of theirs it would write over.
 */
export function renewCommand(draft: Template, command: Command): Command | null {
  const renewed = command.do === 'several' ? renewAll(draft, command) : kindOf(command).renew(draft, command)
  return renewed && !isConflict(applyCommand(draft, renewed)) ? renewed : null
}

function renewAll(draft: Template, several: Several): Command | null {
  const commands: Command[] = []
  let now = draft
  for (const one of several.commands) {
    const renewed = renewCommand(now, one)
    const next = renewed && applyCommand(now, renewed)
    if (!renewed || !next || isConflict(next)) return null
    commands.push(renewed)
    now = next
  }
  return { ...several, commands }
}
