/** A measured figure beside its budget; without one it is told for comparison. */
export type Figure = { what: string; value: number; budget?: number; unit: string; least?: true }

/** "ok" or "over" against the budget, which is a most, or a least where `least` says so. */
export function sayFigure({ what, value, budget, unit, least }: Figure): string {
  const said = `${what.padEnd(78)} ${format(value).padStart(9)} ${unit}`
  if (budget === undefined) return said
  const isMet = least ? value >= budget : value <= budget
  return `${said}   ${least ? 'at least' : 'at most'} ${format(budget)} ${unit}: ${isMet ? 'ok' : 'over'}`
}

const format = (value: number): string =>
  value >= 100 ? value.toFixed(0) : value.toFixed(value >= 10 ? 1 : 3)
