import { fill } from '../words/index.ts'
import type { Finding } from './findingsOf.ts'
import { checkOf } from './registry.ts'

/** A finding in words: where it is, what is the matter, what to do. */
export type FindingSaid = { where: string; what: string; next: string }

export function sayFinding({ check, message, where, value, limit, data }: Finding): FindingSaid {
  const said = checkOf[check].messages[message]
  if (!said) throw new Error(`unknown message "${message}" of the check "${check}"`)
  const all = { ...data, ...(value !== undefined && { value }), ...(limit !== undefined && { limit }) }
  return { where, what: fill(said.what, all), next: fill(said.next, all) }
}
