import type { CommandKind } from './command.ts'
import * as kinds from './kinds.ts'

type Kinds = typeof kinds
type CommandOf<K extends keyof Kinds> = Kinds[K] extends CommandKind<infer C> ? C : never

/** A single edit. */
export type Single = { [K in keyof Kinds]: CommandOf<K> }[keyof Kinds]

/** Several edits as one step, under a name of its own where it has one. */
export type Several = { do: 'several'; commands: Command[]; name?: string }

export type Command = Single | Several

const commandOf = kinds as unknown as Record<Single['do'], CommandKind<Single>>

export const kindOf = (command: Single): CommandKind<Single> => commandOf[command.do]

export const commandNames: readonly string[] = [...Object.keys(kinds), 'several']
