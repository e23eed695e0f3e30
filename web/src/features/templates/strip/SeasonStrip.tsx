import { scaleLinear } from 'd3'
import { memo, useState, type KeyboardEvent, type PointerEvent } from 'react'
import {
  addPhase,
  movePhase,
  repeatPhase,
  resizePhase,
  splitPhase,
  type Built,
} from '@young-oak/core/building'
import type { WeekSummary } from '@young-oak/core/plan'
import {
  nominalWeeks,
  type Adjustment,
  type Command,
  type Phase,
  type Template,
} from '@young-oak/core/template'
import type { Seasons } from '../../../workers/planner.worker.ts'
import { mint } from '../mint.ts'
import { staveOf, staves, type Stave } from './stave.ts'

type Props = {
  draft: Template
  /** The weeks, and as the tracks that are laid over them have them; null until they are worked out. */
  seasons: Seasons | null
  current: number
  onChoose: (week: number) => void
  onPut: (built: Built) => boolean
}

const height = 72

/**
 * The weeks of a template as a row of staves, and the way to them: the darker the ink the higher the percent, hollow is a light week.
 * Phases are drawn longer and shorter below; keys on a week do the same.
 */
export const SeasonStrip = memo(function SeasonStrip({ draft, seasons, current, onChoose, onPut }: Props) {
  const { own: weeks, laid: others } = seasons ?? none
  const [stave, setStave] = useState<Stave>('sets')
  const { title, value, say } = staveOf[stave]
  const all = [weeks, ...others.map((one) => one.weeks)].flat().map((week) => value(week) ?? 0)
  const most = Math.max(...all, 1)
  const least = stave === 'intensity' ? Math.max(0, Math.min(...all.filter((one) => one > 0), most) - 20) : 0
  const tall = scaleLinear([least, most], [2, height]).clamp(true)
  const ink = scaleLinear([60, 90], [0.3, 1]).clamp(true)
  const press = (event: KeyboardEvent, week: WeekSummary) => {
    const done = actOn(draft, week, event)
    if (done) onPut(done)
    const by = event.altKey ? undefined : { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    const next = weeks.find((one) => one.week === week.week + (by ?? 0))
    if (by && next) {
      onChoose(next.week)
      const buttons = (event.currentTarget.closest('[data-strip]') as HTMLElement).querySelectorAll('button')
      buttons[weeks.indexOf(next)]?.focus()
    }
    if (done || by) event.preventDefault()
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
        <span>Fuller colour: higher percent of the 1RM. Dashed: light week.</span>
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
          onDragStart={(event) => event.dataTransfer.setData(lightKind, 'light')}
          title="Drag onto a week: two thirds of the sets, a tenth less load. On a light week it takes that away."
          className="cursor-grab rounded border border-dashed border-mist px-2 text-mist"
        >
          Light week
        </span>
        <span className="ml-auto">
          On a week: + − longer, shorter; L light; S split; R repeat; N new phase.
        </span>
      </div>
      <div className="mt-1 flex min-h-29 items-end gap-1" data-strip>
        {weeks.map((week) => (
          <button
            key={week.week}
            type="button"
            tabIndex={week.week === current ? 0 : -1}
            aria-label={describe(week)}
            aria-current={week.week === current ? 'true' : undefined}
            title={describe(week)}
            onClick={() => onChoose(week.week)}
            onKeyDown={(event) => press(event, week)}
            onDragOver={(event) => event.dataTransfer.types.includes(lightKind) && event.preventDefault()}
            onDrop={(event) => {
              const phase = draft.phases.find(({ id }) => id === week.phase)
              if (phase && event.dataTransfer.types.includes(lightKind)) onPut(lightOn(phase, week.phaseWeek))
            }}
            className={`flex min-w-8 flex-1 flex-col items-center justify-end rounded-t px-0.5 pt-0.5 ${week.week === current ? 'bg-leaf-wash' : 'hover:bg-leaf-wash/60'}`}
          >
            <span className="text-xs whitespace-nowrap text-bark">
              {week.isAbout && stave !== 'minutes' && '~'}
              {value(week) === null ? '–' : say(value(week) ?? 0)}
            </span>
            <svg width="100%" height={height} className="max-w-14">
              <rect
                x="2"
                y={height - tall(value(week) ?? 0) + 1}
                width="calc(100% - 4px)"
                height={Math.max(tall(value(week) ?? 0) - 2, 1)}
                fill={week.light ? 'none' : 'var(--leaf)'}
                fillOpacity={ink(week.intensity ?? 72)}
                stroke={week.light ? 'var(--mist)' : 'var(--leaf)'}
                strokeWidth={week.light ? 2 : 1}
                strokeDasharray={week.light ? '4 3' : undefined}
              />
              {others.map(({ name, weeks: own }, i) => {
                const same = own.find((one) => one.week === week.week)
                const high = same ? value(same) : null
                return high === null ? null : (
                  <line
                    key={name}
                    x1="0"
                    x2="100%"
                    y1={height - tall(high) + 1}
                    y2={height - tall(high) + 1}
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
          <PhaseEdge key={phase.id} draft={draft} phase={phase} first={firstOf(draft, phase)} onPut={onPut} />
        ))}
      </div>
      <p className="sr-only" role="status">
        {title}
      </p>
    </section>
  )
})

/** What a dragged light week is called. */
const lightKind = 'application/x-young-oak-light'

const none: Seasons = { own: [], laid: [] }
const dashes = ['none', '5 3', '2 2', '8 2 2 2']

type EdgeProps = { draft: Template; phase: Phase; first: number; onPut: (built: Built) => boolean }

/** A phase's name under its weeks, and its end, which is dragged to make it longer or shorter. */
function PhaseEdge({ draft, phase, first, onPut }: EdgeProps) {
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
      if (at(moved) !== weeks) onPut(resizePhase(draft, phase.id, at(moved)))
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

/** What a key on a week does with its phase. */
function actOn(
  draft: Template,
  { phase: id, phaseWeek }: WeekSummary,
  { key, altKey }: KeyboardEvent,
): Built | null {
  const phase = draft.phases.find((one) => one.id === id)
  if (!phase) return null
  const { weeks } = phase
  const resized = (by: number) =>
    typeof weeks === 'number'
      ? resizePhase(draft, id, weeks + by)
      : { fault: `${phase.name} ends with a sign: give it fixed weeks first.` }
  if (altKey)
    return key === 'ArrowRight'
      ? movePhase(draft, id, 1)
      : key === 'ArrowLeft'
        ? movePhase(draft, id, -1)
        : null
  if (key === '+' || key === '=') return resized(1)
  if (key === '-') return resized(-1)
  if (key === 'l') return lightOn(phase, phaseWeek)
  if (key === 'n') return addPhase(draft, id, { name: `Phase ${draft.phases.length + 1}`, weeks: 4 }, mint)
  if (key === 's') return splitPhase(draft, id, phaseWeek, mint)
  if (key === 'r') return repeatPhase(draft, id, mint)
  return null
}

/** A light week dropped on a week: two thirds of the sets and a tenth less load; on a week that is light, away again. */
function lightOn(phase: Phase, week: number): Built {
  const isOn = ({ where }: Adjustment) => where.weeks?.includes(week)
  const kept = phase.light.flatMap((one): Adjustment[] => {
    if (!isOn(one)) return [one]
    const weeks = one.where.weeks?.filter((other) => other !== week) ?? []
    return weeks.length ? [{ ...one, where: { ...one.where, weeks } }] : []
  })
  const to = phase.light.some(isOn)
    ? kept
    : [
        ...phase.light,
        {
          id: mint(),
          do: { kind: 'scaleSets' as const, by: -40, round: 'nearest' as const },
          where: { weeks: [week] },
        },
        { id: mint(), do: { kind: 'scaleLoad' as const, by: -10 }, where: { weeks: [week] } },
      ]
  if (phase.ends)
    return { fault: 'Weeks before a test day are lightened in the inspector, counted back from it.' }
  const command: Command = { do: 'setLight', phase: phase.id, from: phase.light, to }
  return command
}

function describe({ week, phaseName, sets, isAbout, intensity, light, minutes }: WeekSummary): string {
  const percent = intensity === null ? 'loads by rule' : `${Math.round(intensity)}% of the 1RM on average`
  return `Week ${week}, ${phaseName}${light ? ', light' : ''}: ${isAbout ? 'about ' : ''}${sets} hard sets${isAbout ? ', some by rule' : ''}, ${percent}, ${minutes} minutes at most`
}
