import {
  type Adjustment,
  changeOf,
  actsOn,
  isFor,
  slotSpot,
  type SetsDraft,
  type Spot,
  type Whom,
} from '../../adjustments/index.ts'
import type { Library, Lift } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { RunningWeek } from '../../calendar/index.ts'
import type { Phase, Template } from '../../template/index.ts'
import type { Evidence } from '../../evidence/index.ts'
import type { Pause } from '../../facts/index.ts'
import { addDays, lastDay, snap } from '../../units/index.ts'

/** Whose change it is: they act in this order. */
export type Author = 'track' | 'deload' | 'back' | 'own'

/** An adjustment with its author, and how the author is named in a reason. */
export type Authored = { adjustment: Adjustment; author: Author; label: string }

/** The track's changes; they alone may change what a week holds. */
export function trackChanges({ tracks }: Template, track: string | null): Authored[] {
  const own = track === null ? undefined : tracks[track]
  return own ? authoredOnce(own, own.changes, 'track', `track ${own.name}`) : none
}

const none: Authored[] = []

/** A template that has been read is never changed in place, so its changes with their authors are kept beside it. */
const kept = new WeakMap<object, Authored[]>()

function authoredOnce(whose: object, changes: Adjustment[], author: Author, label: string): Authored[] {
  const known = kept.get(whose)
  if (known) return known
  const made = changes.map((adjustment): Authored => ({ adjustment, author, label }))
  kept.set(whose, made)
  return made
}

/** Every change that may act in a week, in the order in which they act: track, deload, first week back, the member's own. */
export function changesOf(
  template: Template,
  evidence: Evidence,
  phase: Phase,
  week: Pick<RunningWeek, 'track' | 'deload' | 'deloadAt' | 'skips'>,
  back: number | null,
): Authored[] {
  const track = trackChanges(template, week.track)
  const own =
    week.deload === null ? undefined : evidence.deloads.find(({ id, to }) => id === week.deload && !to)
  const ownDeload = own && { deload: own, at: week.deloadAt ?? 0 }
  const whom = { track: week.track, training: evidence.about.training }
  const deload = plannedDeload(phase, ownDeload, week.skips !== undefined, whom)
  if (week.deload === null && back === null && !evidence.own.length) {
    if (!track.length) return deload
    return deload.length ? [...track, ...deload] : track
  }
  return [
    ...track,
    ...deload,
    ...(ownDeload ? ownDeloadChanges(ownDeload) : []),
    ...(back ? [firstWeekBack(back)] : []),
    ...evidence.own.map((adjustment): Authored => ({ adjustment, author: 'own', label: 'custom change' })),
  ]
}

/** A phase's own deloads for somebody: none where the member trains on, or has a deload of their own of everything in its place. */
export function plannedDeload(
  phase: Phase,
  ownDeload: OwnDeload | undefined,
  skipsDeload: boolean,
  whom: Whom,
): Authored[] {
  const isReplaced = ownDeload && !ownDeload.deload.muscles && !isReturn(ownDeload)
  if (skipsDeload || isReplaced) return none
  const all = authoredOnce(phase, phase.deloads, 'deload', 'deload')
  const fits = ({ adjustment }: Authored) => isFor(adjustment.where, whom)
  return all.every(fits) ? all : all.filter(fits)
}

/** A deload of the member's own, and which of its weeks, from 0. */
export type OwnDeload = { deload: Evidence['deloads'][number]; at: number }

/** Whether the deloads of a spell are over, and it is on its way back. */
export const isReturn = ({ deload, at }: OwnDeload): boolean => at >= deload.weeks

/** What a week of a spell changes: the deloads' custom changes, then less and less off the load. */
export function ownDeloadChanges(ownDeload: OwnDeload): Authored[] {
  const { deload, at } = ownDeload
  const { muscles } = deload
  const where = muscles ? { muscles } : {}
  const by = deload.back[at - deload.weeks]
  if (by !== undefined) {
    const adjustment = { id: `${deload.id}:back`, do: { kind: 'scaleLoad' as const, by }, where }
    return [{ adjustment, author: 'back', label: 'on the way back' }]
  }
  return deload.changes.map((change, i) => ({
    adjustment: { id: `${deload.id}:${i}`, do: change, where },
    author: 'deload',
    label: 'deload',
  }))
}

const firstWeekBack = (by: number): Authored => ({
  adjustment: { id: 'back', do: { kind: 'scaleLoad', by }, where: {} },
  author: 'back',
  label: 'first week back',
})

/** What pauses change that a program goes on through, each for its days. */
export const pauseChanges = (pauses: readonly Pause[]): Authored[] =>
  pauses.flatMap(({ id, from, to, reason, changes, muscles }) =>
    changes.map((change, i): Authored => {
      const days = { from, to: to === null ? lastDay : addDays(to, -1) }
      const where = muscles ? { days, muscles } : { days }
      return { adjustment: { id: `${id}:${i}`, do: change, where }, author: 'own', label: reason }
    }),
  )

/** The changes that act on a spot. */
export const acting = (changes: Authored[], spot: Spot): Authored[] =>
  changes.filter(({ adjustment }) => actsOn(adjustment.where, spot))

/** The changes that act on a slot of a spot, with the lift that it has there. */
export const actingOn = (
  changes: Authored[],
  library: Library,
  spot: Spot,
  id: Id,
  lift: Lift,
): Authored[] => (changes.length ? acting(changes, slotSpot(library, spot, id, lift)) : none)

export const isDeload = ({ author }: Authored): boolean => author === 'deload' || author === 'back'

/** Whether a change is one in percent of loads. */
export const scalesLoads = ({ adjustment }: Authored): boolean =>
  changeOf[adjustment.do.kind].scalesLoads === true

/** Whether a track's change scales loads, so that a running progression does not feel it. */
export const scalesTrackLoads = (one: Authored): boolean => one.author === 'track' && scalesLoads(one)

/** What is left of a slot's tonnage after changes of its sets and loads, in percent; at least 1. */
export function lightening(changes: Authored[]): number {
  const sets = 100
  const left = changes.reduce<SetsDraft>(
    (draft, { adjustment, label }) =>
      changeOf[adjustment.do.kind].onSets?.(draft, adjustment.do, label)?.now ?? draft,
    { sets, percent: 100, scale: 100 },
  )
  return Math.max(1, snap(((left.sets / sets) * (left.percent ?? 100) * left.scale) / 100))
}

/** What a change is known by beside the others of a day. */
export const nameOf = ({ author, adjustment }: Authored): string => `${author}/${adjustment.id}`
