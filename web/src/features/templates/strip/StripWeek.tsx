import { scaleLinear } from 'd3'
import type { KeyboardEvent } from 'react'
import { describe, type Drawn } from './drawn.ts'
import { staveOf, type Stave } from './stave.ts'

/** How weeks are drawn: which figure their height is, and between which of its values. */
export type Scale = { stave: Stave; least: number; most: number }

const height = 72
const ink = scaleLinear([60, 90], [0.3, 1]).clamp(true)

/** What a dragged deload is called. */
export const deloadKind = 'application/x-young-oak-deload'
export const dashes = ['none', '5 3', '2 2', '8 2 2 2']

type Props = {
  week: Drawn
  scale: Scale
  /** The figure of the week on each track that is laid over the strip; null where the track has none. */
  laid: { name: string; level: number | null }[]
  isCurrent: boolean
  onChoose: () => void
  onPress: (event: KeyboardEvent) => void
  onDeload: () => void
}

/** One week as a stave: the darker the ink the higher the percent, hollow is a deload. */
export function StripWeek({ week, scale, laid, isCurrent, onChoose, onPress, onDeload }: Props) {
  const { value, say } = staveOf[scale.stave]
  const figure = week.sum ? value(week.sum) : null
  return (
    <button
      type="button"
      tabIndex={isCurrent ? 0 : -1}
      aria-label={describe(week)}
      aria-current={isCurrent ? 'true' : undefined}
      title={describe(week)}
      onClick={onChoose}
      onKeyDown={onPress}
      onDragOver={(event) => event.dataTransfer.types.includes(deloadKind) && event.preventDefault()}
      onDrop={(event) => {
        if (event.dataTransfer.types.includes(deloadKind)) onDeload()
      }}
      className={`flex min-w-8 flex-1 flex-col items-center justify-end rounded-t px-0.5 pt-0.5 ${isCurrent ? 'bg-leaf-wash' : 'hover:bg-leaf-wash/60'}`}
    >
      {week.events.map((event) => (
        <span key={event} className="w-full truncate rounded-sm bg-acorn-wash px-1 text-xs text-acorn">
          {event.split(',')[0]}
        </span>
      ))}
      <span className="text-xs whitespace-nowrap text-bark">
        {week.sum?.isAbout && scale.stave !== 'minutes' && '~'}
        {figure === null ? '–' : say(figure)}
      </span>
      <StavePicture week={week} scale={scale} figure={figure ?? 0} laid={laid} />
      <span
        className={`w-full border-t-2 pt-0.5 text-center text-sm ${isCurrent ? 'border-leaf font-semibold' : 'border-edge'}`}
      >
        {week.week}
      </span>
    </button>
  )
}

type PictureProps = Pick<Props, 'week' | 'scale' | 'laid'> & { figure: number }

function StavePicture({ week: { sum }, scale: { least, most }, figure, laid }: PictureProps) {
  const tall = scaleLinear([least, most], [2, height]).clamp(true)
  return (
    <svg width="100%" height={height} className="max-w-14">
      <rect
        x="2"
        y={height - tall(figure) + 1}
        width="calc(100% - 4px)"
        height={Math.max(tall(figure) - 2, 1)}
        fill={sum?.deload ? 'none' : 'var(--leaf)'}
        fillOpacity={ink(sum?.intensity ?? 72)}
        stroke={sum?.deload ? 'var(--mist)' : 'var(--leaf)'}
        strokeWidth={sum?.deload ? 2 : 1}
        strokeDasharray={sum?.deload ? '4 3' : undefined}
      />
      {laid.map(({ name, level }, i) =>
        level === null ? null : (
          <line
            key={name}
            x1="0"
            x2="100%"
            y1={height - tall(level) + 1}
            y2={height - tall(level) + 1}
            stroke="var(--ink)"
            strokeWidth="2"
            strokeDasharray={dashes[i % dashes.length]}
          />
        ),
      )}
    </svg>
  )
}
