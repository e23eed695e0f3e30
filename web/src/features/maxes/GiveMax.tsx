import { useLibrary } from '../library/useLibrary.ts'
import { useState } from 'react'
import { toast } from '../../ui/toast.ts'
import type { MaxesView } from '@young-oak/api/maxes'
import { takesMax } from '@young-oak/core/library'
import { defaultFormula, mostInReserve, type FormulaKind } from '@young-oak/core/maxes'
import { addLoad, type Load, type Unit, typedNumber } from '@young-oak/core/units'
import { ExercisePicker } from '../library/ExercisePicker.tsx'
import { api } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { SpreadPicture } from '../../charts/SpreadPicture.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { Alert } from '../../ui/Alert.tsx'
import { SetFields } from '../../ui/SetFields.tsx'
import { waitsWords } from '../../offline/enter.ts'
import { isOnBody, readMax, type TypedMax } from './readMax.ts'
import { useGiveLoad } from './useGiveLoad.ts'

type Props = { unit: Unit; exercise: string; member?: string; body: MaxesView['body'] }

/** What is typed of a max, and how it is saved. */
function useGiveMax({ unit, exercise, member }: Props) {
  const library = useLibrary()
  const [typed, setTyped] = useState<TypedMax>({
    exercise,
    variant: '',
    load: '',
    unit,
    reps: '1',
    rir: '0',
    formula: defaultFormula,
    date: today(),
  })
  const [faults, setFaults] = useState<Record<string, string>>({})
  const [fault, setFault] = useState<string | null>(null)
  const { give, isLoading } = useGiveLoad(member)
  const [readMaxes] = api.useLazyMaxesQuery()
  const put = (change: Partial<TypedMax>) => setTyped({ ...typed, ...change })
  const submit = async () => {
    const { given, errors } = readMax(library, typed)
    setFaults(errors)
    if (!given) return
    const entered = await give({ kind: 'max', given })
    setFault(null)
    if (entered.result === 'refused') {
      setFaults(entered.errors)
      return setFault(Object.keys(entered.errors).length ? null : entered.reason)
    }
    put({ load: '', reps: '1', rir: '0' })
    if (entered.result === 'waits') return toast(waitsWords)
    const { data } = await readMaxes({ day: today(), ...(member !== undefined && { member }) })
    const isLower = data?.proposals.some(
      ({ exercise: lift, how, date }) =>
        lift === given.exercise && how === 'lower test' && date === given.date,
    )
    toast(
      isLower
        ? 'Saved. It is below the max in use, so loads change only after you accept it.'
        : 'Saved. Your next session uses it.',
    )
  }
  return { typed, faults, fault, isLoading, put, submit }
}

/** A form for one max: a single, or a set with its estimate by every formula. */
export function GiveMax(props: Props) {
  const { body } = props
  const library = useLibrary()
  const { typed, faults, fault, isLoading, put, submit } = useGiveMax(props)
  const goesOnBody = isOnBody(library, typed.exercise)
  return (
    <form
      noValidate
      aria-label="Add a max"
      className="grid gap-4 rounded-lg border border-line bg-sheet p-5"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      <h2 className="text-xl">Add a max</h2>
      <ExercisePicker
        label="Lift"
        placeholder="choose a lift"
        value={typed.exercise}
        error={faults.exercise}
        fits={(exercise) => takesMax(library, { exercise })}
        onChoose={(exercise) => put({ exercise })}
      />
      <Field
        label="Variant (optional)"
        placeholder="paused, to a box…"
        value={typed.variant}
        error={faults.variant}
        onChange={(event) => put({ variant: event.target.value })}
      />
      {goesOnBody && (
        <p className="text-sm text-bark">
          Enter the load added to body weight: 0 for body weight alone, below 0 for assistance.
        </p>
      )}
      <SetFields
        typed={typed}
        errors={{ load: faults['load.value'], reps: faults.reps, rir: faults.rir }}
        onType={put}
      />
      {(!goesOnBody || body) && (
        <Estimate
          typed={typed}
          body={goesOnBody ? body?.load : undefined}
          onFormula={(formula) => put({ formula })}
        />
      )}
      <Field
        label="When"
        type="date"
        value={typed.date}
        max={today()}
        error={faults.date}
        onChange={(event) => put({ date: event.target.value })}
      />
      <Alert>{fault}</Alert>
      <Button type="submit" size="thumb" disabled={isLoading}>
        Save this max
      </Button>
      <p className="text-sm text-bark">
        Heavy singles need a spotter or safety bars and collars, and are not for beginners, nor when ill or in
        pain: give a set of about 5 instead.
      </p>
    </form>
  )
}

type EstimateProps = { typed: TypedMax; body?: Load; onFormula: (formula: FormulaKind) => void }

/** The estimate as it would be stored, by the chosen formula, among the others; of a body-weight lift with the body. */
function Estimate({ typed, body, onFormula }: EstimateProps) {
  const [value, reps, rir] = [typed.load, typed.reps, typed.rir || '0'].map(typedNumber)
  if (typeof value !== 'number' || typeof reps !== 'number' || typeof rir !== 'number') return null
  if ((value <= 0 && !body) || reps < 1 || rir < 0 || rir > mostInReserve) return null
  const given: Load = { value: Math.abs(value), unit: typed.unit }
  const load = body ? addLoad(body, given, value < 0) : given
  return <SpreadPicture load={load} reps={reps} inReserve={rir} chosen={typed.formula} onChoose={onFormula} />
}
