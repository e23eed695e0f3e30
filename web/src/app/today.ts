import { addDays, type Day } from '@young-oak/core/units'

/** This device's local date: the only clock of the interface. */
export function today(): Day {
  const now = new Date()
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10)
}

/** The next Monday after a day. */
export function nextMonday(day: Day): Day {
  const weekday = new Date(`${day}T00:00:00Z`).getUTCDay()
  return addDays(day, (8 - weekday) % 7 || 7)
}
