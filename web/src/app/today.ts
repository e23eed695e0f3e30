import { formatISO, nextMonday as mondayAfter, parseISO } from 'date-fns'
import type { Day } from '@young-oak/core/units'

const dayOf = (date: Date): Day => formatISO(date, { representation: 'date' })

/** This device's local date: the only clock of the interface. */
export const today = (): Day => dayOf(new Date())

/** The minute of this device's day, by its clock. */
export const minuteOfDay = (now = new Date()): number => now.getHours() * 60 + now.getMinutes()

/** The next Monday after a day. */
export const nextMonday = (day: Day): Day => dayOf(mondayAfter(parseISO(day)))
