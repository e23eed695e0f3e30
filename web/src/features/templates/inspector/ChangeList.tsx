import type { Difference } from '@young-oak/core/template'

/** Differences as lines: where, and what. */
export function ChangeList({ changes }: { changes: Difference[] }) {
  return (
    <ul className="divide-y divide-line text-sm">
      {changes.map(({ where, what }) => (
        <li key={where + what} className="py-1">
          <span className="font-medium">{where}:</span> <span className="text-bark">{what}</span>
        </li>
      ))}
    </ul>
  )
}
