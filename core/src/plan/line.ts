import type { ShownGroup } from '../member/types.ts'
import { formatSpan } from '../template/types.ts'
import { formatLoad } from '../units/index.ts'

/** A slot's groups in trade shorthand: "3 × 5 @ 62.5 kg, 1 × 5+ @ 70 kg"; a missing load is "?". */
export const formatGroups = (groups: ShownGroup[]): string => groups.map(formatGroup).join(', ')

/** "2 × 5 + 1 × 5+ @ 70 kg": the last set of a plus group is the one with the plus. */
export function formatGroup({ sets, reps, plus, load, missing }: ShownGroup): string {
  const at = load ? ` @ ${formatLoad(load)}` : missing ? ' @ ?' : ''
  return `${formatSets(sets, formatSpan(reps), plus)}${at}`
}

function formatSets(sets: number, reps: string, plus?: 'last'): string {
  if (!plus) return `${sets} × ${reps}`
  return sets === 1 ? `1 × ${reps}+` : `${sets - 1} × ${reps}, ${reps}+`
}
