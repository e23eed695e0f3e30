import type { SpecialBar } from '../units/index.ts'

/** What an exercise is loaded with: it decides what can be made and what the load means. */
export const tools = ['barbell', 'dumbbells', 'machine', 'body weight'] as const
export type Tool = (typeof tools)[number]

export const patterns = [
  'squat',
  'hinge',
  'horizontal push',
  'vertical push',
  'horizontal pull',
  'vertical pull',
  'single leg',
  'trunk',
  'arms',
  'shoulders',
  'legs',
  'calves',
  'carry',
  'jump',
  'conditioning',
] as const
export type Pattern = (typeof patterns)[number]

/** What the number beside an exercise means. */
export const readings = ['total', 'per hand', 'per side', 'added', 'on the stack'] as const
export type Reads = (typeof readings)[number]

/** What the number means, in words: "load per hand". */
export const readingWords: Record<Reads, string> = {
  total: 'total load, bar included',
  'per hand': 'load per hand',
  'per side': 'load per side',
  added: 'load added to body weight',
  'on the stack': 'load on the stack',
}

export const muscles = [
  'quads',
  'hamstrings',
  'glutes',
  'back',
  'chest',
  'shoulders',
  'biceps',
  'triceps',
  'trunk',
  'side delts',
  'rear delts',
  'calves',
  'forearms',
  'adductors',
] as const
export type Muscle = (typeof muscles)[number]

/** An exercise of the library. What is said of muscles, costs and ratios is common practice without a source: a start, to be changed. */
export type Exercise = {
  name: string
  pattern: Pattern
  tool: Tool
  reads: Reads
  /** Muscles that a set counts for in full, the first one main. */
  direct: readonly Muscle[]
  /** Muscles that a set counts for by half. */
  indirect: readonly Muscle[]
  /** Reps that it suits, or seconds where it is held. */
  reps: readonly [from: number, to: number]
  /** What a hard set asks in recovery, and of the spine: 0 none, 5 most. */
  cost: number
  spine: number
  cue: string
  caution?: string
  /** It is held for a time. */
  isHeld?: true
  /** One side at a time: reps are of one side. */
  perSide?: true
  /** The bar that it needs, where it is not the usual bar. */
  bar?: SpecialBar
  /** The lift that it derives from, and the percent of its max to begin with. */
  parent?: { exercise: string; percent: number }
  /** What may stand in for it: fewer tools, or easier on a joint. */
  substitutes?: readonly string[]
  /** Words by which it is found as well. */
  also?: string
}

type More = Partial<
  Pick<Exercise, 'caution' | 'isHeld' | 'perSide' | 'bar' | 'parent' | 'substitutes' | 'also'>
>

/** A line of the library for exercises of one pattern, tool and way of reading the number. */
export const family =
  (pattern: Pattern, tool: Tool, reads: Reads) =>
  (
    name: string,
    direct: readonly Muscle[],
    indirect: readonly Muscle[],
    reps: readonly [number, number],
    [cost, spine]: readonly [cost: number, spine: number],
    cue: string,
    more: More = {},
  ): Exercise => ({ name, pattern, tool, reads, direct, indirect, reps, cost, spine, cue, ...more })

/** "3 to 8 reps of each side", "20 to 60 seconds"; nothing of what is counted in minutes or trips. */
export function saySuits({ reps: [from, to], pattern, isHeld, perSide }: Exercise): string | null {
  if (pattern === 'conditioning' || pattern === 'carry') return null
  return `${from} to ${to} ${isHeld ? 'seconds' : 'reps'}${perSide ? ' of each side' : ''}`
}
