import { commandFrom1 } from './command1.ts'

/** The format that edits are written in today; the database and the page keep the number beside each. */
export const commandFormat = 2

/** How an edit of each earlier format is brought to the next one. */
const steps: Record<number, (command: unknown) => unknown> = { 1: commandFrom1 }

/** An edit of an earlier format in today's; one of no format that is known comes back as it is, to be refused in sight. */
export function upgradeCommand(command: unknown, format: number): unknown {
  const step = Object.hasOwn(steps, format) ? steps[format] : undefined
  return step ? upgradeCommand(step(command), format + 1) : command
}
