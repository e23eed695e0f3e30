import type { Doing } from '../types.ts'
import { kindOf, type Goal } from '../../goals/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { highest, lowest, type AmountUnit } from '../../units/index.ts'
import type { Prescribed } from '../state/situation.ts'

/** Reps beyond those asked in a preview of more than was planned. */
const moreReps = 2

/** The sets of a slot as a preview supposes them: the last one short of what is asked, or all of them beyond it. */
export function supposedSets(
  { id, slot, prescriptions }: Prescribed,
  doing: Exclude<Doing, 'asked'>,
): SetLog[] {
  if (doing === 'nothing') return []
  const all = prescriptions.flatMap((prescribed) => Array.from({ length: prescribed.sets }, () => prescribed))
  return all.map((prescribed, i): SetLog => {
    const isShort = doing === 'short' && i === all.length - 1
    const { load, help, rir } = prescribed
    const { exercise, variant } = prescribed.lift ?? slot
    const set: SetLog = {
      id: `${id}:${i + 1}`,
      rev: 1,
      slot: id,
      n: i + 1,
      exercise,
      state: isShort ? 'failed' : 'done',
      ...countOf(prescribed, isShort ? 'short' : doing),
    }
    if (variant) set.variant = variant
    if (load) set.load = load
    if (help) set.help = help
    if (rir !== undefined) set.rir = rir
    return set
  })
}

function countOf({ reps, goal, sets }: ShownSets, doing: 'short' | 'more'): Pick<SetLog, 'reps' | 'amount'> {
  if (!goal)
    return { reps: doing === 'short' ? Math.max(0, lowest(reps ?? 1) - 1) : highest(reps ?? 1) + moreReps }
  const unit = kindOf(goal).logs(goal)
  if (unit === 'done') return {}
  const asked = amountAsked(goal, sets)
  const done = doing === 'short' ? Math.max(0, asked - 1) : asked + (unit === 'reps' ? moreReps : asked / 10)
  return unit === 'reps'
    ? { reps: Math.round(done) }
    : { amount: { value: done, unit: unit satisfies AmountUnit } }
}

/** Where the member decides. */
const usualAmount = 10

/** What a set of another goal than plain reps asks for, in its own unit. */
function amountAsked(goal: Goal, sets: number): number {
  if ('most' in goal) return goal.beat ?? 10
  if ('open' in goal || 'task' in goal) return usualAmount
  const inAll = kindOf(goal).inAll?.(goal)
  if (inAll !== undefined) return Math.ceil(inAll / sets)
  if ('distance' in goal) return goal.distance * highest(goal.trips ?? 1)
  if ('rounds' in goal) return goal.rounds
  if ('seconds' in goal) return highest(goal.seconds)
  return highest(kindOf(goal).reps(goal) ?? 1)
}
