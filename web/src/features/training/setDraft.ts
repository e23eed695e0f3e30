import { loadFault, repsFault } from '@young-oak/api/typed'
import { kindOf, leastOfCluster } from '@young-oak/core/goals'
import { exerciseOf, type Library } from '@young-oak/core/library'
import type { SetLog, ShownSets } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import {
  formatNumber,
  formatSeconds,
  lowest,
  parseSeconds,
  type Amount,
  type AmountUnit,
  type Load,
  type Unit,
  typedNumber,
} from '@young-oak/core/units'

/** What was done in a set. */
export type Result = Pick<
  SetLog,
  | 'state'
  | 'load'
  | 'help'
  | 'reps'
  | 'amount'
  | 'rir'
  | 'assisted'
  | 'partial'
  | 'pain'
  | 'technique'
  | 'option'
>

/**
 * A set as it is typed: what it takes is told by its prescription. `more` are reps of a round that was not finished; `rir` is reps in
 * reserve, empty where nothing was said.
 */
export type SetDraft = {
  load: string
  count: string
  more: string
  rir: string
  assisted: string
  partial: boolean
  pain: boolean
  technique: '' | 'good' | 'poor'
  /** Done in the other way that is asked. */
  option: boolean
}
export type SetErrors = Partial<Record<'load' | 'count' | 'more' | 'rir' | 'assisted', string>>

/** What is logged of a set: whether it has a load, in which unit, beside body weight or not; and what is counted. */
export type Measure = {
  isLoaded: boolean
  isOnBody: boolean
  unit: Unit
  counts: 'reps' | AmountUnit | 'done'
  /** Rounds that are scored with the reps of the one after them. */
  hasMore?: true
}

export function measureOf(
  library: Library,
  slot: PlannedSlot,
  prescribed: ShownSets,
  before?: SetLog,
): Measure {
  const { circuit } = slot
  if (circuit)
    return circuit.by === 'time'
      ? { isLoaded: false, isOnBody: false, unit: 'kg', counts: 's' }
      : { isLoaded: false, isOnBody: false, unit: 'kg', counts: 'rounds', hasMore: true }
  const isOnBody = exerciseOf(library, slot).tool === 'body weight'
  const counts = prescribed.goal ? kindOf(prescribed.goal).logs(prescribed.goal) : 'reps'
  const isTask = prescribed.goal !== undefined && 'task' in prescribed.goal
  const first = before?.load ?? slot.last?.sets[0]?.load
  const { goal } = prescribed
  const hasMore = goal !== undefined && counts === 'rounds' && ('most' in goal || 'capSeconds' in goal)
  return {
    ...(hasMore && { hasMore }),
    isLoaded: !isTask && (prescribed.load !== null || !isOnBody || first !== undefined),
    isOnBody,
    unit: prescribed.load?.unit ?? first?.unit ?? 'kg',
    counts,
  }
}

/** What to start from: the set that is corrected; else what is asked, and where that is the member's, the set before or last time's. */
export function startDraft(
  slot: PlannedSlot,
  prescribed: ShownSets,
  n: number,
  before: SetLog | undefined,
  isCorrection: boolean,
): SetDraft {
  const lastTime = slot.last?.sets[n - 1] ?? slot.last?.sets[0]
  const asked = prescribed.load ? { load: prescribed.load, help: prescribed.help } : undefined
  const handled = isCorrection ? before : (asked ?? (before?.load ? before : lastTime))
  const done = isCorrection ? before : undefined
  return {
    load: handled?.load ? formatNumber(handled.help ? -handled.load.value : handled.load.value) : '',
    count: doneCount(done) ?? (slot.circuit ? '' : askedCount(prescribed)),
    more: done?.amount && done.reps ? String(done.reps) : '',
    rir: done?.rir === undefined ? '' : String(done.rir),
    assisted: done?.assisted ? String(done.assisted) : '',
    partial: done?.partial ?? false,
    pain: done?.pain ?? false,
    technique: done?.technique ?? '',
    option: done?.option ?? false,
  }
}

