import { memo, useState, type KeyboardEvent } from 'react'
import { nominalWeeks, sayLater, type Phase, type Template } from '@young-oak/core/template'
import { Select } from '../../../ui/Select.tsx'
import type { Seasons } from '../../../workers/seasons.ts'
import type { Put } from '../usePutOrSay.ts'
import { weeksOf } from './drawn.ts'
import { PhaseEdge } from './PhaseEdge.tsx'
import { staveOf, staves, type Stave } from './stave.ts'
import { actOf, actOn, deloadOn } from './stripActs.ts'
import { dashes, deloadKind, StripWeek, type Scale } from './StripWeek.tsx'

type Props = {
  draft: Template
  /** The weeks, and as the tracks that are laid over them have them; null until they are worked out. */
  seasons: Seasons | null
  current: number
  onChoose: (week: number) => void
  onPut: Put
}

/** The weeks of a template as a row of staves, and the way to them. Phases are drawn longer and shorter below; keys on a week do the same. */
export const SeasonStrip = memo(function SeasonStrip({ draft, seasons, current, onChoose, onPut }: Props) {
  const made = seasons ?? none
  const weeks = weeksOf(draft, made.own, made.events)
  const [stave, setStave] = useState<Stave>('sets')
  const scale = scaleOf(stave, made)
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
      <Legend stave={stave} laid={made.laid} onStave={setStave} />
      <div className="mt-1 flex min-h-33 items-end gap-1" data-strip>
        {weeks.map((week) => (
          <StripWeek
            key={week.week}
            week={week}
            scale={scale}
            laid={levelsOf(stave, made, week.week)}
            isCurrent={week.week === current}
            onChoose={() => onChoose(week.week)}
            onPress={(event) => press(event, week.week)}
            onDeload={() => onPut((now) => actOn(now, week.week, deloadOn))}
          />
        ))}
      </div>
      <div className="mt-0.5 flex gap-1 text-xs text-bark">
        {draft.phases.map((phase) => (
          <PhaseEdge key={phase.id} phase={phase} first={firstOf(draft, phase)} onPut={onPut} />
        ))}
        {draft.later?.map((phase) => (
          <span key={phase.name} className="border-l border-dashed border-edge pl-1 whitespace-nowrap italic">
            {sayLater(phase)}: to be written
          </span>
        ))}
      </div>
      <p className="sr-only" role="status">
        {staveOf[stave].title}
      </p>
    </section>
  )
})

const none: Seasons = { own: [], laid: [], events: {} }

/** From nothing to the highest week; percents from a little below the lowest, or all would look alike. */
function scaleOf(stave: Stave, { own, laid }: Seasons): Scale {
  const all = [own, ...laid.map(({ weeks }) => weeks)].flat().map((week) => staveOf[stave].value(week) ?? 0)
  const most = Math.max(...all, 1)
  const least = stave === 'intensity' ? Math.max(0, Math.min(...all.filter((one) => one > 0), most) - 20) : 0
  return { stave, least, most }
}

const levelsOf = (stave: Stave, { laid }: Seasons, week: number) =>
  laid.map(({ name, weeks }) => {
    const same = weeks.find((one) => one.week === week)
    return { name, level: same ? staveOf[stave].value(same) : null }
  })

type LegendProps = { stave: Stave; laid: Seasons['laid']; onStave: (stave: Stave) => void }

/** What the staves stand for, and the deload that is dragged onto a week. */
const Legend = ({ stave, laid, onStave }: LegendProps) => (
  <div className="flex flex-wrap items-baseline gap-x-4 text-xs text-bark">
    <label className="flex items-center gap-2">
      Height:
      <Select
        value={stave}
        options={staves.map((one) => [one, staveOf[one].title])}
        onChoose={onStave}
        className="px-1.5 py-0.5"
      />
    </label>
    <span>Fuller colour: higher percent of the 1RM. Dashed: deload.</span>
    {laid.map(({ name }, i) => (
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
    <span className="ml-auto">On a week: + − longer, shorter; L deload; S split; R repeat; N new phase.</span>
  </div>
)

const firstOf = ({ phases }: Template, phase: Phase): number =>
  phases.slice(0, phases.indexOf(phase)).reduce((sum, one) => sum + nominalWeeks(one), 1)
