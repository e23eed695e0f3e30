import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { liftName } from '@young-oak/core/library'
import type { Target } from '@young-oak/core/trends'
import { formatDay, formatLoad, formatNumber, type Unit } from '@young-oak/core/units'
import { EstimateChart } from '../../charts/EstimateChart.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { typedNumber } from '../../ui/typedNumber.ts'
import { useGive } from './useGive.ts'

type Line = ProgressView['lifts'][number]
type Props = { line: Line; unit: Unit; member?: string }

/** A lift's estimated max over time, with the goal that was set for it and what the past weeks point to. */
export function LiftProgress({ line: { lift, seen, target }, unit, member }: Props) {
  const [isSetting, setSetting] = useState(false)
  const { give, isBusy } = useGive(member)
  const last = seen.at(-1)
  return (
    <article className="rounded-lg border border-line bg-sheet p-4">
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="grow text-lg">{liftName(lift)}</h3>
        {last && (
          <span className="text-bark">
            {formatNumber(last.value)} {unit} estimated, {formatDay(last.date)}
          </span>
        )}
      </header>
      {seen.length > 1 ? (
        <EstimateChart seen={seen} target={target} unit={unit} label={liftName(lift)} />
      ) : (
        <p className="mt-1 text-sm text-bark">
          {seen.length ? 'One day says nothing of a trend yet.' : 'No set has said anything of this max yet.'}
        </p>
      )}
      {target && <SayTarget target={target} unit={unit} />}
      {isSetting ? (
        <GoalForm
          unit={unit}
          isBusy={isBusy}
          onCancel={() => setSetting(false)}
          onSave={async (to, by) => {
            const fact = { kind: 'goal', ...lift, to: { value: to, unit }, ...(by && { by }) }
            if (await give(fact, `${liftName(lift)}: the goal is set.`)) setSetting(false)
          }}
        />
      ) : (
        <p className="mt-2 flex flex-wrap gap-x-4">
          <Button look="quiet" className="-ml-3.5 min-h-11" onClick={() => setSetting(true)}>
            {target ? 'Change the goal' : 'Set a goal'}
          </Button>
          {target && (
            <Button
              look="quiet"
              className="min-h-11"
              disabled={isBusy}
              onClick={() => void give({ kind: 'goal', ...lift, to: null }, `${liftName(lift)}: no goal.`)}
            >
              Give it up
            </Button>
          )}
        </p>
      )}
    </article>
  )
}

const verdicts: Record<Target['verdict'], string> = {
  reached: 'Reached.',
  'on course': 'On course.',
  'within reach': 'Within what might be, but above what the past weeks point to.',
  'out of reach': 'Out of what the past weeks point to: give it more time, or lower it.',
  'cannot tell':
    'Too little to tell: it takes four days of training over two weeks, and a day no more than twelve weeks ahead.',
}

function SayTarget({ target, unit }: { target: Target; unit: Unit }) {
  const { goal, gainPercent, needsPerWeek, ownPerWeek, projected, verdict } = target
  const perWeek = (value: number) => `${value < 0 ? '−' : '+'}${formatNumber(Math.abs(value))} ${unit} a week`
  return (
    <div className="mt-1 text-sm">
      <p>
        Goal: {formatLoad(goal.to)}
        {goal.by && ` by ${formatDay(goal.by)}`}
        {gainPercent !== null &&
          ` (${gainPercent < 0 ? '−' : '+'}${Math.abs(gainPercent)}% from ${formatDay(goal.set)})`}
        . <strong>{verdicts[verdict]}</strong>
      </p>
      <p className="text-bark">
        {needsPerWeek !== null && `It needs ${perWeek(needsPerWeek)}. `}
        {ownPerWeek &&
          `The last ${ownPerWeek.weeks} weeks brought ${perWeek(ownPerWeek.value)} (give or take ${formatNumber(ownPerWeek.error)}). `}
        {projected &&
          `On the day: ${formatNumber(projected.value)} ${unit}, 8 times in 10 between ${formatNumber(projected.low)} and ${formatNumber(projected.high)}, if it goes on so; gains slow down as one gets stronger.`}
      </p>
    </div>
  )
}

type GoalProps = {
  unit: Unit
  isBusy: boolean
  onCancel: () => void
  onSave: (to: number, by: string) => Promise<void>
}

function GoalForm({ unit, isBusy, onCancel, onSave }: GoalProps) {
  const [typed, setTyped] = useState({ to: '', by: '' })
  const [fault, setFault] = useState<string>()
  const save = () => {
    const to = typedNumber(typed.to)
    if (typeof to !== 'number' || to <= 0 || to > 1000)
      return setFault(`A load above 0, at most 1000 ${unit}.`)
    setFault(undefined)
    void onSave(to, typed.by)
  }
  return (
    <form
      noValidate
      className="mt-2 grid grid-cols-2 items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <Field
        label={`Estimated max, ${unit}`}
        inputMode="decimal"
        autoFocus
        value={typed.to}
        error={fault}
        onChange={(event) => setTyped({ ...typed, to: event.target.value })}
      />
      <Field
        label="By (may be left out)"
        type="date"
        value={typed.by}
        onChange={(event) => setTyped({ ...typed, by: event.target.value })}
      />
      <Button type="submit" className="min-h-11" disabled={isBusy}>
        Set the goal
      </Button>
      <Button look="plain" className="min-h-11" onClick={onCancel}>
        Cancel
      </Button>
    </form>
  )
}
