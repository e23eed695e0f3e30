import { keyOf, kindOf, type Goal } from '../../goals/index.ts'
import { type Fixable, type SetPrescription, takesScheme } from '../../template/index.ts'
import { highest, lowest } from '../../units/index.ts'
import type { Asked } from '../progress/progress.ts'

/**
 * A row with what rules put in place of what is written: the sets, the goal, the RIR, in the prescriptions that are theirs to
 * write and that the writer has not fixed. Sets alone are those of the whole row: its other prescriptions keep theirs while they leave one.
 */
export function withScheme(row: SetPrescription[], asked: Asked): SetPrescription[] {
  const { goal, sets, least, amount, moreReps, rir } = asked
  if (!goal && !sets && !least && !amount && !moreReps && rir === undefined) return row
  const made = row.map((prescribed) => {
    if (!takesScheme(row, prescribed)) return prescribed
    const isFree = (cell: Fixable) => !prescribed.fixed?.includes(cell)
    const own =
      least !== undefined && prescribed.least !== undefined && isFree('sets')
        ? withLeast(prescribed, least)
        : prescribed
    const next = rir !== undefined && isFree('rir') ? { ...own, rir } : own
    if (goal) {
      if (keyOf(prescribed.goal) !== keyOf(goal)) return next
      const made = isFree('goal') ? { ...next, goal } : next
      return isFree('sets') ? ofSets(made, sets ?? prescribed.sets) : made
    }
    if (!isFree('goal')) return next
    if (amount)
      return {
        ...next,
        goal: kindOf(prescribed.goal).withAmount?.(prescribed.goal, amount) ?? prescribed.goal,
      }
    if (moreReps) return { ...next, goal: moreOf(prescribed.goal, moreReps) }
    return next
  })
  return sets && !goal ? withSets(made, sets) : made
}

/**
 * So many sets in all: the first prescription of work takes what the others leave, and at least one; where they leave none, they give up sets from
 * the last one on, down to one each and never what the writer has fixed.
 */
function withSets(row: SetPrescription[], sets: number): SetPrescription[] {
  const at = Math.max(
    0,
    row.findIndex((prescribed) => takesScheme(row, prescribed) && prescribed.kind === undefined),
  )
  if (row[at]?.fixed?.includes('sets')) return row
  const others = row.reduce((sum, prescribed, i) => (i === at ? sum : sum + prescribed.sets), 0)
  let over = Math.max(0, others + 1 - sets)
  const trimmed = row.map((prescribed, i) => (i === at ? Math.max(1, sets - others) : prescribed.sets))
  for (let i = row.length - 1; i >= 0 && over > 0; i--) {
    if (i === at || row[i]?.fixed?.includes('sets')) continue
    const less = Math.min(over, (trimmed[i] ?? 1) - 1)
    trimmed[i] = (trimmed[i] ?? 1) - less
    over -= less
  }
  return row.map((prescribed, i) => {
    const own = trimmed[i] ?? prescribed.sets
    return i === at || own !== prescribed.sets ? ofSets(prescribed, own) : prescribed
  })
}

/** The fewest sets: no more than are written. */
const withLeast = (prescribed: SetPrescription, least: number): SetPrescription => ({
  ...prescribed,
  least: Math.min(least, prescribed.sets),
})

function ofSets(prescribed: SetPrescription, sets: number): SetPrescription {
  const { least, stop, ...rest } = prescribed
  const made: SetPrescription = { ...rest, sets }
  if (least !== undefined && least <= sets) {
    made.least = least
    if (stop !== undefined) made.stop = stop
  }
  return made
}

function moreOf(goal: Goal, more: number): Goal {
  if (!('reps' in goal)) return goal
  const { reps } = goal
  if (typeof reps === 'number') return { ...goal, reps: reps + more }
  return { ...goal, reps: { from: lowest(reps) + more, to: highest(reps) + more } }
}
