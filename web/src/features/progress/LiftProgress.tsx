import { useLibrary } from '../library/useLibrary.ts'
import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { liftName } from '@young-oak/core/library'
import type { BlockOf } from '@young-oak/core/facts'
import { evidenceOf, type Block, type Target, type TotalTarget } from '@young-oak/core/trends'
import { formatDay, formatLoad, formatNumber, type Load, type Unit, typedNumber } from '@young-oak/core/units'
import { today } from '../../app/today.ts'
import { EstimateChart } from '../../charts/EstimateChart.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field, PhoneSelect } from '../../ui/Field.tsx'
import { useGive } from './useGive.ts'

type Line = ProgressView['lifts'][number]
type Props = { line: Line; blocks: Block[]; unit: Unit; member?: string }

/** A lift's estimated max over time, with the goals that were set for it and what the past weeks point to. */
export function LiftProgress({ line: { lift, seen, targets, max }, blocks, unit, member }: Props) {
  const library = useLibrary()
  const [isSetting, setSetting] = useState(false)
  const { give, isBusy } = useGive(member)
  const last = evidenceOf(seen).at(-1)
  const isOpen = seen.some(({ atLeast }) => atLeast)
  return (
    <article className="rounded-lg border border-line bg-sheet p-4">
      <header className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="grow text-lg">{liftName(library, lift)}</h3>
        {last && (
          <span className="text-bark">
            e1RM {sayEstimate(last.value, unit)}, {formatDay(last.date)}
          </span>
        )}
      </header>
      {seen.length > 1 ? (
        <>
          <EstimateChart seen={seen} target={soonest(targets)} unit={unit} label={liftName(library, lift)} />
          {isOpen && (
            <p className="text-sm text-bark">
              Hollow: no RIR was logged, so the e1RM is at least this. Log the RIR, and the day counts.
            </p>
          )}
        </>
      ) : (
        <p className="mt-1 text-sm text-bark">
          {seen.length ? 'One day is not a trend yet.' : 'No set gives an e1RM for this lift yet.'}
          {!seen.length && max && ` Its 1RM is ${formatLoad(max.load)}, of ${formatDay(max.date)}.`}
        </p>
      )}
      {targets.map((target) => (
        <SayTarget
          key={JSON.stringify(target.goal.block ?? null)}
          target={target}
          unit={unit}
          isBusy={isBusy}
          onGiveUp={() => {
            const { block } = target.goal
            void give(
              { kind: 'goal', ...lift, to: null, ...(block && { block }) },
              `${liftName(library, lift)}: no goal.`,
            )
          }}
        />
      ))}
      {isSetting ? (
        <GoalForm
          unit={unit}
          blocks={blocks}
          isBusy={isBusy}
          onCancel={() => setSetting(false)}
          isKnown={seen.length > 0 || max !== undefined}
          onSave={async (to, until) => {
            const fact = { kind: 'goal', ...lift, ...to, ...until }
            if (await give(fact, `${liftName(library, lift)}: the goal is set.`)) setSetting(false)
          }}
        />
      ) : (
        <Button look="quiet" className="-ml-3.5 mt-2 min-h-11" onClick={() => setSetting(true)}>
          {targets.length ? 'Set another goal' : 'Set a goal'}
        </Button>
      )}
    </article>
  )
}

/** No more digits than a bar can hold: half a kilogram, or a pound. */
const sayEstimate = (value: number, unit: Unit): string =>
  `${formatNumber(unit === 'kg' ? Math.round(value * 2) / 2 : Math.round(value))} ${unit}`

/** The goal that is due next is the one that is drawn. */
const soonest = (targets: Target[]): Target | undefined =>
  targets
    .filter(({ verdict }) => verdict !== 'missed')
    .sort((a, b) => (a.goal.by ?? '9').localeCompare(b.goal.by ?? '9'))[0]

const verdicts: Record<Target['verdict'], string> = {
  reached: 'Reached.',
  missed: 'Not reached by then.',
  'already there': 'The goal is no higher than your e1RM on the day you set it: set a higher goal.',
  'on course': 'On course.',
  'within reach': 'Possible, but faster than your past weeks.',
  'out of reach': 'Much faster than your past weeks: set a later day, or a lower goal.',
  'cannot tell':
    'Too few data: a forecast needs four training days over two weeks, and a day within twelve weeks.',
}

type TargetProps = { target: Target | TotalTarget; unit: Unit; isBusy: boolean; onGiveUp: () => void }

