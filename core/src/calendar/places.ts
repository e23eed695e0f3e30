import { type Adjustment, type WeekDraft, changeOf, actsOn } from '../adjustments/index.ts'
import type { Id } from '../parsing/index.ts'
import { nominalWeeks, type Phase, type RowClock, type Slot, type Template } from '../template/index.ts'

/** A place in the plan: the one session that stands at a position. All counts are from 1. */
export type Place = {
  /** Counts through the whole plan; logs name it. */
  position: number
  /** Week of the plan, and of its phase. */
  week: number
  phaseWeek: number
  /** 1st, 2nd… place of the week. */
  inWeek: number
  phase: Phase
  session: Id
  /** Weeks to the test day, 0 for its own week, in a phase that ends with it. */
  toTest?: number
}

/**
 * The places of a template as it is laid out on paper, for nobody in particular. A rotation is not the week: A B on three
 * places gives A B A, then B A B, and begins again with each phase. A phase that a sign ends has its least weeks here.
 * With a track, the days and sessions are those of the track.
 */
export function placesOf(template: Template, track = ''): Place[] {
  const known = cache.get(template)?.get(track)
  if (known) return known
  const changes = template.tracks[track]?.changes ?? []
  const places: Place[] = []
  let weeksBefore = 0
  for (const phase of template.phases) {
    const weeks = nominalWeeks(phase)
    let turn = 0
    for (let phaseWeek = 1; phaseWeek <= weeks; phaseWeek++) {
      const toTest = phase.ends && weeks - phaseWeek
      const { rotation, perWeek } = weekOf(phase, changes, phaseWeek, toTest)
      for (let inWeek = 1; inWeek <= perWeek; inWeek++)
        places.push({
          position: places.length + 1,
          week: weeksBefore + phaseWeek,
          phaseWeek,
          inWeek,
          phase,
          session: rotation[turn++ % rotation.length] as Id,
          ...(toTest !== undefined && { toTest }),
        })
    }
    weeksBefore += weeks
  }
  cache.set(template, (cache.get(template) ?? new Map<Id, Place[]>()).set(track, places))
  return places
}

/** What a week holds after what a track and its deloads make of it. */
function weekOf(phase: Phase, changes: Adjustment[], phaseWeek: number, toTest?: number): WeekDraft {
  const spot = { phase: phase.id, phaseWeek, ...(toTest !== undefined && { toTest }) }
  return [...changes, ...phase.deloads].reduce<WeekDraft>(
    (week, { do: change, where }) =>
      (actsOn(where, spot) && changeOf[change.kind].onWeek?.(week, change, 'deload')?.now) || week,
    { rotation: phase.rotation, perWeek: phase.perWeek },
  )
}

/** Whether a session of the rotation has a place in this week of its phase, on paper. */
export function hasPlace({ perWeek, rotation }: Phase, phaseWeek: number, session: Id): boolean {
  for (let i = 0; i < perWeek; i++) {
    if (rotation[((phaseWeek - 1) * perWeek + i) % rotation.length] === session) return true
  }
  return false
}

/** The row that a slot reads at a place on paper, where every week is trained once; counted from 0. */
export function rowOnPaper({ by, rows }: Pick<Slot, 'by' | 'rows'>, place: Place): number {
  const count = rows[place.phase.id]?.length ?? 1
  const { phaseWeek, inWeek, toTest = 0 } = place
  const row: Record<RowClock, number> = {
    week: Math.min(phaseWeek, count) - 1,
    exposure: (phaseWeek - 1) % count,
    day: (inWeek - 1) % count,
    toTest: Math.max(0, count - 1 - toTest),
  }
  return row[by]
}

/** A template that has been read is never changed in place, so its places are kept beside it. */
const cache = new WeakMap<Template, Map<Id, Place[]>>()
