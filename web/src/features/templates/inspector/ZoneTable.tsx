import { useState } from 'react'
import type { Id } from '@young-oak/core/parsing'
import { sharesOf, zoneName, zoneStarts, type Zones } from '@young-oak/core/views'
import { today } from '../../../app/today.ts'
import { useAsked, type Drafted } from './useAsked.ts'

type Props = Drafted & { phase: Id; phaseWeek: number }

/** Where the reps of a week and its phase lie by percent of the 1RM; worked out once it is opened. */
export function ZoneTable(props: Props) {
  const [isOpen, setOpen] = useState(false)
  return (
    <details className="text-sm" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer py-1 decoration-dotted underline underline-offset-4 hover:text-leaf">
        Reps by % of the 1RM
      </summary>
      {isOpen && <Table {...props} />}
    </details>
  )
}

const zones = zoneStarts.map((_, i) => i)

function Table({ phase, phaseWeek, ...drafted }: Props) {
  const at = { phase, phaseWeek }
  const { seen, hasFailed } = useAsked(drafted, JSON.stringify(at), (planner) => planner.zones(today(), at))
  if (!seen)
    return (
      <p role="status" className="py-2 text-bark">
        {hasFailed ? 'The reps could not be counted. The next change tries again.' : 'Counting…'}
      </p>
    )
  const rows: [string, Zones][] = [
    ...seen.days.map(({ inWeek, name, zones: own }): [string, Zones] => [`Day ${inWeek}: ${name}`, own]),
    [`Week ${phaseWeek} of the phase`, seen.week],
    ['The whole phase', seen.phase],
  ]
  const hasUnknown = rows.some(([, { unknown }]) => unknown > 0)
  return (
    <div className="overflow-x-auto py-2" tabIndex={0} aria-label="Reps by percent of the 1RM">
      <table className="w-full">
        <thead className="text-left text-bark">
          <tr>
            <th className="py-1 pr-2 font-medium">Share of the reps at</th>
            {zones.map((zone) => (
              <th key={zone} className="px-1 py-1 text-right font-medium">
                {zoneName(zone)}
              </th>
            ))}
            {hasUnknown && <th className="pl-1 py-1 text-right font-medium">no % known</th>}
          </tr>
        </thead>
        <tbody className="divide-y divide-line border-t border-line">
          {rows.map(([name, own]) => {
            const shares = sharesOf(own)
            return (
              <tr key={name}>
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {name}
                </th>
                {zones.map((zone) => (
                  <td key={zone} className="px-1 py-1 text-right" title={`${own.reps[zone]} reps`}>
                    {shares?.[zone] ? `${shares[zone]}%` : '–'}
                  </td>
                ))}
                {hasUnknown && (
                  <td className="pl-1 py-1 text-right text-bark">
                    {own.unknown ? `${own.unknown} reps` : ''}
                  </td>
                )}
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-1 text-bark">
        For {drafted.file.name ?? 'this member'}, from today: work sets as asked, of the max in force.
      </p>
    </div>
  )
}
