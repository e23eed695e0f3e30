import { mostTableReps, repsFor, repTableTitle, type RepTable } from '@young-oak/core/maxes'
import { formatNumber, snap, typedNumber, type Load } from '@young-oak/core/units'

/** "80% of the 1RM: 8 reps (Handbook table)", or what is wrong with what was typed; nothing where nothing was. */
export function sayReps(typed: string, max: Load, table: RepTable): { said?: string; error?: string } {
  const value = typedNumber(typed)
  if (value === undefined) return {}
  if (!(typeof value === 'number' && value > 0 && value <= 1000))
    return { error: 'A load above 0 and at most 1000.' }
  const percent = snap((100 * value) / max.value)
  const reps = repsFor(table, percent)
  const share = `${formatNumber(Math.round(percent * 10) / 10)}% of the 1RM`
  const many = reps === mostTableReps ? `${reps} reps or more` : `${reps} ${reps === 1 ? 'rep' : 'reps'}`
  return { said: reps ? `${share}: ${many} (${repTableTitle(table)})` : `${share}: above the 1RM, no reps` }
}
