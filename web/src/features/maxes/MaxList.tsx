import { useLibrary } from '../library/useLibrary.ts'
import type { KnownMax, MaxesView, UsedBy } from '@young-oak/api/maxes'
import { liftName, maxName } from '@young-oak/core/library'
import { formulaOf, mostReps } from '@young-oak/core/maxes'
import { formatDay, formatLoad } from '@young-oak/core/units'
import { saySet } from './saySet.ts'

/** The maxes in force with where they come from, each with those that were before it; and the lifts that lack one. */
export function MaxList({ view: { maxes, needed }, whose }: { view: MaxesView; whose: string }) {
  const library = useLibrary()
  return (
    <>
      {needed.map((lift) => (
        <p key={liftName(library, lift)} className="mt-3 rounded bg-acorn-wash px-3 py-2 text-acorn">
          {whose} program needs a {liftName(library, lift).toLowerCase()} max.
        </p>
      ))}
      {maxes.length === 0 && (
        <p className="mt-4">None yet. Add the first max here: a single, or a set of up to {mostReps} reps.</p>
      )}
      <ul className="mt-4 divide-y divide-line border-y border-line">
        {maxes.map((max) => (
          <li key={liftName(library, max)} className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
            <span>{maxName(library, max)}</span>
            <span className="font-serif text-lg font-semibold whitespace-nowrap">{formatLoad(max.load)}</span>
            <span className="col-span-2 text-sm text-bark">
              {sayFrom(max)}
              {max.staleWeeks !== undefined && (
                <span className="ml-2 rounded bg-acorn-wash px-2 py-0.5 text-acorn">
                  {max.staleWeeks} weeks ago: too old to trust
                </span>
              )}
            </span>
            {max.usedBy.length > 0 && <UsedBySection usedBy={max.usedBy} />}
            {max.before.length > 0 && <Before maxes={max.before} />}
          </li>
        ))}
      </ul>
    </>
  )
}

function sayFrom({ from, date }: KnownMax): string {
  const how = from?.formula
    ? `${saySet(from)}, ${formulaOf[from.formula].title}`
    : from
      ? `${saySet(from)}, tested`
      : 'tested single'
  return `${how}, ${formatDay(date)}`
}

/** What is worked out from a max: sessions with their slots, and lifts that are tied to it. */
function UsedBySection({ usedBy }: { usedBy: UsedBy[] }) {
  return (
    <details className="col-span-2 text-sm text-bark">
      <summary className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {usedBy.length === 1 ? 'One load depends' : `${usedBy.length} loads depend`} on it
      </summary>
      <ul>
        {usedBy.map((one) => (
          <li key={'ratio' in one ? one.ratio : `${one.program}/${one.session}/${one.slot}`}>
            {'ratio' in one ? `${one.ratio}, by a ratio of it` : `${one.slot}, ${one.session}`}, in{' '}
            {one.program}
          </li>
        ))}
      </ul>
    </details>
  )
}

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
