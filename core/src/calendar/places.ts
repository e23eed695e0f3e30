import type { Id, Phase, Template } from '../template/types.ts'

/** A place in the plan: the one session that stands at a position. All counts are from 1. */
export type Place = {
  /** Counts through the whole plan; logs name it. */
  position: number
  /** Week of the plan, and of its phase. */
  week: number
  phaseWeek: number
  /** 1st, 2nd … place of the week. */
  inWeek: number
  phase: Phase
  session: Id
}

/**
 * The places of a template in order. A rotation is not the week: A B on three places gives A B A, then B A B, and begins
 * again with each phase.
 */
export function placesOf(template: Template): Place[] {
  const known = cache.get(template)
  if (known) return known
  const places: Place[] = []
  let weeksBefore = 0
  for (const phase of template.phases) {
    for (let i = 0; i < phase.weeks * phase.perWeek; i++) {
      const phaseWeek = Math.floor(i / phase.perWeek) + 1
      places.push({
        position: places.length + 1,
        week: weeksBefore + phaseWeek,
        phaseWeek,
        inWeek: (i % phase.perWeek) + 1,
        phase,
        session: phase.rotation[i % phase.rotation.length] as Id,
      })
    }
    weeksBefore += phase.weeks
  }
  cache.set(template, places)
  return places
}

/** Whether a session of the rotation has a place in this week of its phase. */
export function hasPlace(phase: Phase, phaseWeek: number, session: Id): boolean {
  for (let i = 0; i < phase.perWeek; i++) {
    if (phase.rotation[((phaseWeek - 1) * phase.perWeek + i) % phase.rotation.length] === session) return true
  }
  return false
}

/** A template that has been read is never changed in place, so its places are kept beside it. */
const cache = new WeakMap<Template, Place[]>()
