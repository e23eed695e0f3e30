import { goesOn, type Pause, type PauseReason } from '@young-oak/core/facts'
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

/** The first week back: as the program says, or percent on its loads. */
export const ways = ['program', '0', '-5', '-10', '-15', '-20', '-30'] as const
export type Way = (typeof ways)[number]
export const sayWay = (way: Way): string =>
  way === 'program' ? 'as the program says' : way === '0' ? 'full loads' : `${way.replace('-', '−')}% load`

/** A pause as a form holds it; `to`: the first day back, where it is known. */
export type PauseDraft = {
  reason: PauseReason
  to: string
  meanwhile: Meanwhile
  without: Muscle[]
  way: Way
}
export const newPause: PauseDraft = {
  reason: 'holiday',
  to: '',
  meanwhile: 'nothing',
  without: [],
  way: 'program',
}

/** What is sent of it; null where it is yet to be said without which muscles. */
export function pauseOf({
  reason,
  to,
  meanwhile,
  without,
  way,
}: PauseDraft): ({ kind: 'pause' } & Record<string, unknown>) | null {
  const changes = changesWhile(meanwhile, without)
  return (
    changes && {
      kind: 'pause',
      reason,
      ...(to && { to }),
      ...(way !== 'program' && { back: Number(way) }),
      ...changes,
    }
  )
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
