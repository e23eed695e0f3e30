import { type Reads, exerciseOf, type Lift, type Library } from '@young-oak/core/library'
import type { SetLog } from '@young-oak/core/member'
import type { LastTime } from '@young-oak/core/evidence'
import { formatAmount, formatDay, formatLoad } from '@young-oak/core/units'

const readsAs: Record<Reads, string> = {
  total: '',
  'per hand': 'per hand',
  'per side': 'per side',
  added: 'added',
  'on the stack': 'on the stack',
}

/** What the number beside an exercise means, where it is not simply the whole bar. */
export const readsNote = (library: Library, lift: Lift): string => readsAs[exerciseOf(library, lift).reads]

/** What it means, whatever it is: "in all" for a barbell with its plates. */
export const readsFully = (library: Library, lift: Lift): string => readsNote(library, lift) || 'in all'

type DoneSet = LastTime['sets'][number] & Partial<Pick<SetLog, 'state' | 'pain'>>

/** "60 kg", "+10 kg", "15 kg of assistance"; nothing where there was no load. */
function sayLoad({ load, help }: DoneSet, isOnBody: boolean): string {
  if (!load || (isOnBody && !load.value)) return ''
  return isOnBody ? `${help ? '−' : '+'}${formatLoad(load)}` : formatLoad(load)
}

const sayCount = ({ reps, amount, state, failed }: DoneSet): string => {
  const isFailed = failed === true || state === 'failed'
  if (isFailed && !reps && !amount?.value) return 'failed'
  if (isFailed && reps) return `${reps} and failed`
  if (amount) return `${formatAmount(amount)}${reps ? ` and ${reps} reps` : ''}`
  return reps === undefined ? 'done' : String(reps)
}

/** "60 kg × 5", "0:45", "done". */
export function sayDone(set: DoneSet, isOnBody: boolean): string {
  const load = sayLoad(set, isOnBody)
  return `${load ? `${load} × ` : ''}${sayCount(set)}${set.pain ? ', hurt' : ''}`
}

/** "60 kg × 5, 5, 4 on 2 Mar 2026": equal loads are written once. */
export function sayLast({ date, sets }: LastTime, isOnBody = false): string {
  const byLoad: { load: string; counts: string[] }[] = []
  for (const set of sets) {
    const said = sayLoad(set, isOnBody)
    const load = said ? `${said} × ` : ''
    const last = byLoad[byLoad.length - 1]
    if (last && last.load === load) last.counts.push(sayCount(set))
    else byLoad.push({ load, counts: [sayCount(set)] })
  }
  const all = byLoad.map(({ load, counts }) => `${load}${counts.join(', ')}`).join('; ')
  return `${all} on ${formatDay(date)}`
}
