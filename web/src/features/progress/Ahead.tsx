import { useState, type ReactNode } from 'react'
import type { ProgressView } from '@young-oak/api/progress'
import { isSameLift, liftKey, liftName, muscles, type Lift, type Muscle } from '@young-oak/core/library'
import { deloadKinds, deloadOf, type DeloadKind } from '@young-oak/core/deloads'
import { eventKinds, deloadReasons, type EventKind } from '@young-oak/core/facts'
import { formatDay } from '@young-oak/core/units'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Field, PhoneSelect } from '../../ui/Field.tsx'
import { Details } from '../../ui/Details.tsx'
import { useLibrary } from '../library/useLibrary.ts'
import { useGive } from './useGive.ts'

type Props = { view: ProgressView; member?: string }

/** What lies ahead: events on the calendar, and deloads of the member's own with their return. */
export function Ahead({ view, member }: Props) {
  const library = useLibrary()
  const { takeBack, isBusy } = useGive(member)
  return (
    <section aria-label="Ahead" className="rounded-lg border border-line bg-sheet p-4">
      <h2 className="text-xl">Ahead</h2>
      <ul className="mt-1 divide-y divide-line">
        {view.events.map(({ id, what, name, on, to, lifts }) => (
          <Entry key={id} isBusy={isBusy} onTakeBack={() => void takeBack(id)}>
            {capital(name ?? what)}{' '}
            <span className="text-sm text-bark">
              {formatDay(on)}
              {to && to !== on && ` to ${formatDay(to)}`}
              {lifts &&
                `; maxes from before may not hold: ${lifts.map((lift) => liftName(library, lift)).join(', ')}`}
            </span>
          </Entry>
        ))}
        {view.spells.map(({ id, begun, weeks, back, reason, says }) => (
          <Entry
            key={id}
            isBusy={isBusy}
            action={begun ? 'End the deload' : 'Undo'}
            onTakeBack={() =>
              void takeBack(id, begun ? 'The deload is over. What was trained in it stays.' : undefined)
            }
          >
            {reason ? `${capital(reason)}: ` : ''}
            {weeks === 1 ? 'a deload' : `${weeks} deloads`}{' '}
            <span className="text-sm text-bark">
              {says};{' '}
              {back.length
                ? `back over ${back.length === 1 ? 'a week' : `${back.length} weeks`} (${back.map((by) => `${by}%`.replace('-', '−')).join(', ')})`
                : 'then full loads at once'}
            </span>
          </Entry>
        ))}
      </ul>
      {!view.events.length && !view.spells.length && (
        <p className="text-sm text-bark">
          Nothing yet. Add a trip, exams or a holiday: advice takes it into account.
        </p>
      )}
      <EventForm lifts={view.lifts.map(({ lift }) => lift)} member={member} />
      <OwnDeloadForm member={member} />
      <MostSetsForm mostSets={view.mostSets} member={member} />
    </section>
  )
}

type EntryProps = { isBusy: boolean; action?: string; onTakeBack: () => void; children: ReactNode }

function Entry({ isBusy, action = 'Undo', onTakeBack, children }: EntryProps) {
  return (
    <li className="flex items-center gap-3 py-1">
      <span className="grow">{children}</span>
      <Button look="quiet" className="min-h-11" disabled={isBusy} onClick={onTakeBack}>
        {action}
      </Button>
    </li>
  )
}

type FormProps = {
  title: string
  className: string
  submit: string
  isBusy: boolean
  onSubmit: () => unknown
  children: ReactNode
}

/** One thing that can be said, closed until it is wanted. */
function SayForm({ title, className, submit, isBusy, onSubmit, children }: FormProps) {
  return (
    <Details title={title} className={className}>
      <form
        className="grid grid-cols-2 items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void onSubmit()
        }}
      >
        {children}
        <Button type="submit" look="plain" className="col-span-2 min-h-11" disabled={isBusy}>
          {submit}
        </Button>
      </form>
    </Details>
  )
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

