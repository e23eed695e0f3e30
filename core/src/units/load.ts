/** A mass on a bar, in the hand, or a max. `value` is in `unit`, never negative, never NaN. */
export type Load = { value: number; unit: Unit }
export type Unit = 'kg' | 'lb'

/** An added step, written in both units and never converted: 2.5 kg is not 5.51 lb to anyone who loads a bar. */
export type Step = { kg: number; lb: number }

/** What is added: a step in both units, with a smaller one for lifts that rise slowly; or a percent of the load. */
export type Rise = (Step & { small?: Step }) | { percent: number }

/** The international pound, exact (United States and Commonwealth agreement of 1959; NIST Handbook 44). */
export const kgPerLb = 0.45359237

/**
 * Cuts a number to 0.0001, the finest grain that a load, max or percent carries between steps of the computation.
 * `snap(0.1 + 0.2)` is 0.3.
 */
export function snap(value: number): number {
  return Math.round(value * 10000) / 10000
}

/** The same mass in `unit`, cut to 0.0001 of it. `inUnit({ value: 100, unit: 'kg' }, 'lb')` is 220.4623 lb. */
export function inUnit(load: Load, unit: Unit): Load {
  if (load.unit === unit) return load
  return { value: snap(unit === 'kg' ? load.value * kgPerLb : load.value / kgPerLb), unit }
}

/** `percent` of a load, not rounded to plates. `scale({ value: 100, unit: 'kg' }, 75)` is 75 kg. */
export function scale(load: Load, percent: number): Load {
  return { value: snap((load.value * percent) / 100), unit: load.unit }
}

/** A load with a step added in its own unit; the step stays exact. */
export function addStep(load: Load, step: Step): Load {
  return { value: snap(load.value + step[load.unit]), unit: load.unit }
}

/** What a rise adds to a load, exact, in the load's own unit. */
export function riseOf(load: Load, by: Rise, isSmall = false): Load {
  if ('percent' in by) return scale(load, by.percent)
  const step = isSmall && by.small ? by.small : by
  return { value: step[load.unit], unit: load.unit }
}

/** A load with a rise added. */
export const rise = (load: Load, by: Rise, isSmall?: boolean): Load =>
  addLoad(load, riseOf(load, by, isSmall))

/** Below zero when `a` is lighter than `b`, above when heavier, 0 within 0.0001 of a's unit. */
export function compareLoads(a: Load, b: Load): number {
  const difference = snap(a.value - inUnit(b, a.unit).value)
  return Math.abs(difference) <= 0.0001 ? 0 : difference
}

/** The heavier of two loads; the second where there is no first, or they are the same. */
export const heavier = (a: Load | null | undefined, b: Load): Load => (a && compareLoads(a, b) > 0 ? a : b)

/** The second load on top of the first, in the first one's unit; with `help` it takes off. Never below nothing. */
export function addLoad(base: Load, more: Load, help = false): Load {
  const value = inUnit(more, base.unit).value
  return { value: Math.max(0, snap(base.value + (help ? -value : value))), unit: base.unit }
}

/** "62.5 kg", "1.25 kg": what can be made of quarters as it is, and anything finer to one decimal: no bar can hold more. */
export function formatLoad({ value, unit }: Load): string {
  const said = Number.isInteger(snap(value * 4)) ? value : Math.round(value * 10) / 10
  return `${formatNumber(said)} ${unit}`
}

/** A number with at most two decimals and no trailing zeros. */
export function formatNumber(value: number): string {
  return String(Math.round(value * 100) / 100)
}
