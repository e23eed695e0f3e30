import { formatGroup, lighterThan, sayLighter, type PlannedSlot } from '@young-oak/core/plan'

/** In a light week, what each line stands in for, and by how much it is lighter. */
export function Lighter({ slot: { groups, standsFor } }: { slot: PlannedSlot }) {
  if (!standsFor) return null
  return (
    <ul className="text-sm text-mist">
      {standsFor.map((was, i) => {
        const is = groups[i]
        if (!is) return null
        const left = was.rir === undefined ? '' : `, ${was.rir} left`
        return (
          <li key={was.group}>
            Light, in place of {formatGroup(was)}
            {left}: {sayLighter(lighterThan(was, is))}
          </li>
        )
      })}
    </ul>
  )
}
