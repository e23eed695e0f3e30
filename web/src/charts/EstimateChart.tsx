import { extent, line, scaleLinear, scaleUtc } from 'd3'
import { evidenceOf, type Seen, type Target } from '@young-oak/core/trends'
import { formatDay, formatNumber } from '@young-oak/core/units'

type Props = { seen: Seen[]; target?: Target; unit: string; label: string }

const size = { width: 340, height: 140, left: 40, right: 12, top: 10, bottom: 22 }
const at = (day: string): Date => new Date(`${day}T00:00:00Z`)

/** No more digits than a bar can hold: half a kilogram, or a pound. */
const halfOf = (value: number, unit: string): number =>
  unit === 'kg' ? Math.round(value * 2) / 2 : Math.round(value)

/**
 * Estimated maxes day by day. Days that tell only what the max is at least are hollow, and lie outside the line; with a goal, the line
 * that is meant and the band that what was seen points to.
 */
export function EstimateChart({ seen, target, unit, label }: Props) {
  const [first, last] = [seen[0], seen.at(-1)]
  if (!first || !last) return null
  const { goal, projected } = target ?? {}
  const end = goal?.by && goal.by > last.date ? goal.by : last.date
  const values = [
    ...seen.map(({ value }) => value),
    ...(goal ? [goal.to.value] : []),
    ...(projected ? [projected.low, projected.high] : []),
  ]
  const [low = 0, high = 1] = extent(values)
  const x = scaleUtc([at(first.date), at(end)], [size.left, size.width - size.right])
  const y = scaleLinear(low === high ? [Math.max(0, low - 5), high + 5] : [low, high], [
    size.height - size.bottom,
    size.top,
  ]).nice(4)
  const draw = line<Seen>()
    .x(({ date }) => x(at(date)))
    .y(({ value }) => y(value))
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      role="img"
      aria-label={`${label}: from ${formatNumber(halfOf(first.value, unit))} ${unit} on ${formatDay(first.date)} to ${formatNumber(halfOf(last.value, unit))} ${unit} on ${formatDay(last.date)}`}
      className="w-full"
    >
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <line x1={size.left} x2={size.width - size.right} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
          <text x={size.left - 5} y={y(tick)} dy="0.32em" textAnchor="end" className="fill-bark text-[11px]">
            {formatNumber(tick)}
          </text>
        </g>
      ))}
      <text x={size.left} y={size.height - 6} className="fill-bark text-[11px]">
        {formatDay(first.date)}
      </text>
      <text
        x={size.width - size.right}
        y={size.height - 6}
        textAnchor="end"
        className="fill-bark text-[11px]"
      >
        {formatDay(end)}
      </text>
      {goal?.by && projected && (
        <path
          d={`M${x(at(last.date))},${y(last.value)} L${x(at(goal.by))},${y(projected.high)} L${x(at(goal.by))},${y(projected.low)} Z`}
          fill="var(--mist-wash)"
          stroke="var(--mist)"
          strokeWidth="1"
        />
      )}
      {goal && (
        <line
          x1={size.left}
          x2={size.width - size.right}
          y1={y(goal.to.value)}
          y2={y(goal.to.value)}
          stroke="var(--acorn)"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
      )}
      <path d={draw(evidenceOf(seen)) ?? undefined} fill="none" stroke="var(--leaf)" strokeWidth="2" />
      {seen.map(({ date, value, atLeast }) => (
        <circle
          key={date}
          cx={x(at(date))}
          cy={y(value)}
          r="2.5"
          fill={atLeast ? 'var(--sheet)' : 'var(--leaf)'}
          stroke="var(--leaf)"
          strokeWidth={atLeast ? 1 : 0}
        >
          <title>
            {formatDay(date)}: {atLeast && 'at least '}
            {formatNumber(halfOf(value, unit))} {unit}
          </title>
        </circle>
      ))}
    </svg>
  )
}
