import { actsOn, changeOf, slotSpot, weekSpot, type Where } from '../adjustments/index.ts'
import { liftName } from '../library/index.ts'
import { setsOfSlot, slotsOf, type Slot } from '../template/index.ts'
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
        return Object.entries(template.sessions).flatMap(([session, own]) =>
          slotsOf(own).flatMap((id): Found<'unfelt'>[] => {
            const slot = template.slots[id]
            const spot = slot && slotSpot(library, { ...anyWeek, session }, id, slot)
            if (!slot || !spot || !actsOn(onAnyDay(change.where), spot) || !isByRule(slot)) return []
            return [
              {
                message: 'unfelt',
                subject: `${change.id}/${id}`,
                where: `track ${name}`,
                value: inWeek.join(', '),
                data: { exercise: liftName(library, slot) },
                forWriter: true,
              },
            ]
          }),
        )
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

const anyWeek = weekSpot('', 1, null)

/** The sessions, slots, lifts and muscles that a change is for, whenever it acts. */
const onAnyDay = ({ sessions, slots, lifts, muscles }: Where): Where => ({
  ...(sessions && { sessions }),
  ...(slots && { slots }),
  ...(lifts && { lifts }),
  ...(muscles && { muscles }),
})
