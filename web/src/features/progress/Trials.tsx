import { useLibrary } from '../library/useLibrary.ts'
import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { liftName } from '@young-oak/core/library'
import { formatDay } from '@young-oak/core/units'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { TrialForm } from './TrialForm.tsx'
import { useGive } from './useGive.ts'

type Props = { view: ProgressView; member?: string }

/** Trials: two spells that differ in one thing, side by side by the same measures, ending in a decision that is kept. */
export function Trials({ view, member }: Props) {
  return (
    <section aria-label="Comparisons">
      <h2 className="text-xl">Comparisons</h2>
      <p className="text-sm text-bark">
        Two periods of training that differ in one thing, compared by the same measures. One person’s weeks
        are often too few to tell; then the result says so.
      </p>
      <div className="mt-2 grid gap-4">
        {view.trials.map((trial) => (
          <TrialCard key={trial.id} trial={trial} unit={view.unit} member={member} />
        ))}
      </div>
      <TrialForm view={view} member={member} />
    </section>
  )
}

type Trial = ProgressView['trials'][number]

type Side = Trial['result']['first']
type CardProps = { trial: Trial; unit: string; member?: string }

function TrialCard({ trial, unit, member }: CardProps) {
  const { name, differs, result, decision } = trial
  return (
    <article className="rounded-lg border border-line bg-sheet p-4">
      <h3 className="text-lg">{name}</h3>
      <p className="text-sm text-bark">Difference: {differs}</p>
      <Measures trial={trial} unit={unit} />
      <p className="mt-2 text-sm">{result.say}</p>
      {decision ? (
        <p className="mt-2 rounded bg-leaf-wash px-3 py-2 text-sm">
          Decided on {formatDay(decision.date)}:{' '}
          {decision.chosen === 'neither' ? 'neither' : `the ${decision.chosen}`}.
          {decision.note && ` ${decision.note}`}
        </p>
      ) : (
        <Decide trial={trial} member={member} />
      )}
    </article>
  )
}

/** Both periods by the same measures, side by side. */
function Measures({ trial: { first, second, result }, unit }: Omit<CardProps, 'member'>) {
  const library = useLibrary()
  const gains = (side: Side) =>
    result.lifts
      .map((lift, i) => {
        const gain = side.gains[i]
        return `${liftName(library, lift)} ${gain ? `${signed(gain.value)} ± ${Math.round(gain.error * 100) / 100} ${unit} a week` : 'too few'}`
      })
      .join(', ')
  const rows: [string, (side: Side) => string][] = [
    ['Sessions', ({ sessions }) => String(sessions)],
    ['Sets met as asked', ({ hitPercent }) => (hitPercent === null ? 'nothing judged' : `${hitPercent}%`)],
    ['How hard, 0 to 10', ({ hardness }) => (hardness === null ? 'no answer' : String(hardness))],
    ['Gain in e1RM', gains],
  ]
  return (
    <table className="mt-2 w-full text-sm">
      <thead className="text-left text-bark">
        <tr>
          <td />
          <th scope="col" className="py-1 font-medium">
            First, {formatDay(first.from)} to {formatDay(first.to)}
          </th>
          <th scope="col" className="py-1 font-medium">
            Second, {formatDay(second.from)} to {formatDay(second.to)}
          </th>
        </tr>
      </thead>
      <tbody className="divide-y divide-line">
        {rows.map(([label, say]) => (
          <tr key={label}>
            <th scope="row" className="py-1 pr-2 text-left align-top font-normal">
              {label}
            </th>
            <td className="py-1 pr-2 align-top">{say(result.first)}</td>
            <td className="py-1 align-top">{say(result.second)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Which of the two goes on, with a note; or the comparison is deleted. */
function Decide({ trial: { id, result }, member }: Omit<CardProps, 'unit'>) {
  const { give, takeBack, isBusy } = useGive(member)
  const [note, setNote] = useState('')
  const decide = (chosen: 'first' | 'second' | 'neither') =>
    give(
      { kind: 'decision', trial: id, chosen, note: `${note.trim() || result.say}`.slice(0, 500) },
      'Decision saved.',
    )
  return (
    <div className="mt-2">
      <Field
        label="Note on the decision (optional)"
        value={note}
        maxLength={500}
        onChange={(event) => setNote(event.target.value)}
      />
      <p className="mt-2 flex flex-wrap gap-2">
        {(['first', 'second', 'neither'] as const).map((chosen) => (
          <Button
            key={chosen}
            look="plain"
            className="min-h-11"
            disabled={isBusy}
            onClick={() => void decide(chosen)}
          >
            {chosen === 'neither' ? 'Neither' : `Choose the ${chosen}`}
          </Button>
        ))}
        <Button look="quiet" className="min-h-11" disabled={isBusy} onClick={() => void takeBack(id)}>
          Delete comparison
        </Button>
      </p>
    </div>
  )
}

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(Math.round(value * 100) / 100)}`
