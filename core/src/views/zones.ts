import { maxFor, type Evidence } from '../evidence/index.ts'
import { kindOf } from '../goals/index.ts'
import { liftOf, type Library } from '../library/index.ts'
import { totalOf, type Plan, type PlannedSlot, type PlannedWeek } from '../plan/index.ts'
import type { Id } from '../parsing/index.ts'
import type { MaxPolicy } from '../template/index.ts'
import { highest, inUnit, type Day } from '../units/index.ts'

/** Where zones of intensity begin, in percent of the 1RM; the last has no end (common practice, no source). */
export const zoneStarts = [0, 60, 70, 80, 90] as const

/** Reps by percent of the 1RM, one count for each zone; `unknown` are reps whose load or max nobody knows. */
export type Zones = { reps: number[]; unknown: number }

/** Zones of a week: of each of its sessions, and in all. */
export type WeekZones = { days: { inWeek: number; name: string; zones: Zones }[]; week: Zones; phase: Zones }

/** Whose maxes, by which policy, on which day. */
type Of = { library: Library; evidence: Evidence; maxes: MaxPolicy; day: Day }

const nothing = (): Zones => ({ reps: zoneStarts.map(() => 0), unknown: 0 })

/**
 * Reps of work sets as they are asked, by what percent of the lift's max in force each set's load is. A range counts with its most reps, an AMRAP
 * set with its fewest, and of a set done one side at a time the reps of both. Body weight counts where it is lifted.
 */
export function zonesOf({ library, evidence, maxes, day }: Of, slots: PlannedSlot[]): Zones {
  const zones = nothing()
  for (const slot of slots)
    for (const asked of slot.sets) {
      const each = highest((asked.goal ? kindOf(asked.goal).reps(asked.goal) : asked.reps) ?? 0)
      const whole = asked.goal && 'totalReps' in asked.goal ? asked.goal.totalReps : asked.sets * each
      const reps = asked.perSide ? 2 * whole : whole
      const max = maxFor(library, evidence, liftOf(asked.lift ?? slot), maxes, day)?.load
      const load = totalOf(asked, asked)
      if (max && load && max.value) {
        const at = zoneAt((100 * inUnit(load, max.unit).value) / max.value)
        zones.reps[at] = (zones.reps[at] as number) + reps
      } else zones.unknown += reps
    }
  return zones
}

/** The number of the zone that a percent of the 1RM lies in, from 0; where a zone begins is its own. */
export const zoneAt = (percent: number): number =>
  zoneStarts.findLastIndex((start) => percent >= start - 1e-6)

/** The zones of a week of a plan, of its sessions, and of its phase. */
export function zonesIn(
  of: Of,
  { weeks }: Pick<Plan, 'weeks'>,
  at: { phase: Id; phaseWeek: number },
): WeekZones {
  const ofPhase = weeks.filter(({ phase }) => phase === at.phase)
  const week = ofPhase.filter(({ phaseWeek }) => phaseWeek === at.phaseWeek)
  const slotsOf = (some: PlannedWeek[]) => some.flatMap(({ places }) => places.flatMap(({ slots }) => slots))
  return {
    days: week.flatMap(({ places }) =>
      places.map(({ inWeek, name, slots }) => ({ inWeek, name, zones: zonesOf(of, slots) })),
    ),
    week: zonesOf(of, slotsOf(week)),
    phase: zonesOf(of, slotsOf(ofPhase)),
  }
}

/** "below 60%", "60-70%" … "90% and above": what a zone is called, by its number from 0. */
export function zoneName(zone: number): string {
  const [from, to] = [zoneStarts[zone], zoneStarts[zone + 1]]
  if (!from) return `below ${to}%`
  return to === undefined ? `${from}% and above` : `${from}-${to}%`
}

/** What share of the reps with a known percent each zone has, in whole percent; null where none has one. */
export function sharesOf({ reps }: Zones): number[] | null {
  const sum = reps.reduce((a, b) => a + b, 0)
  return sum ? reps.map((one) => Math.round((100 * one) / sum)) : null
}

/** "60-70% 40 reps (50%), 80-90% 40 reps (50%)"; with what nobody knows last. */
export function sayZones(zones: Zones): string {
  const shares = sharesOf(zones)
  const said = zones.reps.flatMap((reps, zone) =>
    reps ? [`${zoneName(zone)} ${reps} ${reps === 1 ? 'rep' : 'reps'} (${shares?.[zone] ?? 0}%)`] : [],
  )
  const { unknown } = zones
  if (unknown) said.push(`no known percent ${unknown} ${unknown === 1 ? 'rep' : 'reps'}`)
  return said.join(', ') || 'no reps'
}
