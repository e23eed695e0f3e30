import {
  changeOf,
  type Adjustment,
  type Change,
  type ChangeName,
  type Where,
} from '@young-oak/core/adjustments'
import { liftOf, type ExerciseId, type Muscle } from '@young-oak/core/library'
import type { Template } from '@young-oak/core/template'
import { draftOf, faultsOf, unflatten, type ParamDraft } from '../../params/paramDraft.ts'
import type { Selected } from './selected.ts'

/** What a track may change by itself; slots of its own come by "Only in this track". */
export const trackChangeKinds = [
  'scaleLoad',
  'points',
  'scaleSets',
  'rirAtLeast',
  'highReps',
  'drop',
  'swap',
  'fewerDays',
  'rotation',
] as const satisfies readonly ChangeName[]
export type TrackChangeKind = (typeof trackChangeKinds)[number]

/** How far a change reaches. */
export type Reach = 'slot' | 'session' | 'lift' | 'muscle' | 'everywhere'

/** A change as it is typed and chosen. */
export type TrackChangeDraft = {
  kind: TrackChangeKind
  typed: ParamDraft
  exercise: ExerciseId | null
  sessions: string[]
  reach: Reach
  phase: string
  weeks: string
  muscle: Muscle
}

/** Changes of whole weeks, which no exercise narrows. */
export const isOfWeek = (kind: TrackChangeKind): boolean => kind === 'fewerDays' || kind === 'rotation'

/** The parameters of the first example, to begin with. */
export const starterOf = (kind: TrackChangeKind): ParamDraft => {
  const { params, examples } = changeOf[kind]
  const { rotation: _, ...given } = (examples[0]?.params ?? {}) as { rotation?: string[] }
  const typed = draftOf(params, given)
  return Object.fromEntries(Object.entries(typed).filter(([path]) => !path.startsWith('rotation')))
}

type Read = { change?: Omit<Adjustment, 'id'>; faults: Record<string, string> }

/** The change that was typed, on what the keyboard stands on or wider; or what is wrong with it, field by field. */
export function readTrackChange(draft: Template, selected: Selected, given: TrackChangeDraft): Read {
  const { kind, typed, exercise, sessions } = given
  const { params } = changeOf[kind]
  const to =
    kind === 'swap'
      ? { exercise: exercise ?? undefined }
      : kind === 'rotation'
        ? { ...unflatten(typed), rotation: sessions }
        : unflatten(typed)
  const faults = kind === 'swap' || kind === 'rotation' ? {} : faultsOf(params, typed)
  if (kind === 'swap' && !exercise) faults.exercise = 'Choose an exercise.'
  if (kind === 'rotation' && (!sessions.length || !params.isValidSync(to, { strict: true })))
    faults.rotation = 'Choose the sessions, and how many a week.'
  const weeks = given.weeks
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number)
  if (weeks.some((week) => !Number.isInteger(week) || week < 1))
    faults.weeks = 'Weeks like 1, 2, 4; empty for all.'
  if (Object.keys(faults).length) return { faults }
  return { change: { do: { kind, ...to } as Change, where: whereOf(draft, selected, given, weeks) }, faults }
}

function whereOf(
  { slots }: Template,
  { slot: id, session }: Selected,
  { kind, reach, phase, muscle }: TrackChangeDraft,
  weeks: number[],
): Where {
  const slot = id === undefined ? undefined : slots[id]
  const time = { ...(phase && { phases: [phase] }), ...(weeks.length && { weeks }) }
  if (isOfWeek(kind)) return time
  return {
    ...time,
    ...(reach === 'slot' && id !== undefined && { slots: [id] }),
    ...(reach === 'session' && session !== undefined && { sessions: [session] }),
    ...(reach === 'lift' && slot && { lifts: [liftOf(slot)] }),
    ...(reach === 'muscle' && { muscles: [muscle] }),
  }
}
