import type { LoadWeek } from '@young-oak/core/trends'
import { formatDay, formatNumber } from '@young-oak/core/units'

/** How hard the last weeks were: hardness times minutes, and how alike the days were. */
export function SessionLoad({ weeks }: { weeks: LoadWeek[] }) {
  const trained = weeks.filter(({ sessions }) => sessions > 0)
  if (!trained.length) return null
  const isRated = trained.some(({ sessions, unrated }) => unrated < sessions)
  const most = Math.max(...trained.map(({ load }) => load), 1)
  return (
    <section aria-label="Session load">
      <h2 className="text-xl">Session load</h2>
      <p className="text-sm text-bark">
        Hardness (0 to 10) × minutes of each session. Monotony: the mean of the seven days ÷ their standard
        deviation (n − 1). Strain: load × monotony. Method of Foster, 1998 and 2001.
      </p>
      {!isRated && (
        <p className="mt-2">
          None of the last weeks’ sessions has both: they are asked after each session, on Today.
        </p>
      )}
      {isRated && <Weeks weeks={trained} most={most} />}
    </section>
  )
}

function Weeks({ weeks, most }: { weeks: LoadWeek[]; most: number }) {
  return (
    <div className="mt-2 overflow-x-auto" tabIndex={0} aria-label="Session load by week">
      <table className="w-full max-w-3xl text-sm">
        <thead className="text-left text-bark">
          <tr>
            <th className="py-1 pr-3 font-medium">Week from</th>
            <th className="py-1 pr-3 text-right font-medium">Sessions</th>
            <th className="py-1 pr-3 text-right font-medium">Load</th>
            <th className="w-1/4 py-1" aria-hidden />
            <th className="py-1 pr-3 text-right font-medium">Monotony</th>
            <th className="py-1 text-right font-medium">Strain</th>
          </tr>
        </thead>
        <tbody className="divide-y divide-line border-t border-line">
          {weeks.map((week) => (
            <Week key={week.from} week={week} share={week.load / most} />
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Week({ week, share }: { week: LoadWeek; share: number }) {
  const { from, sessions, unrated, load, monotony, strain } = week
  return (
    <tr>
      <th scope="row" className="py-1.5 pr-3 text-left font-normal whitespace-nowrap">
        {formatDay(from)}
      </th>
      <td className="py-1.5 pr-3 text-right">
        {sessions}
        {unrated > 0 && (
          <span className="text-bark"> ({unrated === sessions ? 'none' : sessions - unrated} rated)</span>
        )}
      </td>
      <td className="py-1.5 pr-3 text-right font-medium">{unrated === sessions ? '–' : load}</td>
      <td className="py-1.5 pr-3" aria-hidden>
        <span className="block h-2 rounded bg-leaf" style={{ width: `${Math.round(share * 100)}%` }} />
      </td>
      <td className="py-1.5 pr-3 text-right">{monotony === null ? '–' : formatNumber(monotony)}</td>
      <td className="py-1.5 text-right">{strain ?? '–'}</td>
    </tr>
  )
}
