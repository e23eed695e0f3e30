import type { Template } from '@young-oak/core/template'
import { formatNumber } from '@young-oak/core/units'
import type { WarmUp } from '@young-oak/core/warmups'

/** The warm-ups that a form offers; a ladder is typed. */
export type WarmUpChoice = 'none' | 'two' | 'three' | 'ladder'

export const warmUpChoices: Record<WarmUpChoice, string> = {
  none: 'none',
  two: 'two lighter sets',
  three: 'three lighter sets',
  ladder: 'a ladder by percent',
}

const usualLadder: WarmUp = {
  kind: 'ladder',
  bar: 10,
  rungs: [
    { percent: 40, reps: 5 },
    { percent: 60, reps: 3 },
    { percent: 80, reps: 2 },
  ],
}

export function choiceOf(warmUp: Template['warmUp']): WarmUpChoice {
  if (!warmUp) return 'none'
  if (warmUp.kind === 'ladder') return 'ladder'
  return warmUp.sets === 2 ? 'two' : 'three'
}

/** "bar × 10, 40 × 5, 60 × 3": the template's own ladder, or the usual one to begin with. */
export function ladderText(warmUp: Template['warmUp']): string {
  const ladder = warmUp?.kind === 'ladder' ? warmUp : usualLadder
  if (ladder.kind !== 'ladder') return ''
  return [
    ...(ladder.bar === undefined ? [] : [`bar × ${ladder.bar}`]),
    ...ladder.rungs.map(({ percent, reps }) => `${formatNumber(percent)} × ${reps}`),
  ].join(', ')
}

/** The chosen warm-up; null for none, undefined where the ladder does not read. */
export function warmUpOf(choice: WarmUpChoice, ladder: string): WarmUp | null | undefined {
  if (choice === 'none') return null
  if (choice !== 'ladder') return { kind: 'fewSets', sets: choice === 'two' ? 2 : 3 }
  const pieces = ladder
    .split(',')
    .map((piece) => /^\s*(bar|\d+(?:\.\d+)?)\s*%?\s*[x×]\s*(\d+)\s*$/i.exec(piece))
  if (pieces.some((piece) => !piece)) return undefined
  const steps = pieces.map((piece) => ({ at: piece?.[1]?.toLowerCase() ?? '', reps: Number(piece?.[2]) }))
  const bar = steps.find(({ at }) => at === 'bar')?.reps
  const rungs = steps.filter(({ at }) => at !== 'bar').map(({ at, reps }) => ({ percent: Number(at), reps }))
  const isFit =
    rungs.length > 0 &&
    rungs.every(
      ({ percent, reps }, i) =>
        percent >= 10 && percent <= 95 && reps >= 1 && reps <= 30 && percent > (rungs[i - 1]?.percent ?? 0),
    )
  return isFit ? { kind: 'ladder', ...(bar !== undefined && { bar }), rungs } : undefined
}
