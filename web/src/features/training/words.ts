import type { Reads } from '@young-oak/core/library'
import { exerciseOf, type Lift } from '@young-oak/core/library'
import type { LastTime } from '@young-oak/core/plan'
import { formatDay, formatLoad } from '@young-oak/core/units'

const readsAs: Record<Reads, string> = {
  total: '',
  'per hand': 'per hand',
  'per side': 'per side',
  added: 'added',
  'on the stack': 'on the stack',
}

/** What the number beside an exercise means, where it is not simply the whole bar. */
export const readsNote = (lift: Lift): string => readsAs[exerciseOf(lift).reads]

/** "60 kg × 5, 5, 4 on 2 Mar 2026": equal loads are written once. */
export function sayLast({ date, sets }: LastTime): string {
  const groups: { load: string; reps: number[] }[] = []
  for (const { load, reps } of sets) {
    const said = load ? `${formatLoad(load)} × ` : ''
    const last = groups[groups.length - 1]
    if (last && last.load === said) last.reps.push(reps)
    else groups.push({ load: said, reps: [reps] })
  }
  const all = groups.map(({ load, reps }) => `${load}${reps.join(', ')}`).join('; ')
  return `${all} on ${formatDay(date)}`
}
