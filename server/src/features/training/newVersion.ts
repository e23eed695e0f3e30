import type { NewVersion } from '@young-oak/api/publications'
import type { Plan } from '@young-oak/core/plan'
import { addDays, type Day } from '@young-oak/core/units'
import type { Read } from './memberFile.ts'

/** For so many days a version is new. */
const daysOfNews = 14

/** The version that a plan has changed over to of late, with the writer's word on it; undefined where it has not. */
export function newVersionOf({ file, notes }: Read, plan: Plan, day: Day): NewVersion | undefined {
  const segments = file.enrolments.find(({ id }) => id === plan.enrolment)?.segments ?? []
  const at = segments.findLastIndex(({ version, from }) => version === plan.version && from <= day)
  const first = segments.findLastIndex(({ version }, i) => i < at && version !== plan.version) + 1
  const began = segments[first]
  const said = notes[plan.version]
  if (at < 0 || first === 0 || !began || !said || began.from <= addDays(day, -daysOfNews)) return undefined
  return { version: said.number, from: began.from, note: said.note }
}
