import type { KnownMax, MaxesView } from '@young-oak/api/training'
import { liftName } from '@young-oak/core/library'
import { formulaOf, mostReps } from '@young-oak/core/maxes'
import { formatDay, formatLoad } from '@young-oak/core/units'
import { saySet } from './saySet.ts'

/** The maxes in force with where they come from, each with those that were before it; and the lifts that lack one. */
export function MaxList({ view: { maxes, needed } }: { view: MaxesView }) {
  return (
    <>
      {needed.map((lift) => (
        <p key={liftName(lift)} className="mt-3 rounded bg-acorn-wash px-3 py-2 text-acorn">
          Your program needs a {liftName(lift).toLowerCase()} max.
        </p>
      ))}
      {maxes.length === 0 && (
        <p className="mt-4">
          None yet. Give the first one here: a single, or a set of up to {mostReps} reps.
        </p>
      )}
      <ul className="mt-4 divide-y divide-line border-y border-line">
        {maxes.map((max) => (
          <li key={liftName(max)} className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
            <span>{liftName(max)}</span>
            <span className="font-serif text-lg font-semibold whitespace-nowrap">{formatLoad(max.load)}</span>
            <span className="col-span-2 text-sm text-bark">
              {sayFrom(max)}
              {max.staleWeeks !== undefined && (
                <span className="ml-2 rounded bg-acorn-wash px-2 py-0.5 text-acorn">
                  {max.staleWeeks} weeks ago: too old to trust
                </span>
              )}
            </span>
            {max.before.length > 0 && <Before maxes={max.before} />}
          </li>
        ))}
      </ul>
    </>
  )
}

const sayFrom = ({ from, date }: KnownMax): string =>
  `${from ? `${saySet(from)}, ${formulaOf[from.formula].title}` : 'tested single'}, ${formatDay(date)}`

function Before({ maxes }: { maxes: KnownMax[] }) {
  return (
    <details className="col-span-2 text-sm text-bark">
      <summary className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {maxes.length} before {maxes.length === 1 ? 'it' : 'this'}
      </summary>
      <ul>
        {maxes.map((max) => (
          <li key={`${max.date}/${max.load.value}`} className="flex justify-between gap-4">
            <span>{sayFrom(max)}</span>
            <span className="font-serif font-semibold text-ink">{formatLoad(max.load)}</span>
          </li>
        ))}
      </ul>
    </details>
  )
}
