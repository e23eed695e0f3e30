import {
  muscles,
  type Exercise,
  type Muscle,
  type OwnExercise,
  type Reads,
  type Tool,
} from '@young-oak/core/library'
import { readOwnExercise } from '@young-oak/core/template'
import type { Read } from '../../app/draftResolver.ts'
import { formatNumber, typedNumber } from '@young-oak/core/units'

/** What a set counts for a muscle: nothing, half, in full; and the main one. */
export type Share = '' | 'half' | 'full' | 'main'

/** An exercise as it is typed: numbers as text until they are read. */
export type ExerciseDraft = {
  name: string
  pattern: string
  tool: string
  reads: string
  bar: string
  isHeld: boolean
  perSide: boolean
  shares: Partial<Record<Muscle, Share>>
  from: string
  to: string
  cost: string
  spine: string
  cue: string
  caution: string
  also: string
  parent: string
  percent: string
  substitutes: string[]
}

/** What a fault is of: what is typed, or what it is read to. */
export type ExerciseField = keyof ExerciseDraft | 'direct' | 'reps'

/** What the number means, most often, with each tool. */
export const usualReads: Record<Tool, Reads> = {
  barbell: 'total',
  dumbbells: 'per hand',
  machine: 'on the stack',
  'body weight': 'added',
}

export const emptyDraft = (name = ''): ExerciseDraft => ({
  name,
  pattern: '',
  tool: 'barbell',
  reads: usualReads.barbell,
  bar: '',
  isHeld: false,
  perSide: false,
  shares: {},
  from: '6',
  to: '12',
  cost: '2',
  spine: '1',
  cue: '',
  caution: '',
  also: '',
  parent: '',
  percent: '',
  substitutes: [],
})

export function draftOf(exercise: OwnExercise): ExerciseDraft {
  const { direct, indirect, reps, parent, substitutes = [] } = exercise
  const shares = Object.fromEntries([
    ...indirect.map((muscle) => [muscle, 'half']),
    ...direct.map((muscle, i) => [muscle, i === 0 ? 'main' : 'full']),
  ])
  return {
    name: exercise.name,
    pattern: exercise.pattern,
    tool: exercise.tool,
    reads: exercise.reads,
    bar: exercise.bar ?? '',
    isHeld: exercise.isHeld ?? false,
    perSide: exercise.perSide ?? false,
    shares,
    from: formatNumber(reps[0]),
    to: formatNumber(reps[1]),
    cost: formatNumber(exercise.cost),
    spine: formatNumber(exercise.spine),
    cue: exercise.cue,
    caution: exercise.caution ?? '',
    also: exercise.also ?? '',
    parent: parent?.exercise ?? '',
    percent: parent ? formatNumber(parent.percent) : '',
    substitutes: [...substitutes],
  }
}

/** The exercise that was typed; or what is wrong with it, field by field, in plain words. */
export function readDraft(draft: ExerciseDraft): Read<OwnExercise> {
  const text = (key: 'caution' | 'also' | 'bar') => draft[key].trim() && { [key]: draft[key].trim() }
  const has = (share: Share) => muscles.filter((muscle) => draft.shares[muscle] === share)
  const given: Record<keyof Exercise, unknown> | object = {
    name: draft.name.trim(),
    pattern: draft.pattern,
    tool: draft.tool,
    reads: draft.reads,
    direct: [...has('main'), ...has('full')],
    indirect: has('half'),
    reps: [typedNumber(draft.from), typedNumber(draft.to)],
    cost: typedNumber(draft.cost),
    spine: typedNumber(draft.spine),
    cue: draft.cue.trim(),
    ...text('caution'),
    ...text('also'),
    ...(draft.tool === 'barbell' && text('bar')),
    ...(draft.isHeld && { isHeld: true }),
    ...(draft.perSide && { perSide: true }),
    ...(draft.parent && { parent: { exercise: draft.parent, percent: typedNumber(draft.percent) } }),
    ...(draft.substitutes.length && { substitutes: draft.substitutes }),
  }
  const faults: Record<string, string> = {}
  if (has('main').length !== 1) faults.direct = 'Choose the muscle that the exercise works most.'
  const { exercise, issues = [] } = readOwnExercise(given)
  for (const { path } of issues) {
    const [field = ''] = path.split(/[.[]/)
    faults[field] ??= saysOf[field] ?? 'This does not fit.'
  }
  return exercise && !Object.keys(faults).length ? { value: exercise } : { faults }
}

const saysOf: Record<string, string> = {
  name: 'Enter a name of at most 80 characters.',
  pattern: 'Choose a pattern.',
  direct: 'Choose the muscle that the exercise works most.',
  reps: 'Two whole numbers, the smaller first.',
  cost: '0 to 5.',
  spine: '0 to 5.',
  cue: 'Say in a few words how it is done well, at most 300 characters.',
  caution: 'At most 300 characters.',
  also: 'At most 200 characters.',
  parent: 'A percentage above 0, at most 150.',
  substitutes: 'At most 12.',
}
