import { weekdayName } from '../../units/index.ts'
import type { Layout } from '../types.ts'

/** "weekdays Monday, Thursday; day 2 on the same date as day 1, 6 h later"; nothing where sessions lie on any day. */
export function sayLayout({ layout }: { layout?: Layout | undefined }): string | null {
  if (!layout) return null
  const { weekdays, rest, running, sameDay = [] } = layout
  const said = [
    weekdays && `weekdays ${weekdays.map(weekdayName).join(', ')}`,
    rest && `a day of rest after session ${rest.join(', ')} of the rotation`,
    running !== undefined && `at most ${running} ${running === 1 ? 'day' : 'days'} in a row`,
    ...sameDay.map(
      ({ first, hours }) => `day ${first + 1} on the same date as day ${first}, ${hours} h later`,
    ),
  ].filter(Boolean)
  return said.join('; ')
}
