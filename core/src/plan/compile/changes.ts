import { type Adjustment, changeOf, actsOn, type Spot } from '../../adjustments/index.ts'
import type { RunningWeek } from '../../calendar/index.ts'
import type { Phase, Template } from '../../template/index.ts'
import type { Evidence } from '../../evidence/index.ts'

/** Whose change it is: they act in this order. */
export type Author = 'track' | 'light' | 'back' | 'own'

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

/** Every change that may act in a week, in the order in which they act: track, light week, first week back, the member's own. */
export function changesOf(
  template: Template,
  evidence: Evidence,
  phase: Phase,
  week: Pick<RunningWeek, 'track' | 'light' | 'lightAt' | 'skips'>,
  isBack: boolean,
): Authored[] {
  const track = trackChanges(template, week.track)
  const own = evidence.lights.find(({ id }) => id === week.light)
  const spell = own && { light: own, at: week.lightAt ?? 0 }
  const light = plannedLight(phase, spell, week.skips !== undefined)
  if (week.light === null && !isBack && !evidence.own.length)
    return track.length ? [...track, ...light] : light
  return [
    ...track,
    ...light,
    ...(spell ? spellChanges(spell) : []),
    ...(isBack && template.away ? [firstWeekBack(template.away.back)] : []),
    ...evidence.own.map((adjustment): Authored => ({ adjustment, author: 'own', label: 'own change' })),
  ]
}

/** A phase's own light weeks: none where the member trains on, or has a light week of their own of everything in its place. */
export function plannedLight(phase: Phase, spell: Spell | undefined, skipsLight: boolean): Authored[] {
  const isReplaced = spell && !spell.light.muscles && !isReturn(spell)
  return skipsLight || isReplaced ? none : authoredOnce(phase, phase.light, 'light', 'light')
}

/** A light spell of the member's own, and which of its weeks, from 0. */
export type Spell = { light: Evidence['lights'][number]; at: number }

/** Whether the light weeks of a spell are over, and it is on its way back. */
export const isReturn = ({ light, at }: Spell): boolean => at >= light.weeks

/** What a week of a spell changes: the light weeks' own changes, then less and less off the load. */
export function spellChanges(spell: Spell): Authored[] {
  const { light, at } = spell
  const { muscles } = light
  const where = muscles ? { muscles } : {}
  const by = light.back[at - light.weeks]
  if (by !== undefined) {
    const adjustment = { id: `${light.id}:back`, do: { kind: 'scaleLoad' as const, by }, where }
    return [{ adjustment, author: 'back', label: 'on the way back' }]
  }
  return light.changes.map((change, i) => ({
    adjustment: { id: `${light.id}:${i}`, do: change, where },
    author: 'light',
    label: 'light',
  }))
}

const firstWeekBack = (by: number): Authored => ({
  adjustment: { id: 'back', do: { kind: 'scaleLoad', by }, where: {} },
  author: 'back',
  label: 'first week back',
})

export const acting = (changes: Authored[], spot: Spot): Authored[] =>
  changes.filter(({ adjustment }) => actsOn(adjustment.where, spot))

export const isLight = ({ author }: Authored): boolean => author === 'light' || author === 'back'

/** Whether a track's change scales loads, so that a running progression does not feel it. */
export const scalesTrackLoads = ({ author, adjustment }: Authored): boolean =>
  author === 'track' && changeOf[adjustment.do.kind].scalesLoads === true
