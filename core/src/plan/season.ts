import { placesOf, type Place } from '../calendar/places.ts'
import type { Id, SetGroup, Template } from '../template/types.ts'
import { adjust } from './adjust.ts'
import { lightAt } from './rows.ts'

/** A week of a template as the season strip draws it. */
export type WeekSummary = {
  week: number
  phase: Id
  phaseName: string
  phaseWeek: number
  light: boolean
  /** Hard sets of all its places, after light-week changes. */
  sets: number
  /** Mean percent of the 1RM over the sets that state one, or null where none does. */
  intensity: number | null
}

/** Sums up each week of a template as it is written, for nobody in particular. */
export function seasonOf(template: Template): WeekSummary[] {
  const weeks = new Map<number, WeekSummary & { weighed: number; percents: number }>()
  for (const place of placesOf(template)) {
    const { week, phase, phaseWeek } = place
    const light = phase.light.some(({ where }) => where.weeks?.includes(phaseWeek))
    const sum = weeks.get(week) ?? {
      week,
      phase: phase.id,
      phaseName: phase.name,
      phaseWeek,
      light,
      sets: 0,
      intensity: null,
      weighed: 0,
      percents: 0,
    }
    for (const { sets, percent } of groupsAt(template, place)) {
      sum.sets += sets
      if (percent === null) continue
      sum.weighed += sets
      sum.percents += sets * percent
    }
    weeks.set(week, sum)
  }
  return [...weeks.values()].map(({ weighed, percents, ...week }) => ({
    ...week,
    intensity: weighed ? percents / weighed : null,
  }))
}

function groupsAt(template: Template, place: Place): { sets: number; percent: number | null }[] {
  const ids = template.sessions[place.session]?.parts.flatMap((part) => part.slots) ?? []
  return ids.flatMap((id) => {
    const slot = template.slots[id]
    const row = slot?.rows[place.phase.id]?.[place.phaseWeek - 1] ?? []
    const light = slot ? lightAt(place, place.phaseWeek, id, slot) : []
    return row.map((group) => {
      const stated = percentOf(template, group)
      const draft = adjust(
        { sets: group.sets, percent: stated?.percent ?? null, scale: 100, rungs: [] },
        light,
      )
      const percent =
        stated && draft.percent !== null ? (draft.percent * draft.scale * stated.of) / 10000 : null
      return { sets: draft.sets, percent }
    })
  })
}

/** The percent that a group states, and of what percent of the 1RM it is one. */
function percentOf(
  { trainingMax = 100 }: Template,
  { load }: SetGroup,
): { percent: number; of: number } | null {
  if (load.of === 'max') return { percent: load.percent, of: 100 }
  if (load.of === 'trainingMax') return { percent: load.percent, of: trainingMax }
  return null
}
