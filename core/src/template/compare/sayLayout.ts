import { weekdayName } from '../../units/index.ts'
import type { Layout } from '../types.ts'

/** "weekdays Monday, Thursday; day 2 on the day of day 1, 6 h after it"; nothing where sessions lie on any day. */
export function sayLayout({ layout }: { layout?: Layout | undefined }): string | null {
  if (!layout) return null
  const { weekdays, rest, running, sameDay = [] } = layout
  const said = [
    weekdays && `weekdays ${weekdays.map(weekdayName).join(', ')}`,
    rest && `a day of rest after session ${rest.join(', ')} of the rotation`,
    running !== undefined && `at most ${running} ${running === 1 ? 'day' : 'days'} running`,
    ...sameDay.map(({ first, hours }) => `day ${first + 1} on the day of day ${first}, ${hours} h after it`),
  ].filter(Boolean)
  return said.join('; ')
}
