import { isId } from '../../parsing/index.ts'
import { commandNames, type Command } from './registry.ts'

/**
 * Whether something that came from outside can be a command: named, and with ids that can be ids; in several commands each of them, and
 * none of those is several again. Its values are checked when it is applied.
 */
export function isCommand(value: unknown, isOneOfSeveral = false): value is Command {
  if (typeof value !== 'object' || value === null) return false
  const given = value as Record<string, unknown>
  if (!commandNames.includes(given.do as string)) return false
  if (idFields.some((field) => field in given && !isId(given[field]))) return false
  if (given.do !== 'several') return true
  const { commands } = given
  return !isOneOfSeveral && Array.isArray(commands) && commands.every((one) => isCommand(one, true))
}

const idFields = ['slot', 'session', 'phase', 'prescription', 'progression', 'stage', 'track', 'change']
