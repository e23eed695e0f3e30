import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { MemberFile } from '@young-oak/api/members'
import type { Id } from '@young-oak/core/parsing'
import { liftName, type Library } from '@young-oak/core/library'
import type { WeekTally } from '@young-oak/core/views'
import type { Command, Template } from '@young-oak/core/template'
import { formatLoad, formatNumber } from '@young-oak/core/units'
import { today } from '../../../app/today.ts'
import { ForecastChart } from '../../../charts/ForecastChart.tsx'
import { SelectField } from '../../../ui/Select.tsx'
import type { Forecast } from '../../../workers/forecast.ts'
import { useAsked } from './useAsked.ts'

type Props = {
  draft: Template
  template: string
  /** Whose loads they are, and how that person is called. */
  file: MemberFile
  /** What is being typed, as the command it would be; null where it is no rule yet or nothing else than what stands. */
  trial: Command | null
  slots: Id[]
}

/** All weeks of a slot under four suppositions, side by side; and with another rule beside what stands, what both come to. */
export function RulePreview({ draft, template, file, trial, slots }: Props) {
  const library = useLibrary()
  const [slot, setSlot] = useState(slots[0] ?? '')
  const [week, setWeek] = useState(4)
  const { seen: forecast, hasFailed } = useAsked(
    { draft, template, file },
    JSON.stringify([trial, slot, week]),
    (planner) => planner.forecast(today(), trial, slot, week),
  )
  const left = forecast?.columns[0]?.weeks.length ?? 0
  const isPast = left > 0 && week > left
  if (!slots.length) return null
  const columns = forecast?.columns ?? []
  const hasLoads = columns.some(({ weeks }) => weeks.some(({ text }) => /@ [\d.]/.test(text)))
  return (
    <section aria-label="Preview" className="min-w-0">
      <h3 className="text-lg">Loads and sets by week</h3>
      <p className="text-sm text-bark">For {file.name ?? 'this member'}, from today, all remaining weeks.</p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        {slots.length > 1 && (
          <SelectField
            label="Exercise"
            value={slot}
            options={slots.map((id) => [id, nameOf(library, draft, id)])}
            onChoose={setSlot}
          />
        )}
        <SelectField
          label="Misses or absence in"
          value={String(week)}
          hint={isPast ? `Only ${left} ${left === 1 ? 'week remains' : 'weeks remain'}.` : undefined}
          options={Array.from({ length: Math.max(12, left) }, (_, i) => [
            String(i + 1),
            `week ${i + 1} from now`,
          ])}
          onChoose={(to) => setWeek(Number(to))}
        />
      </div>
      {!forecast && (
        <p role="status" className="mt-3 text-bark">
          {hasFailed
            ? 'The weeks could not be worked out. They are tried again with the next change.'
            : 'Working it out…'}
        </p>
      )}
      {forecast && columns.every(({ weeks }) => !weeks.length) && (
        <p className="mt-3 text-bark">This exercise has no weeks left for this member.</p>
      )}
      {forecast && columns.some(({ weeks }) => weeks.length > 0) && (
        <>
          <div className="mt-3">
            <ForecastChart
              what={hasLoads ? `Heaviest load, ${forecast.unit}` : 'Sets'}
              series={columns.map(({ title, weeks }) => ({ title, points: weeks }))}
            />
          </div>
          <div className="mt-3 max-h-80 overflow-auto" tabIndex={0} aria-label="The weeks as a table">
            <WeekTable columns={columns} />
          </div>
          {forecast.tried && <Compare now={forecast.now} tried={forecast.tried} />}
        </>
      )}
    </section>
  )
}

function nameOf(library: Library, { slots, sessions }: Template, id: Id): string {
  const session = Object.values(sessions).find(({ sections: parts }) =>
    parts.some((part) => part.slots.includes(id)),
  )
  const slot = slots[id]
  return slot ? `${liftName(library, slot)}${session ? `, ${session.name}` : ''}` : id
}

function WeekTable({ columns }: Pick<Forecast, 'columns'>) {
  const weeks = [...new Set(columns.flatMap((column) => column.weeks.map(({ week }) => week)))].sort(
    (a, b) => a - b,
  )
  return (
    <table className="w-full text-sm">
      <thead className="sticky top-0 bg-sheet text-left text-bark">
        <tr>
          <th className="py-1 pr-2 font-medium">Week</th>
          {columns.map(({ title, says }) => (
            <th key={title} title={says} className="py-1 pr-3 font-medium">
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="divide-y divide-line">
        {weeks.map((week) => (
          <tr key={week}>
            <td className="py-1 pr-2 text-right align-top">{week}</td>
            {columns.map(({ title, weeks: own }) => {
              const seen = own.find((one) => one.week === week)
              const became = seen?.supposed?.includes('miss')
                ? 'miss'
                : seen?.supposed?.includes('skip')
                  ? 'away'
                  : null
              return (
                <td key={title} className="py-1 pr-3 align-top">
                  {seen?.text ?? ''}
                  {seen?.deload && <span className="text-mist"> deload</span>}
                  {became && <span className="text-brick"> {became}</span>}
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Two ways of loading a slot: what each comes to in a week, in the mean, and where it comes nearest to the limit. */
function Compare({ now, tried }: { now: WeekTally[]; tried: WeekTally[] }) {
  const rows: [string, (tally: WeekTally[]) => string][] = [
    ['Total reps', (tally) => formatNumber(sum(tally, ({ reps }) => reps))],
    ['Sets in all', (tally) => formatNumber(sum(tally, ({ sets }) => sets))],
    ['Tonnage in all', sayTonnage],
    [
      'Session minutes a week',
      (tally) => formatNumber(sum(tally, ({ minutes }) => minutes) / (tally.length || 1)),
    ],
    ['Closest to the max', sayNearest],
  ]
  return (
    <table className="mt-4 w-full text-sm">
      <caption className="text-left font-medium">Now and changed, if all goes to plan</caption>
      <thead className="text-left text-bark">
        <tr>
          <td />
          <th className="py-1 text-right font-medium">As it is now</th>
          <th className="py-1 text-right font-medium">With this change</th>
        </tr>
      </thead>
      <tbody className="divide-y divide-line">
        {rows.map(([label, say]) => (
          <tr key={label}>
            <th className="py-1 text-left font-normal">{label}</th>
            <td className="py-1 text-right">{say(now)}</td>
            <td className="py-1 text-right">{say(tried)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const sum = (tally: WeekTally[], of: (week: WeekTally) => number): number =>
  tally.reduce((all, week) => all + of(week), 0)

function sayTonnage(tally: WeekTally[]): string {
  const unit = tally.find(({ tonnage }) => tonnage)?.tonnage?.unit
  return unit
    ? formatLoad({ value: Math.round(sum(tally, ({ tonnage }) => tonnage?.value ?? 0)), unit })
    : 'no loads'
}

function sayNearest(tally: WeekTally[]): string {
  const [most] = [...tally]
    .filter(({ nearness }) => nearness !== null)
    .sort((a, b) => (b.nearness ?? 0) - (a.nearness ?? 0))
  return most ? `${Math.round(most.nearness ?? 0)}% of the max, week ${most.week}` : 'no max'
}
