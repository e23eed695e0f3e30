import { nominalWeeks, type Phase, type RirRamp } from './types.ts'

/**
 * The RIR of a ramp in a week of a phase, from 1: it falls evenly to its last week, which is that of the phase where none is stated (the fewest, of
 * one that a trigger ends), and stays there. Halves are rounded up, to the easier side: from 3 to 0 over three weeks is 3, 2, 0.
 * In a phase of one week it has not begun to fall.
 */
export function rirIn(
  { from, to, weeks, after = 0 }: RirRamp,
  phase: Pick<Phase, 'weeks'>,
  week: number,
): number {
  const last = weeks ?? nominalWeeks(phase as Phase)
  const at = week + after
  if (last < 2) return from
  const done = Math.min(at - 1, last - 1) / (last - 1)
  return Math.round(from - (from - to) * done)
}

/** "3-0", "3-0 over 3 weeks", "3-0 over 6 weeks, 2 before": how a ramp is typed and said. */
export const sayRamp = ({ from, to, weeks, after }: RirRamp): string =>
  `${from}-${to}${weeks === undefined ? '' : ` over ${weeks} weeks`}${after === undefined ? '' : `, ${after} before`}`

/** A ramp as it is typed: "3-0", "3-0 over 3 weeks"; null where it is none, or does not fall. */
export function readRamp(typed: string): RirRamp | null {
  const [, from, to, weeks, after] =
    /^(\d+)\s*[-–>]\s*(\d+)(?:\s*(?:over|in)\s*(\d+)\s*(?:weeks?)?(?:,\s*(\d+)\s*before)?)?$/.exec(
      typed.trim().toLowerCase(),
    ) ?? []
  if (from === undefined || to === undefined) return null
  const ramp = {
    from: Number(from),
    to: Number(to),
    ...(weeks !== undefined && { weeks: Number(weeks) }),
    ...(after !== undefined && { after: Number(after) }),
  }
  return isRamp(ramp) ? ramp : null
}

/** From 10 to 0 RIR, falling, over 2 to 60 weeks, of which up to 59 lie before. */
export function isRamp(value: unknown): value is RirRamp {
  if (typeof value !== 'object' || value === null) return false
  const { from, to, weeks, after, ...rest } = value as Partial<RirRamp>
  const isRir = (n: unknown) => Number.isInteger(n) && (n as number) >= 0 && (n as number) <= 10
  const isLong = weeks === undefined || (Number.isInteger(weeks) && weeks >= 2 && weeks <= 60)
  const isBehind =
    after === undefined || (weeks !== undefined && Number.isInteger(after) && after >= 1 && after <= 59)
  return (
    isRir(from) &&
    isRir(to) &&
    (from as number) > (to as number) &&
    isLong &&
    isBehind &&
    !Object.keys(rest).length
  )
}