function doneCount(done: SetLog | undefined): string | undefined {
  if (done?.amount)
    return done.amount.unit === 's' ? formatSeconds(done.amount.value) : formatNumber(done.amount.value)
  return done?.reps === undefined ? undefined : String(done.reps)
}

/** The least that a set asks, as a number: empty where as many as possible are asked. */
export function askedCount({ reps, goal }: ShownSets): string {
  if (!goal) return String(lowest(reps ?? 1))
  if ('seconds' in goal && !('most' in goal)) return formatSeconds(lowest(goal.seconds))
  if ('distance' in goal) return String(goal.distance * lowest(goal.trips ?? 1))
  if ('rounds' in goal) return String(goal.rounds)
  if ('cluster' in goal) return String(leastOfCluster(goal))
  return ''
}

/** What was typed as a set, or what is wrong with it, beside the field; what was typed stays. */
export function readDraft(
  draft: SetDraft,
  { isLoaded, isOnBody, unit, counts, hasMore }: Measure,
  state: 'done' | 'failed',
): { result?: Result; errors: SetErrors } {
  const errors: SetErrors = {}
  const value = typedNumber(draft.load)
  const handled = isOnBody && typeof value === 'number' ? Math.abs(value) : value
  const help = isOnBody && typeof value === 'number' && value < 0
  if (isLoaded && value === undefined && !isOnBody) errors.load = 'Enter the load.'
  else if (isLoaded && value !== undefined && !(isOnBody && value === 0))
    Object.assign(errors, said('load', loadFault(handled, unit, 'something')))
  const count = counts === 's' ? typedSeconds(draft.count) : typedNumber(draft.count)
  if (counts !== 'done') {
    if (count === undefined) errors.count = counts === 'reps' ? 'Enter the reps.' : 'Enter the amount.'
    else if (count === 0 && state === 'done') errors.count = 'None: tap Failed if you tried the set.'
    else if (counts === 'reps') Object.assign(errors, said('count', repsFault(count)))
    else if (typeof count !== 'number' || count < 0 || count > 100_000)
      errors.count = counts === 's' ? 'A time like 0:45 or 12:30.' : 'A number from 0 to 100,000.'
  }
  const more = hasMore ? typedNumber(draft.more) : undefined
  if (more !== undefined && !isWhole(more, 0, 1000)) errors.more = 'Whole reps, up to 1,000.'
  const rir = typedNumber(draft.rir)
  if (rir !== undefined && !isWhole(rir, 0, 10)) errors.rir = 'Whole reps, 0 to 10.'
  const assisted = typedNumber(draft.assisted)
  if (assisted !== undefined && !isWhole(assisted, 0, typeof count === 'number' ? count : 100))
    errors.assisted = 'Whole reps, no more than were done.'
  if (Object.keys(errors).length) return { errors }
  const load: Load | undefined =
    isLoaded && handled !== undefined ? { value: handled as number, unit } : undefined
  const amount: Amount | undefined =
    counts === 'reps' || counts === 'done' ? undefined : { value: count as number, unit: counts }
  return {
    errors,
    result: {
      state,
      ...(load && { load }),
      ...(help && { help }),
      ...(counts === 'reps' && { reps: count as number }),
      ...(amount && { amount }),
      ...(more ? { reps: more as number } : {}),
      ...(rir !== undefined && { rir: rir as number }),
      ...(assisted && { assisted: assisted as number }),
      ...(draft.partial && { partial: true }),
      ...(draft.pain && { pain: true }),
      ...(draft.technique && { technique: draft.technique }),
      ...(draft.option && { option: true }),
    },
  }
}

/** "0:45", "90", "12 min" as seconds; the text itself where it is no time. */
function typedSeconds(text: string): number | string | undefined {
  const trimmed = text.trim()
  if (!trimmed) return undefined
  const seconds = parseSeconds(trimmed)
  return Number.isNaN(seconds) ? trimmed : seconds
}

const isWhole = (value: unknown, from: number, to: number): boolean =>
  Number.isInteger(value) && (value as number) >= from && (value as number) <= to

const said = (field: keyof SetErrors, fault: string | null): SetErrors =>
  fault === null ? {} : { [field]: fault }
