/** A calendar day, `2026-03-02`: no zone and no hour. Days compare as text. */
export type Day = string

const dayMs = 86_400_000

/** True for a day that exists: `2026-02-30` does not. */
export function isDay(text: unknown): text is Day {
  if (typeof text !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  const ms = Date.parse(`${text}T00:00:00Z`)
  return !Number.isNaN(ms) && fromMs(ms) === text
}

/** `addDays('2026-02-28', 1)` is `2026-03-01`. */
export function addDays(day: Day, count: number): Day {
  return fromMs(toMs(day) + count * dayMs)
}

/** Whole days from `a` to `b`, negative when b is earlier. */
export function daysBetween(a: Day, b: Day): number {
  return Math.round((toMs(b) - toMs(a)) / dayMs)
}

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** "2 Mar 2026". */
export function formatDay(day: Day): string {
  const [year, month, date] = day.split('-').map(Number)
  return `${date} ${months[(month ?? 1) - 1]} ${year}`
}

function toMs(day: Day): number {
  return Date.parse(`${day}T00:00:00Z`)
}

function fromMs(ms: number): Day {
  return new Date(ms).toISOString().slice(0, 10)
}
