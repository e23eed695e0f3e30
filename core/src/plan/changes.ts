import { changeOf } from '../adjustments/registry.ts'
import { actsOn, type Spot } from '../adjustments/where.ts'
import type { RunningWeek } from '../calendar/course.ts'
import type { Adjustment, Phase, Template } from '../template/types.ts'
import type { Evidence } from './evidence.ts'

/** Whose change it is: they act in this order. */
export type Author = 'track' | 'light' | 'back' | 'own'

/** An adjustment with its author, and how the author is named in a reason. */
export type Authored = { adjustment: Adjustment; author: Author; label: string }

/** The track's changes; they alone may change what a week holds. */
export function trackChanges({ tracks }: Template, track: string | null): Authored[] {
  const own = track === null ? undefined : tracks[track]
  const label = own ? `track ${own.name}` : ''
  return (own?.changes ?? []).map((adjustment) => ({ adjustment, author: 'track', label }))
}

/** Every change that may act in a week, in the order in which they act: track, light week, first week back, the member's own. */
export function changesOf(
  template: Template,
  evidence: Evidence,
  phase: Phase,
  week: Pick<RunningWeek, 'track' | 'light'>,
  isBack: boolean,
): Authored[] {
  const light = (adjustment: Adjustment): Authored => ({ adjustment, author: 'light', label: 'light' })
  const spell = evidence.lights.find(({ id }) => id === week.light)
  const everywhere = {}
  return [
    ...trackChanges(template, week.track),
    ...phase.light.map(light),
    ...(spell?.changes ?? []).map((change, i) =>
      light({ id: `${spell?.id}:${i}`, do: change, where: everywhere }),
    ),
    ...(isBack && template.away
      ? [
          {
            adjustment: {
              id: 'back',
              do: { kind: 'scaleLoad' as const, by: template.away.back },
              where: everywhere,
            },
            author: 'back' as const,
            label: 'first week back',
          },
        ]
      : []),
    ...evidence.own.map((adjustment): Authored => ({ adjustment, author: 'own', label: 'own change' })),
  ]
}

export const acting = (changes: Authored[], spot: Spot): Authored[] =>
  changes.filter(({ adjustment }) => actsOn(adjustment.where, spot))

export const isLight = ({ author }: Authored): boolean => author === 'light' || author === 'back'

/** Whether a track's change scales loads, so that a running progression does not feel it. */
export const scalesTrackLoads = ({ author, adjustment }: Authored): boolean =>
  author === 'track' && changeOf[adjustment.do.kind].scalesLoads === true
