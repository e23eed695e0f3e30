import { useState } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { isSameLift, liftKey, liftName, type Lift } from '@young-oak/core/library'
import { formatLoad, typedNumber } from '@young-oak/core/units'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { Field } from '../../ui/Field.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { SayTarget } from './LiftProgress.tsx'
import { useGive } from './useGive.ts'

type Props = { view: ProgressView; member?: string }

/** Goals for the sum of several lifts, and one more. */
export function TotalGoals({ view: { totals, lifts, unit }, member }: Props) {
  const library = useLibrary()
  const { give, isBusy } = useGive(member)
  const named = (some: Lift[]) => some.map((lift) => liftName(library, lift)).join(' + ')
  if (lifts.length < 2) return null
  return (
    <article className="rounded-lg border border-line bg-sheet p-4">
      <h3 className="text-lg">Totals</h3>
      {totals.map((target) => (
        <div key={target.goal.lifts.map(liftKey).join()} className="mt-2">
          <p>
            {named(target.goal.lifts)}
            {target.now !== null && `: ${formatLoad({ value: Math.round(target.now), unit })} now`}
          </p>
          <SayTarget
            target={target}
            unit={unit}
            isBusy={isBusy}
            onGiveUp={() =>
              void give({ kind: 'totalGoal', lifts: target.goal.lifts, to: null }, 'The goal is deleted.')
            }
          />
        </div>
      ))}
      <TotalForm lifts={lifts.map(({ lift }) => lift)} unit={unit} member={member} />
    </article>
  )
}

type FormProps = { lifts: Lift[]; unit: ProgressView['unit']; member?: string }

function TotalForm({ lifts, unit, member }: FormProps) {
  const library = useLibrary()
  const { give, isBusy } = useGive(member)
  const [chosen, setChosen] = useState<Lift[]>([])
  const [typed, setTyped] = useState({ to: '', by: '' })
  const [fault, setFault] = useState<string>()
  const save = async () => {
    const to = typedNumber(typed.to)
    if (chosen.length < 2 || chosen.length > 6) return setFault('Choose two to six lifts.')
    if (typeof to !== 'number' || to <= 0 || to > 1000)
      return setFault(`A load above 0, at most 1000 ${unit}.`)
    setFault(undefined)
    const by = typed.by ? { by: typed.by } : {}
    const fact = { kind: 'totalGoal', lifts: chosen, to: { value: to, unit }, ...by }
    if (!(await give(fact, 'The goal is set.'))) return
    setChosen([])
    setTyped({ to: '', by: '' })
  }
  return (
    <Details title="Set a goal for a total" className="mt-2">
      <form
        noValidate
        className="grid grid-cols-2 items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <fieldset className="col-span-2">
          <legend className="text-sm font-medium">Lifts that are added up</legend>
          {lifts.map((lift) => (
            <label key={liftKey(lift)} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                checked={chosen.some((one) => isSameLift(one, lift))}
                onChange={({ target }) =>
                  setChosen(
                    target.checked ? [...chosen, lift] : chosen.filter((one) => !isSameLift(one, lift)),
                  )
                }
              />
              {liftName(library, lift)}
            </label>
          ))}
        </fieldset>
        <Field
          label={`Total, ${unit}`}
          inputMode="decimal"
          value={typed.to}
          error={fault}
          onChange={(event) => setTyped({ ...typed, to: event.target.value })}
        />
        <Field
          label="By (optional)"
          type="date"
          value={typed.by}
          onChange={(event) => setTyped({ ...typed, by: event.target.value })}
        />
        <Button type="submit" look="plain" className="col-span-2 min-h-11" disabled={isBusy}>
          Set the total
        </Button>
      </form>
    </Details>
  )
}
