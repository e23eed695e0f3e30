/** A calendar day, `2026-03-02`: no zone and no hour. Days compare as text. */
export type Day = string

const firstDay = '0001-01-01'
/** No day is later. */
export const lastDay: Day = '9999-12-31'

/** True for a day that exists: `2026-02-30` does not, and neither does one of the year 0. */
export function isDay(text: unknown): text is Day {
  if (typeof text !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  return text >= firstDay && dayOf(numberOf(text)) === text
}

/** `addDays('2026-02-28', 1)` is `2026-03-01`. */
export function addDays(day: Day, count: number): Day {
  return dayOf(numberOf(day) + count)
}

/** Whole days from `a` to `b`, negative when b is earlier. */
export function daysBetween(a: Day, b: Day): number {
  return numberOf(b) - numberOf(a)
}

/** The weekday, from 1 for Monday to 7 for Sunday (ISO 8601). */
export function weekdayOf(day: Day): number {
  return (((daysBetween(someMonday, day) % 7) + 7) % 7) + 1
}

const someMonday = '2024-01-01'

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** Weekdays in words, from Monday. */
export const weekdayNames = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const

/** "Monday" for 1. Any other number than 1 to 7 has none. */
export const weekdayName = (weekday: number): string => weekdayNames[weekday - 1] ?? ''

/** "2 Mar 2026". */
export function formatDay(day: Day): string {
  const [year, month, date] = day.split('-').map(Number)
  return `${date} ${months[(month ?? 1) - 1]} ${year}`
}

// Days are counted by whole numbers, without a Date for each: a plan asks for thousands. Years are counted from March, so that a leap day is the
// last of its year; 400 years have 146,097 days (the proleptic Gregorian calendar of ISO 8601; the method is that of H. Hinnant's published
// date algorithms, from memory, held against the platform's own dates).

/** The number of a day, counted from 1 March of the year 0. */
function numberOf(day: Day): number {
  const month = (Number(day.slice(5, 7)) + 9) % 12
  const year = Number(day.slice(0, 4)) - (month >= 10 ? 1 : 0)
  const leaps = Math.floor(year / 4) - Math.floor(year / 100) + Math.floor(year / 400)
  return year * 365 + leaps + Math.floor((month * 153 + 2) / 5) + Number(day.slice(8, 10)) - 1
}

function dayOf(number: number): Day {
  const known = days.get(number)
  if (known !== undefined) return known
  const century = Math.floor((4 * number + 3) / 146_097)
  const ofCentury = number - Math.floor((146_097 * century) / 4)
  const ofFour = Math.floor((4 * ofCentury + 3) / 1461)
  const ofYear = ofCentury - Math.floor((1461 * ofFour) / 4)
  const month = Math.floor((5 * ofYear + 2) / 153)
  const date = ofYear - Math.floor((153 * month + 2) / 5) + 1
  const year = 100 * century + ofFour + (month >= 10 ? 1 : 0)
  const day = `${padded(year, 4)}-${padded(((month + 2) % 12) + 1, 2)}-${padded(date, 2)}`
  if (days.size >= mostDays) days.clear()
  days.set(number, day)
  return day
}

const padded = (count: number, digits: number): string => String(count).padStart(digits, '0')

/** The days that plans of a few years ask for. */
const days = new Map<number, Day>()
const mostDays = 5000
