import { goesOn, type Pause } from '@young-oak/core/facts'
import type { Muscle } from '@young-oak/core/library'
import { formatDay } from '@young-oak/core/units'

/** What is trained while a pause lasts, as a form offers it. */
export const meanwhiles = ['nothing', 'without', 'sets', 'half', 'load'] as const
export type Meanwhile = (typeof meanwhiles)[number]

const words: Record<Meanwhile, string> = {
  nothing: 'no training',
  without: 'train without some muscles',
  sets: 'train at −30% sets',
  half: 'train at −50% sets',
  load: 'train at −20% load',
}
export const sayMeanwhile = (one: Meanwhile): string => words[one]

type Changing = { changes?: Pause['changes']; muscles?: Muscle[] }

/** What of it is said in the pause; null where it is yet to be said without which muscles. */
export function changesWhile(meanwhile: Meanwhile, muscles: Muscle[]): Changing | null {
  if (meanwhile === 'nothing') return {}
  if (meanwhile === 'without') return muscles.length ? { changes: [{ kind: 'drop' }], muscles } : null
  if (meanwhile === 'load') return { changes: [{ kind: 'scaleLoad', by: -20 }] }
  const by = meanwhile === 'half' ? -50 : -30
  return { changes: [{ kind: 'scaleSets', by, round: 'down' }] }
}

/** "Paused since 9 Mar 2026 (injury), back on 16 Mar 2026; first week back at −10% load". */
export function sayPause(pause: Pause): string {
  const { from, to, reason, back } = pause
  const until = to ? `, back on ${formatDay(to)}` : ''
  const way = back !== null && back < 0 ? `; first week back at −${-back}% load` : ''
  return `${sayWhat(pause)} since ${formatDay(from)} (${reason})${until}${way}`
}

function sayWhat(pause: Pause): string {
  if (!goesOn(pause)) return 'Paused'
  const of = pause.muscles ? ` of ${pause.muscles.join(', ')}` : ''
  const isWithout = pause.changes.some(({ kind }) => kind === 'drop')
  return isWithout ? `Training without ${pause.muscles?.join(', ') ?? 'any of it'}` : `Training lighter${of}`
}
