import { scaleLinear } from 'd3'
import { memo, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { resizePhase } from '@young-oak/core/editing'
import type { WeekSummary } from '@young-oak/core/views'
import { nominalWeeks, type Phase, type Template } from '@young-oak/core/template'
import type { Seasons } from '../../../workers/planner.ts'
import type { Put } from '../usePutOrSay.ts'
import { actOf, actOn, deloadOn } from './stripActs.ts'
import { staveOf, staves, type Stave } from './stave.ts'

type Props = {
  draft: Template
  /** The weeks, and as the tracks that are laid over them have them; null until they are worked out. */
  seasons: Seasons | null
  current: number
  onChoose: (week: number) => void
  onPut: Put
}

const height = 72

/**
 * The weeks of a template as a row of staves, and the way to them: the darker the ink the higher the percent, hollow is a deload.
 * Phases are drawn longer and shorter below; keys on a week do the same.
 */
export const SeasonStrip = memo(function SeasonStrip({ draft, seasons, current, onChoose, onPut }: Props) {
  const { own, laid: others, events } = seasons ?? none
  const weeks = weeksOf(draft, own, events)
  const [stave, setStave] = useState<Stave>('sets')
  const { title, value, say } = staveOf[stave]
  const all = [own, ...others.map((one) => one.weeks)].flat().map((week) => value(week) ?? 0)
  const most = Math.max(...all, 1)
  const least = stave === 'intensity' ? Math.max(0, Math.min(...all.filter((one) => one > 0), most) - 20) : 0
  const high = ({ sum }: Drawn) => (sum ? value(sum) : null)
  const tall = scaleLinear([least, most], [2, height]).clamp(true)
  const ink = scaleLinear([60, 90], [0.3, 1]).clamp(true)
  const press = (event: KeyboardEvent, week: number) => {
    const act = actOf(event)
    if (act) onPut((now) => actOn(now, week, act))
    const by = event.altKey ? undefined : { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    const next = by && weeks[week - 1 + by]
    if (next) {
      onChoose(next.week)
      const buttons = (event.currentTarget.closest('[data-strip]') as HTMLElement).querySelectorAll('button')
      buttons[next.week - 1]?.focus()
    }
    if (act || by) event.preventDefault()
  }
  return (
    <section aria-label="Season strip" className="overflow-x-auto">
      <div className="flex flex-wrap items-baseline gap-x-4 text-xs text-bark">
        <label className="flex items-center gap-2">
          Height:
          <select
            value={stave}
            onChange={(event) => setStave(event.target.value as Stave)}
            className="rounded border border-edge bg-sheet px-1 py-0.5 text-ink"
          >
            {staves.map((one) => (
              <option key={one} value={one}>
                {staveOf[one].title}
              </option>
            ))}
          </select>
        </label>
        <span>Fuller colour: higher percent of the 1RM. Dashed: deload.</span>
        {others.map(({ name }, i) => (
          <span key={name} className="flex items-center gap-1">
            <svg width="18" height="6" aria-hidden>
              <line
                x1="0"
                x2="18"
                y1="3"
                y2="3"
                stroke="var(--ink)"
                strokeWidth="2"
                strokeDasharray={dashes[i % dashes.length]}
              />
            </svg>
            {name}
          </span>
        ))}
        <span
          draggable
          onDragStart={(event) => event.dataTransfer.setData(deloadKind, 'deload')}
          title="Drag onto a week: two thirds of the sets, a tenth less load. On a deload week: removes the deload."
          className="cursor-grab rounded border border-dashed border-mist px-2 text-mist"
        >
          Deload
        </span>
        <span className="ml-auto">
          On a week: + − longer, shorter; L deload; S split; R repeat; N new phase.
        </span>
      </div>
      <div className="mt-1 flex min-h-33 items-end gap-1" data-strip>
        {weeks.map((week) => (
          <button
            key={week.week}
            type="button"
            tabIndex={week.week === current ? 0 : -1}
            aria-label={describe(week)}
            aria-current={week.week === current ? 'true' : undefined}
            title={describe(week)}
            onClick={() => onChoose(week.week)}
            onKeyDown={(event) => press(event, week.week)}
            onDragOver={(event) => event.dataTransfer.types.includes(deloadKind) && event.preventDefault()}
            onDrop={(event) => {
              if (event.dataTransfer.types.includes(deloadKind))
                onPut((now) => actOn(now, week.week, deloadOn))
            }}
            className={`flex min-w-8 flex-1 flex-col items-center justify-end rounded-t px-0.5 pt-0.5 ${week.week === current ? 'bg-leaf-wash' : 'hover:bg-leaf-wash/60'}`}
          >
            {week.events.map((event) => (
              <span key={event} className="w-full truncate rounded-sm bg-acorn-wash px-1 text-xs text-acorn">
                {event.split(',')[0]}
              </span>
            ))}
            <span className="text-xs whitespace-nowrap text-bark">
              {week.sum?.isAbout && stave !== 'minutes' && '~'}
              {high(week) === null ? '–' : say(high(week) ?? 0)}
            </span>
            <svg width="100%" height={height} className="max-w-14">
              <rect
                x="2"
                y={height - tall(high(week) ?? 0) + 1}
                width="calc(100% - 4px)"
                height={Math.max(tall(high(week) ?? 0) - 2, 1)}
                fill={week.sum?.deload ? 'none' : 'var(--leaf)'}
                fillOpacity={ink(week.sum?.intensity ?? 72)}
                stroke={week.sum?.deload ? 'var(--mist)' : 'var(--leaf)'}
                strokeWidth={week.sum?.deload ? 2 : 1}
                strokeDasharray={week.sum?.deload ? '4 3' : undefined}
              />
              {others.map(({ name, weeks: laid }, i) => {
                const same = laid.find((one) => one.week === week.week)
                const level = same ? value(same) : null
                return level === null ? null : (
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
                )
              })}
            </svg>
            <span
              className={`w-full border-t-2 pt-0.5 text-center text-sm ${week.week === current ? 'border-leaf font-semibold' : 'border-edge'}`}
            >
              {week.week}
            </span>
          </button>
        ))}
      </div>
      <div className="mt-0.5 flex gap-1 text-xs text-bark">
        {draft.phases.map((phase) => (
          <PhaseEdge key={phase.id} phase={phase} first={firstOf(draft, phase)} onPut={onPut} />
        ))}
      </div>
      <p className="sr-only" role="status">
        {title}
      </p>
    </section>
  )
})

/** What a dragged deload is called. */
const deloadKind = 'application/x-young-oak-deload'

const none: Seasons = { own: [], laid: [], events: {} }
const dashes = ['none', '5 3', '2 2', '8 2 2 2']

type EdgeProps = { phase: Phase; first: number; onPut: Put }

/** A phase's name under its weeks, and its end, which is dragged to make it longer or shorter. */
function PhaseEdge({ phase, first, onPut }: EdgeProps) {
  const weeks = nominalWeeks(phase)
  const [drawn, setDrawn] = useState<number | null>(null)
  const count = drawn ?? weeks
  const drag = (event: PointerEvent<HTMLSpanElement>) => {
    if (typeof phase.weeks !== 'number') return
    const { clientX, currentTarget, pointerId } = event
    const width = (currentTarget.parentElement?.offsetWidth ?? 44) / weeks
    const at = (moved: { clientX: number }) =>
      Math.max(1, Math.round(weeks + (moved.clientX - clientX) / width))
    currentTarget.setPointerCapture(pointerId)
    currentTarget.onpointermove = (moved) => setDrawn(at(moved))
    currentTarget.onpointerup = (moved) => {
      currentTarget.onpointermove = null
      currentTarget.onpointerup = null
      setDrawn(null)
      if (at(moved) !== weeks) onPut((now) => resizePhase(now, phase.id, at(moved)))
    }
  }
  return (
    <span
      style={{ flexGrow: count }}
      className="relative min-w-0 basis-0 truncate border-l border-edge pr-2 pl-1.5"
    >
      {phase.name}, weeks {first} to {first + count - 1}
      {phase.ends && ', then the test day'}
      {typeof phase.weeks !== 'number' && `, at most ${phase.weeks.most}`}
      {typeof phase.weeks === 'number' && (
        <span
          onPointerDown={drag}
          title="Drag: longer or shorter"
          className="absolute top-0 right-0 h-full w-2 cursor-ew-resize touch-none border-r-2 border-edge hover:border-leaf"
        />
      )}
    </span>
  )
}

const firstOf = ({ phases }: Template, phase: Phase): number =>
  phases.slice(0, phases.indexOf(phase)).reduce((sum, one) => sum + nominalWeeks(one), 1)

/** A week of the template as it is drawn, with its figures once they are worked out. */
type Drawn = { week: number; phase: Phase; sum: WeekSummary | undefined; events: string[] }

function weeksOf({ phases }: Template, sums: WeekSummary[], events: Seasons['events']): Drawn[] {
  return phases
    .flatMap((phase) => Array.from({ length: nominalWeeks(phase) }, () => phase))
    .map((phase, i) => ({
      week: i + 1,
      phase,
      sum: sums.find(({ week }) => week === i + 1),
      events: events[i + 1] ?? [],
    }))
}

function describe({ week, phase, sum, events }: Drawn): string {
  const said = events.length ? `; ${events.join('; ')}` : ''
  if (!sum) return `Week ${week}, ${phase.name}${said}`
  const { sets, isAbout, intensity, deload, minutes } = sum
  const percent =
    intensity === null ? 'loads by progression' : `${Math.round(intensity)}% of the 1RM on average`
  return `Week ${week}, ${phase.name}${deload ? ', deload' : ''}: ${isAbout ? 'about ' : ''}${sets} hard sets${isAbout ? ', some by progression' : ''}, ${percent}, ${minutes} minutes at most${said}`
}
