import type { OthersBecome } from '@young-oak/api/publications'

/** A program that a member is on when a publication begins, or will be. */
export type OnProgram = { id: string; template: string }

type Asking = { template: string; again?: boolean; others?: OthersBecome; carry?: boolean }

/**
 * The enrolment that a publication changes, or null where it makes one; those that it ends; the one that it follows; and the one whose last loads it goes on
 * with. `going`: what the member is on, the latest first, without what a publication says that this one replaces.
 */
export function whatItChanges(
  { template, again = false, others = 'beside', carry = false }: Asking,
  going: readonly OnProgram[],
): { changes: string | null; ends: string[]; after: string | null; carries: string | null } {
  const isSame = (one: OnProgram) => one.template === template
  const changes = again ? null : (going.find(isSame)?.id ?? null)
  const before = changes === null ? (going[0]?.id ?? null) : null
  const carries = carry ? before : null
  if (others === 'follow') return { changes, ends: [], after: before, carries }
  const ended = going.filter((one) => (isSame(one) ? again : others === 'replace'))
  return { changes, ends: ended.map(({ id }) => id), after: null, carries }
}
