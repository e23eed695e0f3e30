import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { toast } from 'sonner'
import { maxSchema, type GivenMax, type MaxesView } from '@young-oak/api/training'
import { exercises, exerciseIds, isExercise, liftName, type ExerciseId } from '@young-oak/core/library'
import {
  defaultFormula,
  estimate,
  formulaKinds,
  formulaOf,
  mostReps,
  type FormulaKind,
} from '@young-oak/core/maxes'
import { formatDay, formatLoad, type Load, type Unit } from '@young-oak/core/units'
import { ValidationError } from 'yup'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectField } from '../../ui/Field.tsx'
import { Toasts } from '../../ui/Toasts.tsx'

type Typed = { exercise: string; load: string; unit: Unit; reps: string; formula: FormulaKind; date: string }

/** The member's maxes: which are in force, what training suggests, and a form to give one. */
export default function MaxesPage() {
  const { data, error, isLoading, refetch } = api.useMaxesQuery(today())
  const [search] = useSearchParams()
  if (isLoading) return <p className="p-6 text-bark">Loading …</p>
  if (!data) {
    return (
      <main className="mx-auto max-w-lg p-6">
        <h1 className="text-2xl">Maxes</h1>
        <p className="my-3 text-bark">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  const wanted = search.get('lift') ?? data.needed[0]?.exercise ?? ''
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-10 px-4 py-6 md:grid-cols-2">
      <section>
        <h1 className="text-3xl">Maxes</h1>
        <p className="mt-1 text-bark">Every load of your program is worked out from these.</p>
        <MaxList view={data} />
      </section>
      <section>
        <GiveMax key={wanted} unit={data.unit} exercise={wanted} />
      </section>
      <Toasts />
    </main>
  )
}

function MaxList({ view: { maxes, proposals, needed } }: { view: MaxesView }) {
  return (
    <>
      {needed.map((lift) => (
        <p key={lift.exercise} className="mt-3 rounded bg-acorn-wash px-3 py-2 text-acorn">
          Your program needs a {liftName(lift).toLowerCase()} max.
        </p>
      ))}
      {maxes.length === 0 && (
        <p className="mt-4">
          None yet. Give the first one here: a single, or a set of up to {mostReps} reps.
        </p>
      )}
      <table className="mt-4 w-full">
        {maxes.length > 0 && (
          <thead className="text-left text-sm text-bark">
            <tr>
              <th className="py-1 font-medium">Lift</th>
              <th className="py-1 text-right font-medium">1RM</th>
              <th className="py-1 pl-4 font-medium">From</th>
            </tr>
          </thead>
        )}
        <tbody className="divide-y divide-line border-t border-line">
          {maxes.map((max) => (
            <tr key={liftName(max)}>
              <td className="py-2">{liftName(max)}</td>
              <td className="py-2 text-right font-serif text-lg font-semibold whitespace-nowrap">
                {formatLoad(max.load)}
              </td>
              <td className="py-2 pl-4 text-sm text-bark">
                {max.from ? `${saySet(max.from)}, ${formulaOf[max.from.formula].title}` : 'tested single'},{' '}
                {formatDay(max.date)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {proposals.length > 0 && <Proposals proposals={proposals} />}
    </>
  )
}

/** Estimates from training and lower tests change nothing by themselves: each is a proposal, accepted or left. */
function Proposals({ proposals }: { proposals: MaxesView['proposals'] }) {
  const [give, { isLoading }] = api.useGiveMaxMutation()
  const accept = async (proposal: MaxesView['proposals'][number]) => {
    const { exercise, variant, date, load, from } = proposal
    const lift = { exercise, ...(variant && { variant }) }
    const own = from ?? { load, reps: 1, accepted: true as const }
    const answer = await give({ ...lift, ...own, formula: defaultFormula, date, today: today() })
    if (answer.error) toast.error(sayError(answer.error))
    else toast(`${liftName(proposal)}: ${formatLoad(proposal.load)} is in force from your next session.`)
  }
  return (
    <>
      <h2 className="mt-8 text-xl">To accept, or leave</h2>
      <p className="text-sm text-bark">
        Estimates from your training by {formulaOf[defaultFormula].title}, and tests below the max in force.
        They change no load until you accept them.
      </p>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {proposals.map((proposal) => (
          <li key={`${liftName(proposal)}/${proposal.how}`} className="flex items-center gap-3 py-2">
            <span className="grow">
              {liftName(proposal)}{' '}
              <span className="font-serif font-semibold">{formatLoad(proposal.load)}</span>
              <span className="block text-sm text-bark">
                {proposal.from ? saySet(proposal.from) : 'a test below the max in force'} on{' '}
                {formatDay(proposal.date)}
              </span>
            </span>
            <Button
              look="plain"
              className="min-h-11"
              disabled={isLoading}
              onClick={() => void accept(proposal)}
            >
              Accept
            </Button>
          </li>
        ))}
      </ul>
    </>
  )
}

const saySet = ({ load, reps }: { load: Load; reps: number }) => `${formatLoad(load)} × ${reps}`

function GiveMax({ unit, exercise }: { unit: Unit; exercise: string }) {
  const [typed, setTyped] = useState<Typed>({
    exercise,
    load: '',
    unit,
    reps: '1',
    formula: defaultFormula,
    date: today(),
  })
  const [faults, setFaults] = useState<Record<string, string>>({})
  const [give, { error, isLoading }] = api.useGiveMaxMutation()
  const put = (change: Partial<Typed>) => setTyped({ ...typed, ...change })
  const submit = async () => {
    const { given, errors } = readMax(typed)
    setFaults(errors)
    if (!given) return
    const answer = await give(given)
    if (answer.error) return setFaults(fieldErrors(answer.error))
    put({ load: '', reps: '1' })
    const isLower = answer.data.proposals.some(
      ({ exercise: lift, how, date }) =>
        lift === given.exercise && how === 'lower test' && date === given.date,
    )
    toast(
      isLower
        ? 'Saved. It is below the max in force, so it waits until you accept it.'
        : 'Saved. Your next session reads it.',
    )
  }
  return (
    <form
      noValidate
      aria-label="Give a max"
      className="grid gap-4 rounded-lg border border-line bg-sheet p-5"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      <h2 className="text-xl">Give a max</h2>
      <SelectField
        label="Lift"
        value={typed.exercise}
        error={faults.exercise}
        onChange={(event) => put({ exercise: event.target.value })}
      >
        <option value="">Choose a lift</option>
        {exerciseIds
          .filter((id) => exercises[id].tool !== 'body weight')
          .map((id) => (
            <option key={id} value={id}>
              {exercises[id].name}
            </option>
          ))}
      </SelectField>
      <div className="grid grid-cols-[1fr_5.5rem_6rem] gap-3">
        <Field
          label="Load"
          inputMode="decimal"
          value={typed.load}
          error={faults['load.value']}
          onChange={(event) => put({ load: event.target.value })}
        />
        <SelectField
          label="Unit"
          value={typed.unit}
          onChange={(event) => put({ unit: event.target.value as Unit })}
        >
          <option>kg</option>
          <option>lb</option>
        </SelectField>
        <Field
          label="Reps"
          inputMode="numeric"
          value={typed.reps}
          error={faults.reps}
          onChange={(event) => put({ reps: event.target.value })}
        />
      </div>
      <Estimate typed={typed} onFormula={(formula) => put({ formula })} />
      <Field
        label="When"
        type="date"
        value={typed.date}
        max={today()}
        error={faults.date}
        onChange={(event) => put({ date: event.target.value })}
      />
      {error && !Object.keys(fieldErrors(error)).length && (
        <p role="alert" className="text-brick">
          {sayError(error)}
        </p>
      )}
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

/** The estimate as it would be stored, by the chosen formula, with the others beside it. */
function Estimate({ typed, onFormula }: { typed: Typed; onFormula: (formula: FormulaKind) => void }) {
  const load: Load = { value: Number(typed.load.replace(',', '.')), unit: typed.unit }
  const reps = Number(typed.reps)
  if (!(load.value > 0) || !(reps >= 1)) return null
  if (reps === 1) return <p>A single is the max itself: {formatLoad(load)}.</p>
  return (
    <fieldset>
      <legend className="text-sm font-medium">Estimated 1RM, by</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {formulaKinds.map((kind) => {
          const seen = estimate(load, reps, kind)
          return (
            <label
              key={kind}
              className={`flex min-h-11 items-center gap-2 rounded-md border px-3 ${typed.formula === kind ? 'border-leaf bg-leaf-wash' : 'border-edge'}`}
            >
              <input
                type="radio"
                name="formula"
                checked={typed.formula === kind}
                onChange={() => onFormula(kind)}
                className="accent-leaf"
              />
              {formulaOf[kind].title}:{' '}
              <strong>{seen ? formatLoad(seen) : `no estimate over ${mostReps} reps`}</strong>
            </label>
          )
        })}
      </div>
    </fieldset>
  )
}

function readMax(typed: Typed): { given?: GivenMax; errors: Record<string, string> } {
  const number = (text: string) =>
    text.trim() === ''
      ? undefined
      : Number.isNaN(Number(text.replace(',', '.')))
        ? text
        : Number(text.replace(',', '.'))
  const given = {
    exercise: isExercise(typed.exercise) ? (typed.exercise as ExerciseId) : undefined,
    load: { value: number(typed.load), unit: typed.unit },
    reps: number(typed.reps),
    formula: typed.formula,
    date: typed.date,
    today: today(),
  }
  try {
    return { given: maxSchema.validateSync(given, { strict: true, abortEarly: false }), errors: {} }
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return { errors: Object.fromEntries(error.inner.map(({ path, message }) => [path ?? '', message])) }
  }
}
