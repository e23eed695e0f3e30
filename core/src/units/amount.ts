import type { Span } from './span.ts'
import { formatNumber } from './load.ts'

/** What is done where it is not reps: time, a distance in the unit that is asked, or rounds. */
export type Amount = { value: number; unit: AmountUnit }
export const distanceUnits = ['m', 'km', 'yd', 'mi'] as const
export type DistanceUnit = (typeof distanceUnits)[number]
export const amountUnits = ['s', ...distanceUnits, 'rounds'] as const
export type AmountUnit = (typeof amountUnits)[number]

/** Metres, exact by the international yard of 1959: 1 yd = 0.9144 m, 1 mi = 1,760 yd. */
const metres: Record<DistanceUnit, number> = { m: 1, km: 1000, yd: 0.9144, mi: 1609.344 }

/** The length of a unit in metres; 1 for what is no distance, so that like compares with like. */
export const sizeOf = (unit: AmountUnit): number => (unit === 's' || unit === 'rounds' ? 1 : metres[unit])

/** Whether `a` is at least as much as `b`. Amounts of different kinds never are. */
export function isAtLeast(a: Amount, b: Amount): boolean {
  if (kindOf(a.unit) !== kindOf(b.unit)) return false
  return a.value * sizeOf(a.unit) >= b.value * sizeOf(b.unit) - 0.0001
}

const kindOf = (unit: AmountUnit): string => (unit === 's' || unit === 'rounds' ? unit : 'distance')

/** "0:45", "12:00", "400 m", "10 rounds". */
export function formatAmount({ value, unit }: Amount): string {
  if (unit === 's') return formatSeconds(value)
  return `${formatNumber(value)} ${unit === 'rounds' && value === 1 ? 'round' : unit}`
}

/** "3:00", "0:45". */
export const formatSeconds = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`

/** "3:00", or of a span "2:00-3:00". */
export const formatRest = (rest: Span): string =>
  typeof rest === 'number' ? formatSeconds(rest) : `${formatSeconds(rest.from)}-${formatSeconds(rest.to)}`

/** A rest from "90", "3 min", "2-3 min" or "1:30-2:00"; what is said of the unit holds for both. Null where it says something else. */
export function parseRest(typed: string): Span | null {
  const [, first = '', second] = /^(.+?)(?:\s*[-–]\s*(.+))?$/.exec(typed.trim()) ?? []
  const to = parseSeconds(second ?? first)
  if (second === undefined) return Number.isNaN(to) ? null : to
  const unit = /\d\s*([a-z]+)$/.exec(second)?.[1] ?? ''
  const from = parseSeconds(/^\d+$/.test(first) ? `${first} ${unit}`.trim() : first)
  return from < to ? { from, to } : null
}

/** Seconds from "90", "45 s", "3 min" or "1:30"; NaN where it says something else. */
export function parseSeconds(typed: string): number {
  const clock = /^(\d{1,3}):([0-5]\d)$/.exec(typed)
  if (clock) return Number(clock[1]) * 60 + Number(clock[2])
  const plain = /^(\d+)\s*(s|sec|min|m)?$/.exec(typed)
  return plain ? Number(plain[1]) * (plain[2]?.startsWith('m') ? 60 : 1) : NaN
}
