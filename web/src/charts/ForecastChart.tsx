import { extent, line, scaleLinear, scalePoint } from 'd3'
import { formatNumber } from '@young-oak/core/units'

export type Series = { title: string; points: { week: number; value: number | null; deload: boolean }[] }

const size = { width: 560, height: 190, left: 44, right: 12, top: 10, bottom: 24 }
/** Told apart by dash and width as well as by ink. */
const looks = [
  { stroke: 'var(--leaf)', strokeWidth: 3, strokeDasharray: undefined },
  { stroke: 'var(--brick)', strokeWidth: 2, strokeDasharray: '7 4' },
  { stroke: 'var(--mist)', strokeWidth: 2, strokeDasharray: '2 4' },
  { stroke: 'var(--acorn)', strokeWidth: 2, strokeDasharray: '10 3 2 3' },
]

/** A slot's load over the weeks, or its sets where it has no load: a line for each supposition. The table beside it says the same. */
export function ForecastChart({ series, what }: { series: Series[]; what: string }) {
  const weeks = [...new Set(series.flatMap(({ points }) => points.map(({ week }) => week)))].sort(
    (a, b) => a - b,
  )
  const [low = 0, high = 1] = extent(
    series.flatMap(({ points }) => points.flatMap(({ value }) => value ?? [])),
  )
  const x = scalePoint(weeks, [size.left, size.width - size.right])
  const y = scaleLinear(low === high ? [Math.max(0, low - 5), high + 5] : [low, high], [
    size.height - size.bottom,
    size.top,
  ]).nice(4)
  const draw = line<Series['points'][number]>()
    .defined(({ value }) => value !== null)
    .x(({ week }) => x(week) ?? 0)
    .y(({ value }) => y(value ?? 0))
  const every = Math.ceil(weeks.length / 14)
  return (
    <figure className="m-0 max-w-3xl">
      <svg
        viewBox={`0 0 ${size.width} ${size.height}`}
        role="img"
        aria-label={`${what} by week; the table says the same`}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line
              x1={size.left}
              x2={size.width - size.right}
              y1={y(tick)}
              y2={y(tick)}
              stroke="var(--line)"
            />
            <text
              x={size.left - 6}
              y={y(tick)}
              dy="0.32em"
              textAnchor="end"
              className="fill-bark text-[11px]"
            >
              {formatNumber(tick)}
            </text>
          </g>
        ))}
        {weeks.map((week, i) =>
          i % every ? null : (
            <text
              key={week}
              x={x(week)}
              y={size.height - 8}
              textAnchor="middle"
              className="fill-bark text-[11px]"
            >
              {week}
            </text>
          ),
        )}
        {series.map(({ title, points }, i) => (
          <path key={title} d={draw(points) ?? undefined} fill="none" {...looks[i % looks.length]} />
        ))}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 gap-y-1 text-sm text-bark">
        <span>{what}, by week:</span>
        {series.map(({ title }, i) => (
          <span key={title} className="inline-flex items-center gap-2">
            <svg width="30" height="8" aria-hidden>
              <line x1="0" x2="30" y1="4" y2="4" {...looks[i % looks.length]} />
            </svg>
            {title}
          </span>
        ))}
      </figcaption>
    </figure>
  )
}
