/** A program that a member is on when a publication begins, or will be. */
export type OnProgram = { id: string; template: string }

type Asking = { template: string; again?: boolean; others?: 'beside' | 'replace' }

/**
 * The enrolment that a publication changes, or null where it makes one, and those that it ends. `going`: what the member is on, the latest first, without what a
 * publication says that this one replaces.
 */
export function whatItChanges(
  { template, again = false, others = 'beside' }: Asking,
  going: readonly OnProgram[],
): { changes: string | null; ends: string[] } {
  const isSame = (one: OnProgram) => one.template === template
  const ended = going.filter((one) => (isSame(one) ? again : others === 'replace'))
  return {
    changes: again ? null : (going.find(isSame)?.id ?? null),
    ends: ended.map(({ id }) => id),
  }
}
