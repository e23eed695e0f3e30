import { useLibrary } from '../library/useLibrary.ts'
import type { PlannedSlot } from '@young-oak/core/plan'
import { lighterThan, sayLighter, formatGroup } from '@young-oak/core/views'

/** In a deload, what each line stands in for, and by how much it is lighter. */
export function Lighter({ slot: { sets: prescriptions, withoutDeload } }: { slot: PlannedSlot }) {
  const library = useLibrary()
  if (!withoutDeload) return null
  return (
    <ul className="text-sm text-mist">
      {withoutDeload.map((was, i) => {
        const is = prescriptions[i]
        if (!is) return null
        const rir = was.rir === undefined ? '' : ` @ ${was.rir} RIR`
        return (
          <li key={was.prescription}>
            Deload, instead of {formatGroup(library, was)}
            {rir}: {sayLighter(lighterThan(was, is))}
          </li>
        )
      })}
    </ul>
  )
}
