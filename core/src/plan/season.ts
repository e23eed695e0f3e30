import { placesOf, rowOnPaper, type Place } from '../calendar/places.ts'
import { mayAct } from '../adjustments/where.ts'
import type { GroupDraft } from '../adjustments/change.ts'
import { changeOf } from '../adjustments/registry.ts'
import { kindOf } from '../goals/registry.ts'
import { ruleOf } from '../progressions/registry.ts'
import { rulesOf, slotsOf, type Id, type SetGroup, type Template } from '../template/types.ts'
import { acting, type Authored } from './changes.ts'

/** A week of a template as the season strip draws it. */
export type WeekSummary = {
  week: number
  phase: Id
  phaseName: string
  phaseWeek: number
  light: boolean
  /** Hard sets of all its places, after light-week changes. */
  sets: number
  /** Some of them are a rule's to write, so that they are only about as many. */
  isAbout: boolean
  /** Mean percent of the 1RM over the sets that state one, or null where none does. */
  intensity: number | null
}

/** Sums up each week of a template as it is written, for nobody in particular. */
export function seasonOf(template: Template): WeekSummary[] {
  const weeks = new Map<number, WeekSummary & { weighed: number; percents: number }>()
  for (const place of placesOf(template)) {
    const { week, phase, phaseWeek } = place
    const light = phase.light.some(({ where }) =>
      mayAct({ ...where, sessions: undefined }, { phase: phase.id, phaseWeek, toTest: place.toTest }),
    )
    const sum = weeks.get(week) ?? {
      week,
      phase: phase.id,
      phaseName: phase.name,
      phaseWeek,
      light,
      sets: 0,
      isAbout: false,
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
    sum.isAbout ||= hasSetsByRule(template, place.session)
    weeks.set(week, sum)
  }
  return [...weeks.values()].map(({ weighed, percents, ...week }) => ({
    ...week,
    intensity: weighed ? percents / weighed : null,
  }))
}

function hasSetsByRule({ sessions, slots, progressions }: Template, session: Id): boolean {
  return (sessions[session] ? slotsOf(sessions[session]) : []).some((id) =>
    slots[id]?.follows.some(({ progression }) =>
      rulesOf(progressions[progression]).some(({ rule }) => ruleOf[rule].writes.includes('sets')),
    ),
  )
}

function groupsAt(template: Template, place: Place): { sets: number; percent: number | null }[] {
  const { phase, phaseWeek, toTest } = place
  const light = phase.light.map((adjustment): Authored => ({ adjustment, author: 'light', label: 'light' }))
  const spot = { phase: phase.id, phaseWeek, session: place.session, ...(toTest !== undefined && { toTest }) }
  const session = template.sessions[place.session]
  return (session ? slotsOf(session) : []).flatMap((id) => {
    const slot = template.slots[id]
    if (!slot) return []
    const changes = acting(light, { ...spot, slot: { id, lift: slot } })
    return (slot.rows[phase.id]?.[rowOnPaper(slot, place)] ?? []).map((group) => {
      const stated = percentOf(template, group)
      const { sets, percent, scale } = changes.reduce<GroupDraft>(
        (draft, { adjustment: { do: change }, label }) =>
          changeOf[change.kind].onGroup?.(draft, change, label)?.now ?? draft,
        { sets: hardSets(group), percent: stated?.percent ?? null, scale: 100 },
      )
      return { sets, percent: stated && percent !== null ? (percent * scale * stated.of) / 10000 : null }
    })
  })
}

/** Hard sets that a group counts as: none where nothing is counted in reps. */
function hardSets({ sets, goal }: SetGroup): number {
  const kind = kindOf(goal)
  return kind.logs(goal) === 'reps' ? sets * (kind.countsAs?.(goal) ?? 1) : 0
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
