import { useState } from 'react'
import type { PlannedSlot } from '@young-oak/core/plan'
import { formatLoad, formatNumber } from '@young-oak/core/units'
import { Why } from '../../ui/Why.tsx'

/** The ramp before the work, to tick off: it is not logged. */
export function WarmUps({ sets }: { sets: NonNullable<PlannedSlot['warmUps']> }) {
  const [done, setDone] = useState(0)
  return (
    <fieldset className="mt-2 sm:ml-8">
      <legend className="text-sm text-bark">Warm up first; these are not logged</legend>
      <ul>
        {sets.map(({ load, reps, side, bar, why }, i) => (
          <li key={i} className="flex flex-wrap items-center gap-x-3">
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-leaf"
                checked={i < done}
                onChange={(event) => setDone(event.target.checked ? i + 1 : i)}
              />
              <span className="sr-only">Warm-up set {i + 1}</span>
            </label>
            <span className="font-serif text-lg font-semibold">
              <Why title={formatLoad(load)} steps={why} says={`${formatLoad(load)} × ${reps}`}>
                {formatLoad(load)}
              </Why>{' '}
              × {reps}
            </span>
            {side && (
              <span className="text-sm text-bark">
                {side.length
                  ? `each side ${side.map(formatNumber).join(' + ')} ${load.unit}`
                  : `the empty ${formatNumber(bar ?? 0)} ${load.unit} bar`}
              </span>
            )}
          </li>
        ))}
      </ul>
    </fieldset>
  )
}