function EventForm({ lifts, member }: { lifts: Lift[]; member?: string }) {
  const library = useLibrary()
  const { give, isBusy } = useGive(member)
  const [typed, setTyped] = useState({ what: 'trip' as EventKind, name: '', on: today(), to: '' })
  const [doubtful, setDoubtful] = useState<Lift[]>([])
  const mayDoubt = lifts.length > 0 && (typed.what === 'new equipment' || typed.what === 'weight class')
  const put = (change: Partial<typeof typed>) => setTyped({ ...typed, ...change })
  const save = async () => {
    const { what, name, on, to } = typed
    const fact = {
      kind: 'event',
      what,
      on,
      ...(name.trim() && { name: name.trim() }),
      ...(to && { to }),
      ...(mayDoubt && doubtful.length > 0 && { lifts: doubtful }),
    }
    if (!(await give(fact, 'Added to the calendar.'))) return
    setTyped({ ...typed, name: '', to: '' })
    setDoubtful([])
  }
  return (
    <SayForm title="Add an event" className="mt-2" submit="Save the event" isBusy={isBusy} onSubmit={save}>
      <PhoneSelect
        label="What"
        value={typed.what}
        onChange={(event) => put({ what: event.target.value as EventKind })}
      >
        {eventKinds.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </PhoneSelect>
      <Field
        label="Name"
        value={typed.name}
        maxLength={80}
        onChange={(event) => put({ name: event.target.value })}
      />
      <Field
        label="From"
        type="date"
        required
        value={typed.on}
        onChange={(event) => put({ on: event.target.value })}
      />
      <Field
        label="To"
        type="date"
        min={typed.on}
        value={typed.to}
        onChange={(event) => put({ to: event.target.value })}
      />
      {mayDoubt && (
        <fieldset className="col-span-2">
          <legend className="text-sm font-medium">Maxes that may not hold from that day on</legend>
          {lifts.map((lift) => (
            <label key={liftKey(lift)} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                checked={doubtful.some((one) => isSameLift(one, lift))}
                onChange={({ target }) =>
                  setDoubtful(
                    target.checked ? [...doubtful, lift] : doubtful.filter((one) => !isSameLift(one, lift)),
                  )
                }
              />
              {liftName(library, lift)}
            </label>
          ))}
        </fieldset>
      )}
    </SayForm>
  )
}

/** The most sets of a muscle a week, whatever a program would ask; empty for none. */
function MostSetsForm({ mostSets, member }: { mostSets: ProgressView['mostSets']; member?: string }) {
  const { give, isBusy } = useGive(member)
  const [typed, setTyped] = useState<{ muscle: Muscle; sets: string }>({ muscle: 'quads', sets: '' })
  const [fault, setFault] = useState<string>()
  const set = Object.entries(mostSets).map(([muscle, sets]) => `${muscle} ${sets}`)
  const save = async () => {
    const sets = typed.sets.trim() ? Number(typed.sets) : null
    if (sets !== null && !(Number.isInteger(sets) && sets >= 1 && sets <= 60))
      return setFault('Whole sets, 1 to 60; empty for no limit.')
    setFault(undefined)
    await give(
      { kind: 'mostSets', muscle: typed.muscle, sets },
      sets === null ? 'Limit removed.' : 'Limit saved.',
    )
  }
  return (
    <SayForm
      title={set.length ? `Weekly set limits: ${set.join(', ')}` : 'Limit weekly sets'}
      className="mt-1"
      submit="Set the limit"
      isBusy={isBusy}
      onSubmit={save}
    >
      <PhoneSelect
        label="Muscle"
        value={typed.muscle}
        onChange={(event) => setTyped({ ...typed, muscle: event.target.value as Muscle })}
      >
        {muscles.map((muscle) => (
          <option key={muscle}>{muscle}</option>
        ))}
      </PhoneSelect>
      <Field
        label="Hard sets a week, at most"
        inputMode="numeric"
        hint="Progressions that count weekly sets of a muscle stay within the limit."
        value={typed.sets}
        error={fault}
        onChange={(event) => setTyped({ ...typed, sets: event.target.value })}
      />
    </SayForm>
  )
}

const returns: [string, number[]][] = [
  ['full loads at once', []],
  ['a week at 10% less', [-10]],
  ['two weeks, at 20% and 10% less', [-20, -10]],
]

/** A holiday, an illness, tired weeks: how long, in which way, and how the loads come back. */
function OwnDeloadForm({ member }: { member?: string }) {
  const { give, isBusy } = useGive(member)
  const [typed, setTyped] = useState({
    reason: 'holiday' as (typeof deloadReasons)[number],
    recipe: 'weekOff' as DeloadKind,
    weeks: '1',
    back: '1',
  })
  const put = (change: Partial<typeof typed>) => setTyped({ ...typed, ...change })
  const { examples, sentence, weeks: weeksOf } = deloadOf[typed.recipe]
  const params = examples[0]?.params ?? {}
  const save = () =>
    give(
      {
        kind: 'deload',
        changes: weeksOf(params).flatMap((week) => week.do),
        shift: true,
        weeks: Number(typed.weeks),
        back: returns[Number(typed.back)]?.[1] ?? [],
        reason: typed.reason,
      },
      'The deload starts with the next week.',
    )
  return (
    <SayForm
      title="Request a deload"
      className="mt-1"
      submit="Request the deload"
      isBusy={isBusy}
      onSubmit={save}
    >
      <PhoneSelect
        label="Why"
        value={typed.reason}
        onChange={(event) => put({ reason: event.target.value as (typeof deloadReasons)[number] })}
      >
        {deloadReasons
          .filter((reason) => reason !== 'advice')
          .map((reason) => (
            <option key={reason}>{reason}</option>
          ))}
      </PhoneSelect>
      <PhoneSelect label="Weeks" value={typed.weeks} onChange={(event) => put({ weeks: event.target.value })}>
        {['1', '2', '3', '4'].map((n) => (
          <option key={n}>{n}</option>
        ))}
      </PhoneSelect>
      <PhoneSelect
        label="How"
        value={typed.recipe}
        hint={sentence(params)}
        onChange={(event) => put({ recipe: event.target.value as DeloadKind })}
      >
        {deloadKinds
          .filter((kind) => kind !== 'taper')
          .map((kind) => (
            <option key={kind} value={kind}>
              {deloadOf[kind].title}
            </option>
          ))}
      </PhoneSelect>
      <PhoneSelect label="Return" value={typed.back} onChange={(event) => put({ back: event.target.value })}>
        {returns.map(([said], i) => (
          <option key={said} value={i}>
            {said}
          </option>
        ))}
      </PhoneSelect>
      {(typed.reason === 'illness' || typed.reason === 'sore joints') && (
        <p className="col-span-2 text-sm text-bark">
          Ill, or in pain that stays: see a licensed professional before you train again.
        </p>
      )}
    </SayForm>
  )
}
