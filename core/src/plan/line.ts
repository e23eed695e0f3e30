import type { Need } from '../loads/source.ts'
import type { ShownGroup } from '../member/types.ts'
import { formatSpan } from '../template/types.ts'
import { formatLoad } from '../units/index.ts'

/** A slot's groups in trade shorthand: "3 × 5 @ 62.5 kg, 1 × 5+ @ 70 kg"; a missing load is "?". */
export const formatGroups = (groups: ShownGroup[]): string => groups.map(formatGroup).join(', ')

/** "2 × 5 + 1 × 5+ @ 70 kg": the last set of a plus group is the one with the plus. */
export function formatGroup(group: ShownGroup): string {
  const { sets, reps, plus, load, missing } = group
  const at = load ? ` @ ${formatHandled(group, load)}` : missing ? ' @ ?' : ''
  return `${formatSets(sets, formatSpan(reps), plus)}${at}`
}

function formatSets(sets: number, reps: string, plus?: 'last'): string {
  if (!plus) return `${sets} × ${reps}`
  return sets === 1 ? `1 × ${reps}+` : `${sets - 1} × ${reps}, ${reps}+`
}

/** A load as it is handled: "62.5 kg"; on top of body weight "+10 kg", "body weight", or "15 kg of help". */
export function formatHandled(
  { body, help }: Pick<ShownGroup, 'body' | 'help'>,
  load: NonNullable<ShownGroup['load']>,
): string {
  if (!body) return formatLoad(load)
  if (!load.value) return 'body weight'
  return help ? `${formatLoad(load)} of help` : `+${formatLoad(load)}`
}

/** What a slot lacks before its load can be given. */
export const needWords: Record<Need['need'], string> = {
  max: 'needs a max',
  bodyWeight: 'needs a body weight',
  role: 'needs its first day',
}
