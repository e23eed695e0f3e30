import { useRef } from 'react'
import { Check } from 'lucide-react'
import type { TodayView } from '@young-oak/api/training'
import { placeIn, snapshot, type Plan, type PlannedSession, type PlannedWeek } from '@young-oak/core/plan'
import { sessionLogId, type SessionLog } from '@young-oak/core/member'
import type { Evidence } from '@young-oak/core/evidence'
import { formatDay, type Day } from '@young-oak/core/units'
import { liftKey } from '@young-oak/core/library'
import { useAppDispatch, useAppSelector } from '../../app/store.ts'
import { minuteOfDay } from '../../app/today.ts'
import { record } from '../../offline/useOutbox.ts'
import { Button } from '../../ui/Button.tsx'
import { Explained } from '../../ui/Explained.tsx'
import { AfterSession, Planned, Proposals } from './later.ts'
import { ComesNextList } from './ComesNextList.tsx'
import { GrowthRings } from './GrowthRings.tsx'
import { OpenSession } from './OpenSession.tsx'
import { trainAt } from './locationSlice.ts'
import { recordSet } from './recordSet.ts'
import { sayNewVersion } from './sayNewVersion.ts'
import { SlotCard } from './SlotCard.tsx'
import { SlotPreview } from './SlotPreview.tsx'
import { useWorkFocus, workOf } from './useWorkFocus.ts'

type Props = {
  program: TodayView['programs'][number]
  logs: SessionLog[]
  day: Day
  evidence: Evidence
  locations: TodayView['locations']
  proposals: TodayView['proposals']
}

/** One program of the member: the session that is open, else the one that comes next. */
export function ProgramToday({ program, logs, day, evidence, locations, proposals }: Props) {
  const { enrolment, name, note, track, plan, changed } = program
  const logOf = (place: PlannedSession) => {
    const week = weekOf(plan, place)
    const own = week && sessionLogId(enrolment, placeIn(week, place.inWeek), place.attempt)
    return logs.find(({ id }) => id === (place.log ?? own))
  }
  const sessions = plan.weeks.flatMap((week) => week.places)
  const open = sessions.find((place) => {
    const log = logOf(place)
    return log && !log.closed && log.date === day
  })
  const closed = sessions.findLast((place) => {
    const log = logOf(place)
    return log?.closed && log.date === day
  })
  const next = sessions.find((place) => place.status === 'next' && place !== closed)
  const week = weekOf(plan, open ?? next ?? closed)
  const section = useRef<HTMLElement>(null)
  useWorkFocus(section, workOf(open && logOf(open), closed))
  return (
    <section ref={section} className="mb-10">
      <header className="flex items-center gap-4">
        <GrowthRings done={(week?.week ?? plan.lastWeek + 1) - 1} of={plan.lastWeek} />
        <div>
          <p className="text-sm text-bark">
            {name}
            {track && `, ${track}`}
          </p>
          <p className="flex flex-wrap items-center gap-x-2 gap-y-1 font-medium">
            {week
              ? `Week ${week.week} of ${plan.lastWeek}: ${week.phaseName}`
              : plan.later
                ? 'All weeks so far done'
                : 'All weeks done'}
            {week?.toTest !== undefined && (
              <span className="rounded bg-acorn-wash px-2 py-0.5 text-sm whitespace-nowrap text-acorn">
                {sayToTest(week.toTest)}
              </span>
            )}
            {(plan.paused ?? week?.deload) && (
              <span className="rounded bg-mist-wash px-2 py-0.5 text-sm whitespace-nowrap text-mist">
                {plan.paused ? (plan.paused.changes.length ? plan.paused.reason : 'paused') : 'deload'}
              </span>
            )}
          </p>
        </div>
      </header>
      {changed?.note && <p className="mt-2 text-sm text-bark">{sayNewVersion(changed)}</p>}
      {week && <WeekLine week={week} current={open ?? next} />}
      {week?.week === plan.lastWeek && plan.later && (
        <p className="mt-2 text-sm text-bark">After this week: {plan.later[0]?.name}, still being written.</p>
      )}
      {open ? (
        <OpenSession session={open} log={logOf(open) as SessionLog} evidence={evidence} />
      ) : (
        <>
          {closed && (
            <Closed plan={plan} session={closed} log={logOf(closed) as SessionLog} proposals={proposals} />
          )}
          {next && (
            <Next
              plan={plan}
              session={next}
              start={weekOf(plan, next)?.from ?? plan.start}
              isFirst={next.position === 1}
              day={day}
              enrolment={enrolment}
              isAgain={closed !== undefined}
              note={note}
              locations={locations}
              home={evidence.home}
            />
          )}
          {!next && !closed && !plan.later && (
            <p className="mt-6">
              Every week of this program is done.{' '}
              {program.next ? `${program.next} starts tomorrow.` : 'Ask your coach what comes next.'}
            </p>
          )}
          {!next && !closed && plan.later && (
            <p className="mt-6">
              Your coach is still writing {plan.later[0]?.name}. It appears here once it is published.
            </p>
          )}
        </>
      )}
    </section>
  )
}

const sayToTest = (weeks: number): string =>
  weeks === 0 ? 'week of the test' : `${weeks} ${weeks === 1 ? 'week' : 'weeks'} to the test`

/** What a track, a deload or the member has left out of the session, so that nobody looks for it. */
function LeftOut({ session: { slots, changes } }: { session: PlannedSession }) {
  const there = new Set(slots.map(({ slot }) => slot))
  const gone = changes.filter(({ slot }) => !there.has(slot))
  if (!gone.length) return null
  return (
    <p className="mt-2 text-sm text-bark">
      {gone.length === 1 ? 'One exercise' : `${gone.length} exercises`} of this session{' '}
      {gone.length === 1 ? 'is' : 'are'} left out today (
      <Explained steps={gone.map(({ step }) => step)} />
      ).
    </p>
  )
}