/** A goal, what it asks, and what the past weeks point to. */
export function SayTarget({ target, unit, isBusy, onGiveUp }: TargetProps) {
  const { gainPercent, needsPerWeek, ownPerWeek, projected, verdict } = target
  const { from, set, to } = target.goal
  const gain = 'gain' in target.goal ? target.goal.gain : undefined
  const perWeek = (value: number) => `${value < 0 ? '−' : '+'}${formatNumber(Math.abs(value))} ${unit} a week`
  return (
    <div className="mt-2 text-sm">
      <p>
        Goal: {formatLoad(to)}
        {gain !== undefined && `, ${formatNumber(gain)}% more`}
        {sayUntil(target)}
        {from &&
          gainPercent !== null &&
          ` (${gainPercent < 0 ? '−' : '+'}${Math.abs(gainPercent)}% from ${formatLoad(from)} on ${formatDay(set)})`}
        . <strong>{verdicts[verdict]}</strong>
      </p>
      <p className="text-bark">
        {!!needsPerWeek && `It needs ${perWeek(needsPerWeek)}. `}
        {ownPerWeek &&
          `The last ${ownPerWeek.weeks} weeks brought ${perWeek(ownPerWeek.value)} (give or take ${formatNumber(ownPerWeek.error)}). `}
        {projected &&
          `On the day: ${formatNumber(Math.round(projected.value))} ${unit}, 8 times in 10 between ${formatNumber(Math.round(projected.low))} and ${formatNumber(Math.round(projected.high))}, if the trend continues; gains slow down as you get stronger.`}
      </p>
      <Button
        look="quiet"
        className="-ml-3.5 min-h-11"
        disabled={isBusy}
        aria-label={`Delete the goal: ${formatLoad(to)}${sayUntil(target)}`}
        onClick={onGiveUp}
      >
        Delete goal
      </Button>
    </div>
  )
}

function sayUntil({ goal, block }: Target | TotalTarget): string {
  if (block)
    return ` by the end of ${block.name}, ${block.ends < today() ? '' : 'about '}${formatDay(block.ends)}`
  if ('block' in goal && goal.block) return ' in a phase that is no longer planned'
  return goal.by ? ` by ${formatDay(goal.by)}` : ''
}

/** The goal that was typed, or what is wrong with it. */
function goalOf(as: string, typed: string, unit: Unit): { to: Load } | { gain: number } | string {
  const value = typedNumber(typed)
  const most = as === 'gain' ? 100 : 1000
  const least = as === 'gain' ? 0.5 : 0
  if (typeof value !== 'number' || value <= 0 || value < least || value > most)
    return as === 'gain' ? 'A gain from 0.5 to 100%.' : `A load above 0, at most 1000 ${unit}.`
  return as === 'gain' ? { gain: value } : { to: { value, unit } }
}

type Until = { by?: string; block?: BlockOf }
type GoalProps = {
  unit: Unit
  blocks: Block[]
  isBusy: boolean
  onCancel: () => void
  /** There is an e1RM or a max that a gain can be on. */
  isKnown: boolean
  onSave: (to: { to: Load } | { gain: number }, until: Until) => Promise<void>
}

function GoalForm({ unit, blocks, isBusy, isKnown, onCancel, onSave }: GoalProps) {
  const [typed, setTyped] = useState({ as: 'load', to: '', until: 'day', by: '' })
  const [fault, setFault] = useState<string>()
  const save = () => {
    const to = goalOf(typed.as, typed.to, unit)
    if (typeof to === 'string') return setFault(to)
    setFault(undefined)
    const block = blocks[Number(typed.until)]
    if (block) void onSave(to, { block: { enrolment: block.enrolment, phase: block.phase } })
    else void onSave(to, typed.by ? { by: typed.by } : {})
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
      {isKnown && (
        <PhoneSelect
          label="Goal as"
          className="col-span-2"
          value={typed.as}
          onChange={(event) => setTyped({ ...typed, as: event.target.value })}
        >
          <option value="load">an estimated max</option>
          <option value="gain">a gain in percent</option>
        </PhoneSelect>
      )}
      <Field
        label={typed.as === 'gain' ? 'Gain, %' : `Estimated max, ${unit}`}
        inputMode="decimal"
        className="col-span-2"
        autoFocus
        value={typed.to}
        error={fault}
        onChange={(event) => setTyped({ ...typed, to: event.target.value })}
      />
      <PhoneSelect
        label="Until"
        className="col-span-2"
        value={typed.until}
        onChange={(event) => setTyped({ ...typed, until: event.target.value })}
      >
        <option value="day">a day</option>
        {blocks.map(({ enrolment, phase, name, ends }, at) => (
          <option key={`${enrolment}/${phase}`} value={at}>
            the end of {name}, about {formatDay(ends)}
          </option>
        ))}
      </PhoneSelect>
      {typed.until === 'day' && (
        <Field
          label="By (optional)"
          type="date"
          className="col-span-2"
          value={typed.by}
          onChange={(event) => setTyped({ ...typed, by: event.target.value })}
        />
      )}
      <Button type="submit" className="min-h-11" disabled={isBusy}>
        Set the goal
      </Button>
      <Button look="plain" className="min-h-11" onClick={onCancel}>
        Cancel
      </Button>
    </form>
  )
}
