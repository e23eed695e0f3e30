import {
  changeOf,
  type Adjustment,
  type Change,
  type ChangeName,
  type Where,
} from '@young-oak/core/adjustments'
import { liftOf, mainMuscle, type ExerciseId, type Library, type Muscle } from '@young-oak/core/library'
import type { Template } from '@young-oak/core/template'
import type { Faults, Read } from '../../../app/draftResolver.ts'
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
  params: ParamDraft
  exercise: ExerciseId | ''
  sessions: string[]
  reach: Reach
  phase: string
  weeks: string
  /** Days of the week, from 1. */
  days: string
  muscle: Muscle
}

/** Changes of whole weeks, which no exercise narrows. */
export const isOfWeek = (kind: TrackChangeKind): boolean => kind === 'fewerDays' || kind === 'rotation'

/** The parameters of the first example, to begin with. */
export const starterOf = (kind: TrackChangeKind): ParamDraft => {
  const { examples } = changeOf[kind]
  const { rotation: _, ...given } = (examples[0]?.params ?? {}) as { rotation?: string[] }
  const typed = draftOf(changeOf[kind], given)
  return Object.fromEntries(Object.entries(typed).filter(([path]) => !path.startsWith('rotation')))
}

/** What the keyboard stands on, its load a little less; the rotation begins as the first phase's. */
export function newTrackChange(library: Library, draft: Template, selected: Selected): TrackChangeDraft {
  const slot = selected.slot === undefined ? undefined : draft.slots[selected.slot]
  return {
    kind: 'scaleLoad',
    params: starterOf('scaleLoad'),
    exercise: '',
    sessions: draft.phases[0]?.rotation ?? [],
    reach: slot ? 'slot' : 'everywhere',
    phase: '',
    weeks: '',
    days: '',
    muscle: (slot && mainMuscle(library, slot)) ?? 'quads',
  }
}

/** The change that was typed, on what the keyboard stands on or wider; or what is wrong with it, field by field. */
export function readTrackChange(
  draft: Template,
  selected: Selected,
  given: TrackChangeDraft,
): Read<Omit<Adjustment, 'id'>> {
  const { params, fault } = paramsOf(given)
  const weeks = countsIn(given.weeks)
  const days = countsIn(given.days)
  const faults: Faults = {
    ...fault,
    ...(!weeks && { weeks: 'Weeks like 1, 2, 4; empty for all.' }),
    ...(!days && { days: 'Days like 1, 3; empty for all.' }),
  }
  if (!weeks || !days || Object.keys(faults).length) return { faults }
  const change = { kind: given.kind, ...params } as Change
  return { value: { do: change, where: whereOf(draft, selected, given, { weeks, days }) } }
}

/** What the change is made with: an exercise, sessions, or the parameters of its kind. */
function paramsOf({ kind, params: typed, exercise, sessions }: TrackChangeDraft): {
  params: object
  fault?: Faults
} {
  const { params } = changeOf[kind]
  if (kind === 'swap')
    return { params: { exercise }, ...(!exercise && { fault: { exercise: 'Choose an exercise.' } }) }
  if (kind === 'rotation') {
    const to = { ...unflatten(typed), rotation: sessions }
    const isRead = sessions.length > 0 && params.isValidSync(to, { strict: true })
    return {
      params: to,
      ...(!isRead && { fault: { sessions: 'Choose the sessions, and how many a week.' } }),
    }
  }
  const wrong = faultsOf(changeOf[kind], typed)
  return { params: unflatten(typed), ...(Object.keys(wrong).length && { fault: { params: wrong } }) }
}

/** "1, 2, 4" as weeks, or days, from 1 on; null where something else was typed. */
function countsIn(typed: string): number[] | null {
  const weeks = typed
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number)
  return weeks.every((week) => Number.isInteger(week) && week >= 1) ? weeks : null
}

function whereOf(
  { slots }: Template,
  { slot: id, session }: Selected,
  { kind, reach, phase, muscle }: TrackChangeDraft,
  { weeks, days }: { weeks: number[]; days: number[] },
): Where {
  const slot = id === undefined ? undefined : slots[id]
  const time = { ...(phase && { phases: [phase] }), ...(weeks.length && { weeks }) }
  if (isOfWeek(kind)) return time
  return {
    ...time,
    ...(days.length && { inWeek: days }),
    ...(reach === 'slot' && id !== undefined && { slots: [id] }),
    ...(reach === 'session' && session !== undefined && { sessions: [session] }),
    ...(reach === 'lift' && slot && { lifts: [liftOf(slot)] }),
    ...(reach === 'muscle' && { muscles: [muscle] }),
  }
}
