import type { Id } from '../parsing/index.ts'
import { liftName, type Library } from '../library/index.ts'
import { checkCommand, sayIssue, type Command, type Template } from '../template/index.ts'

/** What a step in building a template comes to: one command under one name, or why it cannot be done. */
export type Built = Command | { fault: string }

export const isFault = (built: Built): built is { fault: string } => 'fault' in built

/** Why a step cannot be done to a draft, in words; null where it can. */
export function faultOf(library: Library, draft: Template, built: Built): string | null {
  if (isFault(built)) return built.fault
  const [issue] = checkCommand(library, draft, built)
  return issue ? sayIssue(library, draft, issue) : null
}

/** Makes ids that were never used. */
export type Mint = () => Id

/** Commands as one step with a name; one alone stays as it is under its own. */
export function step(name: string, commands: Command[]): Built {
  if (!commands.length) return { fault: 'Nothing changes.' }
  return { do: 'several', name, commands }
}

export const noSlot = { fault: 'This exercise is no longer there.' }

/** Slots by their lifts. */
export const names = (library: Library, { slots }: Template, ids: Id[]): string =>
  ids.map((id) => (slots[id] ? (slots[id].circuit?.name ?? liftName(library, slots[id])) : id)).join(', ')
