import { scaleLinear } from 'd3'
import type { KeyboardEvent } from 'react'
import type { WeekSummary } from '@young-oak/core/plan'

type Props = { weeks: WeekSummary[]; current: number; onChoose: (week: number) => void }

const height = 84

/**
 * The weeks of a template as a row of staves, and the way to them: height is hard sets, the darker the ink the higher the
 * percent, hollow is a light week.
 */
export function SeasonStrip({ weeks, current, onChoose }: Props) {
  const most = Math.max(...weeks.map(({ sets }) => sets), 1)
  const tall = scaleLinear([0, most], [0, height])
  const ink = scaleLinear([60, 90], [0.3, 1]).clamp(true)
  const move = (event: KeyboardEvent, week: number) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    const next = weeks.find((one) => one.week === week + (by ?? 0))
    if (!by || !next) return
    event.preventDefault()
    onChoose(next.week)
    const buttons = (event.currentTarget.closest('[data-strip]') as HTMLElement).querySelectorAll('button')
    buttons[weeks.indexOf(next)]?.focus()
  }
  return (
    <section aria-label="Season strip" className="overflow-x-auto">
      <p className="text-right text-xs text-bark">
        Height: hard sets. Darker: higher percent of the 1RM. Dashed: light week.
      </p>
      <div className="flex items-end gap-1.5" data-strip>
        {weeks.map((week) => (
          <button
            key={week.week}
            type="button"
            tabIndex={week.week === current ? 0 : -1}
            aria-label={describe(week)}
            aria-current={week.week === current ? 'true' : undefined}
            title={describe(week)}
            onClick={() => onChoose(week.week)}
            onKeyDown={(event) => move(event, week.week)}
            className={`flex min-w-11 flex-1 flex-col items-center justify-end rounded-t px-0.5 pt-1 ${week.week === current ? 'bg-leaf-wash' : 'hover:bg-leaf-wash/60'}`}
          >
            <span className="text-xs text-bark">
              {week.isAbout && 'about '}
              {week.sets}
            </span>
            <svg width="100%" height={tall(week.sets)} preserveAspectRatio="none" className="max-w-14">
              <rect
                x="2"
                y="1"
                width="calc(100% - 4px)"
                height={Math.max(tall(week.sets) - 1, 1)}
                fill={week.light ? 'none' : 'var(--leaf)'}
                fillOpacity={ink(week.intensity ?? 72)}
                stroke={week.light ? 'var(--mist)' : 'var(--leaf)'}
                strokeWidth={week.light ? 2 : 1}
                strokeDasharray={week.light ? '4 3' : undefined}
              />
            </svg>
            <span
              className={`w-full border-t-2 pt-0.5 text-center text-sm ${week.week === current ? 'border-leaf font-semibold' : 'border-edge'}`}
            >
              {week.week}
            </span>
          </button>
        ))}
      </div>
      <div className="mt-0.5 flex gap-1.5 text-xs text-bark">
        {phasesOf(weeks).map(({ name, count, first }) => (
          <span
            key={first}
            style={{ flexGrow: count }}
            className="min-w-0 basis-0 truncate border-l border-edge pl-1.5"
          >
            {name}, weeks {first} to {first + count - 1}
          </span>
        ))}
      </div>
    </section>
  )
}

function describe({ week, phaseName, sets, isAbout, intensity, light }: WeekSummary): string {
  const percent = intensity === null ? 'loads by rule' : `${Math.round(intensity)}% of the 1RM on average`
  return `Week ${week}, ${phaseName}${light ? ', light' : ''}: ${isAbout ? 'about ' : ''}${sets} hard sets${isAbout ? ', some by rule' : ''}, ${percent}`
}

function phasesOf(weeks: WeekSummary[]): { name: string; first: number; count: number }[] {
  const phases = new Map<string, { name: string; first: number; count: number }>()
  for (const { phase, phaseName, week } of weeks) {
    const made = phases.get(phase) ?? { name: phaseName, first: week, count: 0 }
    phases.set(phase, { ...made, count: made.count + 1 })
  }
  return [...phases.values()]
}
