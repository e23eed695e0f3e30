import { changeOf, type Adjustment } from '../adjustments/index.ts'
import { liftKey, liftName, mainMuscle, type Library } from '../library/index.ts'
import { setsOfSlot, slotsOf, type Slot, type Template } from '../template/index.ts'
import { defineCheck, type Found } from './check.ts'

/** A track's change of loads on some days of the week, on a lift whose load is its progression's: a running load is never scaled by a track. */
export const loadByDay = defineCheck({
  kind: 'loadByDay',
  title: 'A load by day on a progression’s load',
  sure: 'rule',
  ofEnrolment: ({ library, template }) =>
    Object.values(template.tracks).flatMap(({ name, changes }) =>
      changes.flatMap((change): Found<'unfelt'>[] => {
        const { inWeek } = change.where
        if (!inWeek || !changeOf[change.do.kind].scalesLoads) return []
        return Object.entries(template.slots)
          .filter(([id, slot]) => isMeant(library, template, change, id) && isByRule(slot))
          .map(([id, slot]) => ({
            message: 'unfelt',
            subject: `${change.id}/${id}`,
            where: `track ${name}`,
            value: inWeek.join(', '),
            data: { exercise: liftName(library, slot) },
          }))
      }),
    ),
  messages: {
    unfelt: {
      what: '{exercise}: a change of the load on day {value} of the week acts on the first load of its progression alone, not on the days.',
      next: 'Write that day’s sets at a percentage of the progression’s load, or give the day another role.',
    },
  },
})

const isByRule = (slot: Slot): boolean => setsOfSlot(slot).some(({ load }) => load.of === 'progression')

/** Whether a change is for a slot, on whichever day. */
function isMeant(
  library: Library,
  { slots, sessions }: Template,
  { where }: Adjustment,
  id: string,
): boolean {
  const slot = slots[id]
  if (!slot) return false
  const muscle = mainMuscle(library, slot)
  const isIn = (session: string) => sessions[session] && slotsOf(sessions[session]).includes(id)
  return (
    (!where.slots || where.slots.includes(id)) &&
    (!where.lifts || where.lifts.some((lift) => liftKey(lift) === liftKey(slot))) &&
    (!where.muscles || (muscle !== undefined && where.muscles.includes(muscle))) &&
    (!where.sessions || where.sessions.some(isIn))
  )
}