const weekOf = (plan: Plan, place: PlannedSession | undefined): PlannedWeek | undefined =>
  plan.weeks.find(({ places }) => place !== undefined && places.includes(place))

/** The week's sessions in order: done, skipped, or still to come. */
function WeekLine({ week, current }: { week: PlannedWeek; current?: PlannedSession }) {
  return (
    <ol className="mt-3 flex flex-wrap gap-2 text-sm" aria-label="Sessions of this week">
      {week.places.map((place) => (
        <li
          key={place.position}
          aria-current={place === current ? 'step' : undefined}
          className={`flex items-center gap-1 rounded-full border px-3 py-1 ${place === current ? 'border-leaf bg-leaf-wash font-medium' : 'border-line text-bark'}`}
        >
          {place.status === 'trained' && <Check size={14} aria-label="done" />}
          <span>
            Day {place.inWeek}: {place.name}
            {(place.date ?? place.on) && (
              <span className="font-normal text-bark">, {formatDay(place.date ?? place.on?.day ?? '')}</span>
            )}
            {(place.status === 'skipped' || place.status === 'dropped') && ' (skipped)'}
          </span>
        </li>
      ))}
    </ol>
  )
}

type NextProps = {
  plan: Plan
  session: PlannedSession
  /** First day of the program, or on a calendar of the week. */
  start: Day
  isFirst: boolean
  day: Day
  enrolment: string
  isAgain: boolean
  note?: string
  locations: TodayView['locations']
  home: string
}

function Next({ plan, session, start, isFirst, day, enrolment, isAgain, note, locations, home }: NextProps) {
  const location = useAppSelector((state) => state.location.at)
  const begin = () => {
    const shown = snapshot(plan, session.position)
    if (!shown) return
    record({
      kind: 'start',
      enrolment,
      position: session.position,
      attempt: session.attempt,
      date: day,
      minute: minuteOfDay(),
      ...(location !== undefined && { location }),
      shown,
    })
  }
  const waits = start > day || (session.on !== undefined && session.on.day > day)
  return (
    <article className="mt-6">
      <h2 className="text-3xl">{isAgain ? `Next time: ${session.name}` : session.name}</h2>
      {note && !isAgain && <p className="mt-1 text-bark">{note}</p>}
      {start > day ? (
        <p className="mt-2 rounded bg-mist-wash p-3 text-mist">
          {isFirst ? 'This program starts' : 'The next week begins'} on {formatDay(start)}.
        </p>
      ) : (
        session.on && <Planned fallback={null} of={{ on: session.on, day }} />
      )}
      <WhereToday locations={locations} home={home} location={location} />
      <ol className="mt-3 divide-y divide-line">
        {session.slots.map((slot) => (
          <SlotPreview key={slot.slot} slot={slot} enrolment={enrolment} />
        ))}
      </ol>
      <LeftOut session={session} />
      <Button
        size="thumb"
        look={isAgain || waits ? 'plain' : 'main'}
        className={`w-full ${isAgain || waits ? 'mt-5' : 'sticky bottom-3 mt-5'}`}
        onClick={begin}
      >
        {waits ? `Start ${session.name} early, today` : `Start ${session.name}`}
      </Button>
    </article>
  )
}

type WhereProps = { locations: TodayView['locations']; home: string; location: string | undefined }

/** Where the session is trained, if not where it usually is: its loads are made of what is there. */
function WhereToday({ locations, home, location }: WhereProps) {
  const dispatch = useAppDispatch()
  const others = locations.filter(({ id }) => id !== home)
  if (!others.length) return null
  return (
    <label className="mt-2 flex flex-wrap items-center gap-2 text-sm text-bark">
      Location
      <select
        value={location ?? home}
        onChange={(event) => dispatch(trainAt(event.target.value === home ? undefined : event.target.value))}
        className="min-h-11 rounded-md border border-edge bg-sheet px-2 text-base text-ink"
      >
        {!locations.some(({ id }) => id === home) && <option value={home}>my usual location</option>}
        {locations.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}

type ClosedProps = {
  plan: Plan
  session: PlannedSession
  log: SessionLog
  proposals: TodayView['proposals']
}

function Closed({ plan, session, log, proposals }: ClosedProps) {
  const fresh = proposals
    .filter(({ how }) => how !== 'lower estimate')
    .filter(
      ({ date, ...lift }) => date === log.date && log.sets.some((set) => liftKey(set) === liftKey(lift)),
    )
  const isRead = session.status === 'trained' || session.status === 'skipped'
  return (
    <article className="mt-6 rounded-lg border border-leaf bg-leaf-wash p-4">
      <h2 data-work tabIndex={-1} className="text-2xl outline-none">
        {session.name} is done
      </h2>
      {isRead ? (
        <ComesNextList plan={plan} session={session} />
      ) : (
        <p className="mt-2">The next session is worked out as soon as your sets are sent.</p>
      )}
      {fresh.length > 0 && <Proposals fallback={null} of={{ proposals: fresh }} />}
      {log.sets.length > 0 && <AfterSession fallback={null} of={{ session, log }} />}
      <details className="mt-3">
        <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
          Correct what you logged
        </summary>
        <ol className="divide-y divide-line">
          {session.slots.map((slot) => (
            <SlotCard
              key={slot.slot}
              slot={slot}
              sets={log.sets.filter((set) => set.slot === slot.slot)}
              isCurrent
              onLog={(asked, result) => recordSet(log, slot, asked, result)}
            />
          ))}
        </ol>
      </details>
    </article>
  )
}
