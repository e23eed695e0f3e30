import { formatNumber, type Load } from '@young-oak/core/units'

type Props = { side: number[]; bar?: number; unit: Load['unit'] }

/** One end of the bar with its plates, heaviest inside, each with its number; the sentence below says the same. */
export function PlatePicture({ side, bar, unit }: Props) {
  const said = sidePlates(side, bar, unit)
  const heaviest = unit === 'kg' ? 25 : 45
  const endOfPlates = 34 + side.length * 26
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 ${Math.max(150, 60 + side.length * 26)} 64`}
        height="64"
        role="img"
        aria-label={said}
        className="max-w-full"
      >
        <rect x="0" y="29" width="34" height="6" fill="var(--edge)" />
        <rect x="28" y="24" width="6" height="16" fill="var(--edge)" />
        {side.map((plate, i) => {
          const height = 22 + 38 * Math.sqrt(plate / heaviest)
          const at = 34 + i * 26
          return (
            <g key={i}>
              <rect
                x={at + 1}
                y={32 - height / 2}
                width="24"
                height={height}
                rx="3"
                fill="var(--paper)"
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
              <text
                x={at + 13}
                y="36"
                textAnchor="middle"
                fontSize={formatNumber(plate).length > 3 ? 9 : 11}
                fill="var(--ink)"
              >
                {formatNumber(plate)}
              </text>
            </g>
          )
        })}
        <rect x={endOfPlates} y="29" width="22" height="6" fill="var(--edge)" />
      </svg>
      <figcaption className="text-sm text-bark">{said}</figcaption>
    </figure>
  )
}

function sidePlates(side: number[], bar: number | undefined, unit: Load['unit']): string {
  const whole = bar === undefined ? 'The bar' : `${formatNumber(bar)} ${unit} bar`
  return side.length
    ? `${whole}, each side: ${side.map(formatNumber).join(' + ')} ${unit}`
    : `${whole}, no plates`
}
