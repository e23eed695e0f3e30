import type { OnDay } from '@young-oak/core/plan'
import { formatDay, weekdayName, weekdayOf, type Day } from '@young-oak/core/units'
import { Explained } from '../../ui/Explained.tsx'

/** The day that a session is planned for, where it is not simply today, and why. */
export default function Planned({ on, day }: { on: OnDay; day: Day }) {
  if (on.day === day && !on.why.length) return null
  return (
    <p className="mt-2 rounded bg-mist-wash p-3 text-mist">
      Planned for {on.day === day ? 'today' : `${weekdayName(weekdayOf(on.day))}, ${formatDay(on.day)}`}
      {on.why.length > 0 && (
        <>
          : <Explained steps={on.why} />
        </>
      )}
      .
    </p>
  )
}
