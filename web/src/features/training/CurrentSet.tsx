import { useLibrary } from '../library/useLibrary.ts'
import { useRef, useState, type RefObject } from 'react'
import { liftName } from '@young-oak/core/library'
import type { PlannedSlot } from '@young-oak/core/plan'
import type { SetLog, ShownSets } from '@young-oak/core/member'
import { formatAsked, formatCircuit, formatHandled } from '@young-oak/core/views'
import {
  formatNumber,
  formatSeconds,
  formatSpan,
  lowest,
  type AmountUnit,
  type Load,
  typedNumber,
} from '@young-oak/core/units'
import { kindOf, type Goal } from '@young-oak/core/goals'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Mark } from '../../ui/Mark.tsx'
import { Stepper } from '../../ui/Stepper.tsx'
import { Why } from '../../ui/Why.tsx'
import type { AskedSet } from './askedSets.ts'
import { PlatePicture } from './PlatePicture.tsx'
import { measureOf, readDraft, startDraft, type Result, type SetDraft, type SetErrors } from './setDraft.ts'
import { readsFully } from './words.ts'

type Props = {
  slot: PlannedSlot
  asked: AskedSet
  of: number
  /** The set to start from where the load is the member's: the one before, or the one that is corrected. */
  before?: SetLog
  isCorrection?: boolean
  /** A load that was found by ramping up to it, in place of one that is asked of an old max. */
  found?: Load
  /** Where the keyboard goes on with the session. */
  isNext?: boolean
  onLog: (result: Result) => void
}

/** What is typed of the set, whether it is being changed, and how it is logged. */
function useSetDraft({ slot, asked, before, isCorrection = false, found, onLog }: Props) {
  const library = useLibrary()
  const { n, prescribed, isPlus } = asked
  const measure = measureOf(library, slot, prescribed, before)
  const [draft, setDraft] = useState(() => {
    const own = startDraft(slot, prescribed, n, before, isCorrection)
    return found ? { ...own, load: formatNumber(found.value) } : own
  })
  const [errors, setErrors] = useState<SetErrors>({})
  const isOpenEnded = draft.count === '' && measure.counts !== 'done'
  const lacksLoad = measure.isLoaded && !prescribed.load && !measure.isOnBody
  const [isChanging, setChanging] = useState(
    isCorrection || found !== undefined || isPlus || isOpenEnded || lacksLoad,
  )
  const fields = useRef<HTMLDivElement>(null)
  return {
    measure,
    draft,
    errors,
    fields,
    isChanging,
    put: (change: Partial<SetDraft>) => setDraft({ ...draft, ...change }),
    log: (state: 'done' | 'failed') => {
      const read = readDraft(draft, measure, state)
      setErrors(read.errors)
      if (read.result) onLog(read.result)
    },
    /** Whoever changes the set goes on in its first field. */
    change: () => {
      setChanging(true)
      requestAnimationFrame(() => fields.current?.querySelector('input')?.focus())
    },
  }
}

