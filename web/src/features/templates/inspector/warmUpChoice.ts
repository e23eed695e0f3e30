import type { Template } from '@young-oak/core/template'
import { formatNumber } from '@young-oak/core/units'
import type { WarmUp } from '@young-oak/core/warmups'

/** The warm-ups that a form offers; a ladder is typed. */
export type WarmUpChoice = 'none' | 'two' | 'three' | 'listed'

export const warmUpChoices: Record<WarmUpChoice, string> = {
  none: 'none',
  two: 'two lighter sets',
  three: 'three lighter sets',
  listed: 'warm-up sets by percent',
}

const usualLadder: WarmUp = {
  kind: 'listed',
  bar: 10,
  sets: [
    { percent: 40, reps: 5 },
    { percent: 60, reps: 3 },
    { percent: 80, reps: 2 },
  ],
}

export function choiceOf(warmUp: Template['warmUp']): WarmUpChoice {
  if (!warmUp) return 'none'
  if (warmUp.kind === 'listed') return 'listed'
  return warmUp.sets === 2 ? 'two' : 'three'
}

/** "bar × 10, 40 × 5, 60 × 3": the template's own ladder, or the usual bar to begin with. */
export function listedText(warmUp: Template['warmUp']): string {
  const ladder = warmUp?.kind === 'listed' ? warmUp : usualLadder
  if (ladder.kind !== 'listed') return ''
  return [
    ...(ladder.bar === undefined ? [] : [`bar × ${ladder.bar}`]),
    ...ladder.sets.map(({ percent, reps }) => `${formatNumber(percent)} × ${reps}`),
  ].join(', ')
}

/** The chosen warm-up; null for none, undefined where the ladder does not read. */
export function warmUpOf(choice: WarmUpChoice, ladder: string): WarmUp | null | undefined {
  if (choice === 'none') return null
  if (choice !== 'listed') return { kind: 'fewSets', sets: choice === 'two' ? 2 : 3 }
  const pieces = ladder
    .split(',')
    .map((piece) => /^\s*(bar|\d+(?:\.\d+)?)\s*%?\s*[x×]\s*(\d+)\s*$/i.exec(piece))
  if (pieces.some((piece) => !piece)) return undefined
  const typed = pieces.map((piece) => ({ at: piece?.[1]?.toLowerCase() ?? '', reps: Number(piece?.[2]) }))
  const bar = typed.find(({ at }) => at === 'bar')?.reps
  const steps = typed.filter(({ at }) => at !== 'bar').map(({ at, reps }) => ({ percent: Number(at), reps }))
  const isFit =
    steps.length > 0 &&
    steps.every(
      ({ percent, reps }, i) =>
        percent >= 10 && percent <= 95 && reps >= 1 && reps <= 30 && percent > (steps[i - 1]?.percent ?? 0),
    )
  return isFit ? { kind: 'listed', ...(bar !== undefined && { bar }), sets: steps } : undefined
}
