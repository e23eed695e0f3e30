import { Minus, Plus } from 'lucide-react'
import { useState } from 'react'
import { loadSchema, repsSchema } from '@young-oak/api/training'
import { exerciseOf } from '@young-oak/core/library'
import type { SetLog } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import { formatSpan, lowest } from '@young-oak/core/template'
import { formatLoad, formatNumber, type Load } from '@young-oak/core/units'
import { ValidationError, type Schema } from 'yup'
import { Button } from '../../ui/Button.tsx'
import { Why } from '../../ui/Why.tsx'
import type { AskedSet } from './askedSets.ts'
import type { Result } from './recordSet.ts'
import { PlatePicture } from './PlatePicture.tsx'
import { readsNote } from './words.ts'

type Props = {
  slot: PlannedSlot
  asked: AskedSet
  of: number
  /** The set to start from where the load is the member's: the one before, or the one that is corrected. */
  before?: SetLog
  isCorrection?: boolean
  onLog: (result: Result) => void
}

/** The set to do now: its load and plates large, one tap to log it as prescribed, small steps to change it. */
export function CurrentSet({
  slot,
  asked: { n, group, isPlus },
  of,
  before,
  isCorrection = false,
  onLog,
}: Props) {
  const isLoaded = group.load !== null || exerciseOf(slot).tool !== 'body weight'
  const first = isCorrection
    ? before?.load
    : (group.load ?? before?.load ?? slot.last?.sets[n - 1]?.load ?? slot.last?.sets[0]?.load)
  const unit = first?.unit ?? group.load?.unit ?? 'kg'
  const [load, setLoad] = useState(first ? formatNumber(first.value) : '')
  const [reps, setReps] = useState(String((isCorrection ? before?.reps : undefined) ?? lowest(group.reps)))
  const [errors, setErrors] = useState<{ load?: string; reps?: string }>({})
  const [isChanging, setChanging] = useState(isCorrection || isPlus || (isLoaded && !group.load))
  const step = unit === 'kg' ? 2.5 : 5

  const log = (state: 'done' | 'failed') => {
    const given = readSet(isLoaded, load, unit, reps, state)
    setErrors(given.errors)
    if (given.result) onLog(given.result)
  }

  return (
    <div className="mt-2 sm:ml-8">
      <p className="text-sm text-bark">
        {isCorrection ? 'Correct set' : 'Set'} {n} of {of}
        {isPlus && ': as many good reps as you have'}
        {group.rir !== undefined && `: stop with ${group.rir} left`}
      </p>
      {!isChanging && (
        <p className="font-serif text-4xl font-semibold">
          {group.load ? (
            <Why title={formatLoad(group.load)} rungs={group.why}>
              {formatLoad(group.load)}
            </Why>
          ) : null}
          {group.load && ' × '}
          {formatSpan(group.reps)}
          {!group.load && ' reps'}
        </p>
      )}
      {isChanging && (
        <div className="mt-1 flex flex-wrap gap-4">
          {isLoaded && (
            <Stepper
              label={`Load, ${unit}${readsNote(slot) ? ` ${readsNote(slot)}` : ''}`}
              value={load}
              step={step}
              onChange={setLoad}
              error={errors.load}
            />
          )}
          <Stepper label="Reps" value={reps} step={1} onChange={setReps} error={errors.reps} />
        </div>
      )}
      {group.side && group.load && Number(load) === group.load.value && (
        <PlatePicture side={group.side} unit={group.load.unit} />
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <Button size="thumb" className="grow" onClick={() => log('done')}>
          {isChanging
            ? isCorrection
              ? 'Save the correction'
              : 'Log this set'
            : `Done: ${group.load ? `${formatLoad(group.load)} × ` : ''}${lowest(group.reps)}`}
        </Button>
        {!isChanging && (
          <Button size="thumb" look="plain" onClick={() => setChanging(true)}>
            Change
          </Button>
        )}
        {isChanging && (
          <Button size="thumb" look="plain" onClick={() => log('failed')}>
            Failed
          </Button>
        )}
      </div>
    </div>
  )
}

/** What was typed as a set, or what is wrong with it, beside the field; what was typed stays. */
function readSet(
  isLoaded: boolean,
  load: string,
  unit: Load['unit'],
  reps: string,
  state: 'done' | 'failed',
): { result?: Result; errors: { load?: string; reps?: string } } {
  const value = Number(load.replace(',', '.'))
  const wanted = isLoaded && load.trim() !== ''
  const loadError = wanted
    ? fault(loadSchema, { value: Number.isNaN(value) ? load : value, unit })
    : isLoaded
      ? 'Enter the load.'
      : undefined
  const count = Number(reps)
  const repsError =
    reps.trim() === ''
      ? 'Enter the reps.'
      : count === 0 && state === 'done'
        ? 'No reps: tap Failed if you tried it.'
        : fault(repsSchema, Number.isNaN(count) ? reps : count)
  if (loadError || repsError)
    return { errors: { ...(loadError && { load: loadError }), ...(repsError && { reps: repsError }) } }
  return { result: { state, reps: count, ...(wanted && { load: { value, unit } }) }, errors: {} }
}

function fault(schema: Schema, value: unknown): string | undefined {
  try {
    schema.validateSync(value, { strict: true })
    return undefined
  } catch (error) {
    return ValidationError.isError(error) ? error.message : 'This is not as expected.'
  }
}

type StepperProps = {
  label: string
  value: string
  step: number
  onChange: (value: string) => void
  error?: string
}

function Stepper({ label, value, step, onChange, error }: StepperProps) {
  const move = (by: number) =>
    onChange(formatNumber(Math.max(0, (Number(value.replace(',', '.')) || 0) + by)))
  return (
    <label className="block">
      <span className="block text-sm">{label}</span>
      <span className="flex items-center gap-1">
        <StepButton label={`${label}: less`} onClick={() => move(-step)}>
          <Minus size={20} />
        </StepButton>
        <input
          inputMode="decimal"
          value={value}
          aria-invalid={Boolean(error)}
          aria-label={label}
          onChange={(event) => onChange(event.target.value)}
          onFocus={(event) => event.target.select()}
          className={`h-11 w-17 rounded-md border bg-sheet text-center text-xl ${error ? 'border-brick' : 'border-edge'}`}
        />
        <StepButton label={`${label}: more`} onClick={() => move(step)}>
          <Plus size={20} />
        </StepButton>
      </span>
      {error && (
        <span role="alert" className="block max-w-52 text-sm text-brick">
          {error}
        </span>
      )}
    </label>
  )
}

function StepButton({
  label,
  onClick,
  children,
}: {
  label: string
  onClick: () => void
  children: React.ReactNode
}) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onClick}
      className="grid size-11 place-items-center rounded-md border border-edge bg-sheet"
    >
      {children}
    </button>
  )
}