/** The set to do now: its load and plates large, one tap to log it as prescribed, small steps to change it. */
export function CurrentSet(props: Props) {
  const { slot, asked, of, isCorrection = false, isNext = false } = props
  const library = useLibrary()
  const { n, prescribed } = asked
  const { measure, draft, errors, fields, isChanging, put, log, change } = useSetDraft(props)
  const main = isChanging ? (isCorrection ? 'Save the correction' : 'Log this set') : sayDone(prescribed)
  return (
    <div className="mt-2 sm:ml-8">
      <p className="text-sm text-bark">{sayAbout(asked, of, isCorrection)}</p>
      {!isChanging && (
        <p className="font-serif text-4xl font-semibold">
          {prescribed.load && (
            <Why
              title={formatAsked(prescribed, prescribed.load)}
              steps={prescribed.why}
              says={`${formatAsked(prescribed, prescribed.load)} × ${sayAsked(prescribed)}`}
            >
              {formatAsked(prescribed, prescribed.load)}
            </Why>
          )}
          {prescribed.load && ' × '}
          <Why
            title={sayAsked(prescribed)}
            steps={prescribed.load || prescribed.missing ? [] : prescribed.why}
            says={sayAsked(prescribed)}
          >
            {slot.circuit ? formatCircuit(slot.circuit) : sayAsked(prescribed)}
          </Why>
        </p>
      )}
      {isChanging && (
        <SetFields ref={fields} slot={slot} measure={measure} draft={draft} errors={errors} onPut={put} />
      )}
      {isChanging && prescribed.option && measure.counts === 'reps' && (
        <Mark
          label={`${capital(prescribed.option.say)}: ${prescribed.option.percent}% of the reps`}
          isOn={draft.option}
          onChange={(option) => put({ option })}
        />
      )}
      {isChanging && measure.counts === 'reps' && <More draft={draft} errors={errors} onPut={put} />}
      {prescribed.pin !== undefined && prescribed.hung && prescribed.load && (
        <p className="mt-2 text-sm text-bark">
          Pin at {formatNumber(prescribed.pin)}, on top of it {prescribed.hung.map(formatNumber).join(' + ')}{' '}
          {prescribed.load.unit}.
        </p>
      )}
      {prescribed.side && prescribed.load && typedNumber(draft.load) === prescribed.load.value && (
        <PlatePicture side={prescribed.side} bar={prescribed.bar} unit={prescribed.load.unit} />
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <Button
          size="thumb"
          className="grow"
          data-work={isNext || undefined}
          aria-label={`${main}: set ${n} of ${of}, ${slot.circuit?.name ?? liftName(library, slot)}`}
          onClick={() => log('done')}
        >
          {main}
        </Button>
        {!isChanging && (
          <Button size="thumb" look="plain" aria-label={`Change set ${n}`} onClick={change}>
            Change
          </Button>
        )}
        {isChanging && (
          <Button size="thumb" look="plain" aria-label={`Failed set ${n}`} onClick={() => log('failed')}>
            Failed
          </Button>
        )}
      </div>
    </div>
  )
}

type FieldsProps = {
  ref: RefObject<HTMLDivElement | null>
  slot: PlannedSlot
  measure: ReturnType<typeof measureOf>
  draft: SetDraft
  errors: SetErrors
  onPut: (change: Partial<SetDraft>) => void
}

/** The load and the count of a set, to change by small steps. */
function SetFields({ ref, slot, measure, draft, errors, onPut }: FieldsProps) {
  const library = useLibrary()
  const { isLoaded, isOnBody, unit, counts, hasMore } = measure
  const step = unit === 'kg' ? 2.5 : 5
  return (
    <div ref={ref} className="mt-1 flex flex-wrap gap-4">
      {isLoaded && (
        <Stepper
          label={
            isOnBody ? `Added, ${unit} (minus is assistance)` : `Load, ${unit} ${readsFully(library, slot)}`
          }
          value={draft.load}
          step={step}
          least={isOnBody ? -200 : 0}
          onChange={(load) => onPut({ load })}
          error={errors.load}
        />
      )}
      {counts !== 'done' && (
        <Stepper
          label={countLabels[counts]}
          value={draft.count}
          step={countSteps[counts]}
          isTime={counts === 's'}
          onChange={(count) => onPut({ count })}
          error={errors.count}
        />
      )}
      {hasMore && (
        <Stepper
          label="Reps in the next round"
          value={draft.more}
          step={1}
          onChange={(more) => onPut({ more })}
          error={errors.more}
        />
      )}
    </div>
  )
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

const countLabels: Record<'reps' | AmountUnit, string> = {
  reps: 'Reps',
  s: 'Time',
  m: 'Metres',
  km: 'Kilometres',
  yd: 'Yards',
  mi: 'Miles',
  rounds: 'Rounds',
}
const countSteps: Record<'reps' | AmountUnit, number> = {
  reps: 1,
  s: 5,
  m: 10,
  km: 0.5,
  yd: 10,
  mi: 0.25,
  rounds: 1,
}

function sayAbout(
  { n, prescribed, isPlus, isFree, soFar }: AskedSet,
  of: number,
  isCorrection: boolean,
): string {
  const { rir, perSide, option, tempo, bands, stop, style, goal } = prescribed
  const more = [
    isFree && !stop && 'optional',
    goal && soFar !== undefined && `${saySoFar(goal, soFar)} so far`,
    isPlus && 'as many good reps as you have',
    rir !== undefined && `stop with ${rir} RIR (${rir} more reps possible)`,
    perSide && 'each side',
    option && `or ${option.percent}% of the reps ${option.say}`,
    tempo && `tempo ${tempo}`,
    style === 'lowering' && 'lower it only, with safeties set',
    style === 'speed' && 'as fast as you can with full control',
    bands && `with ${bands}`,
    stop && `${isFree ? 'end when' : 'go on until'} ${stop}`,
  ].filter(Boolean)
  const count = goal && 'anySets' in goal ? `${n}` : `${n} of ${of}`
  return `${isCorrection ? 'Correct set' : 'Set'} ${count}${more.length ? `: ${more.join(', ')}` : ''}`
}

/** "18 of 30 in all". */
function saySoFar(goal: Goal, soFar: number): string {
  const unit = kindOf(goal).logs(goal)
  const [inAll] = kindOf(goal).cell(goal).split(',')
  const done = unit === 's' ? formatSeconds(soFar) : formatNumber(Math.round(soFar * 10) / 10)
  return `${done} of ${inAll}`
}

const sayAsked = ({ reps, goal, load }: ShownSets): string =>
  goal ? kindOf(goal).cell(goal) : `${formatSpan(reps ?? 1)}${load ? '' : ' reps'}`

const sayDone = (prescribed: ShownSets): string => {
  const { load, goal, reps } = prescribed
  const what = goal ? kindOf(goal).cell(goal) : formatNumber(lowest(reps ?? 1))
  return `Done: ${load ? `${formatHandled(prescribed, load)} × ` : ''}${what}`
}

type MoreProps = { draft: SetDraft; errors: SetErrors; onPut: (change: Partial<SetDraft>) => void }

/** What a set may say beside its load and reps; a set with any of the marks says nothing about a max. */
function More({ draft, errors, onPut }: MoreProps) {
  const isSaid =
    draft.rir !== '' || draft.assisted !== '' || draft.partial || draft.pain || draft.technique !== ''
  return (
    <details className="mt-2" open={isSaid}>
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-sm underline underline-offset-4">
        More about this set
      </summary>
      <div className="flex flex-wrap gap-4">
        <Stepper
          label="How many more could you have done?"
          value={draft.rir}
          step={1}
          onChange={(rir) => onPut({ rir })}
          error={errors.rir}
        />
        <Stepper
          label="Reps with help"
          value={draft.assisted}
          step={1}
          onChange={(assisted) => onPut({ assisted })}
          error={errors.assisted}
        />
      </div>
      <Choice
        label="Technique"
        value={draft.technique}
        choices={[
          ['good', 'good'],
          ['poor', 'poor'],
        ]}
        onChange={(technique) => onPut({ technique })}
      />
      <Mark label="Not the whole range" isOn={draft.partial} onChange={(partial) => onPut({ partial })} />
      <Mark label="It hurt" isOn={draft.pain} onChange={(pain) => onPut({ pain })} />
      {draft.pain && (
        <p className="rounded bg-brick-wash px-3 py-2 text-sm text-brick">
          Sharp, radiating or joint pain: stop this exercise, and see a licensed professional.
        </p>
      )}
    </details>
  )
}
