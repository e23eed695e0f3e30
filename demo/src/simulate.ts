import { clubExercises } from './exercises.ts'
import type { Fact, Member } from '@young-oak/core/facts'
import { exerciseOf, mainMuscle, type ExerciseId } from '@young-oak/core/library'
import {
  placeShown,
  sessionLogId,
  setLogId,
  type Enrolment,
  type SessionLog,
  type SetLog,
  type ShownSets,
} from '@young-oak/core/member'
import {
  planMember,
  snapshot,
  type Checkpoint,
  type Plan,
  type Planned,
  type PlannedSession,
} from '@young-oak/core/plan'
import type { Template } from '@young-oak/core/template'
import {
  addDays,
  daysBetween,
  highest,
  inUnit,
  lowest,
  makeable,
  round,
  type Day,
  type Load,
  type Rack,
} from '@young-oak/core/units'
import type { Dice } from './dice.ts'
import { fixed, hotel, hotelRacks, place, racks, type Person } from './gym.ts'

type Training = {
  person: Person
  facts: Fact[]
  enrolment: Enrolment
  version: Template
  start: Day
  until: Day
  weekdays: number[]
  dice: Dice
}

/**
 * Lets a member train from their first day until today through the engine itself: each session is planned, shown and
 * started as the app would, then done with the strength that the person has on that day.
 */
export function simulate({
  person,
  facts,
  enrolment,
  version,
  start,
  until,
  weekdays,
  dice,
}: Training): SessionLog[] {
  const member: Member = { facts, logs: [] }
  let checkpoint: Checkpoint | null = null
  for (let day = start; day < until; day = addDays(day, 1)) {
    const weekday = daysBetween(start, day) % 7
    const isOff = !weekdays.includes(weekday) || dice() > person.keen || isAway(person, start, day)
    if (isOff) continue
    const versions = { [enrolment.segments[0]?.version ?? '']: version }
    const planned: Planned = planMember(
      {
        library: clubExercises,
        member,
        enrolments: [enrolment],
        versions,
        when: { today: day, through: 'near' },
      },
      checkpoint,
    )
    checkpoint = planned.checkpoint
    const plan = planned.plans[enrolment.id] as Plan
    const week = plan.weeks.find(({ places }) => places.some(({ position }) => position === plan.next))
    const session = week?.places.find(({ position }) => position === plan.next)
    if (!session || (week?.from && week.from > day)) continue
    const log = train(plan, session, person, enrolment.id, day, daysBetween(start, day) / 7, dice)
    member.logs.push(isTravelling(person, start, day) ? onTheRoad(log) : log)
  }
  return member.logs
}

const weekOf = (start: Day, day: Day): number => Math.floor(daysBetween(start, day) / 7)

const isAway = ({ away = [] }: Person, start: Day, day: Day): boolean => away.includes(weekOf(start, day))

const isTravelling = ({ travels = [] }: Person, start: Day, day: Day): boolean =>
  travels.includes(weekOf(start, day))

/** A session in the hotel, noted on paper: what its few plates make of each load, and no snapshot. */
function onTheRoad({ shown: _, ...log }: SessionLog): SessionLog {
  const can = makeable(hotelRacks[0] as Rack)
  const sets = log.sets.map((set) => {
    if (!set.load || exerciseOf(clubExercises, set).tool !== 'barbell') return set
    return { ...set, load: round(set.load, can, 'down').load }
  })
  return { ...log, location: hotel.id, sets }
}

/** The minute of the day at which somebody trains: after work, a little later from week to week. */
const eveningOf = (weeks: number): number => 18 * 60 + (Math.round(weeks * 7) % 45)

function train(
  plan: Plan,
  session: PlannedSession,
  person: Person,
  enrolment: string,
  date: Day,
  weeks: number,
  dice: Dice,
): SessionLog {
  const shown = snapshot(plan, session.position)
  const at = shown && placeShown(shown.at)
  if (!at) throw new Error(`nothing to train at position ${session.position}`)
  const id = sessionLogId(enrolment, at, session.attempt)
  return {
    id,
    rev: 1,
    change: `${id}:start`,
    date,
    enrolment,
    position: session.position,
    at,
    attempt: session.attempt,
    minute: eveningOf(weeks),
    ordinal: 1,
    closed: true,
    shown,
    answers: answersOf(session, weeks, dice),
    sets: session.slots.flatMap((slot) => {
      const lift = { exercise: slot.exercise, ...(slot.variant && { variant: slot.variant }) }
      const entry = (n: number) => ({
        id: setLogId(id, slot.slot, n),
        rev: 1,
        change: `${id}:${slot.slot}:${n}`,
        slot: slot.slot,
        n,
        ...lift,
        state: 'done' as const,
      })
      if (slot.circuit)
        return [{ ...entry(1), amount: { value: 540 + Math.round(dice() * 150), unit: 's' as const } }]
      const asked = slot.sets.flatMap((prescribed) =>
        Array.from({ length: prescribed.sets }, (_, i) => ({
          group: prescribed,
          isLast: i === prescribed.sets - 1,
        })),
      )
      const mood = (dice() - 0.5) * 2
      return asked.map(({ group: prescribed, isLast }, i): SetLog => {
        const load = prescribed.load ?? chosenLoad(slot.exercise, person, prescribed)
        const { help, style, goal } = prescribed
        const handled = { ...(load && { load }), ...(help && { help }), ...(style && { style }) }
        if (goal && 'seconds' in goal && !('most' in goal))
          return { ...entry(i + 1), amount: { value: lowest(goal.seconds), unit: 's' } }
        return {
          ...entry(i + 1),
          ...handled,
          ...repsDone(slot.exercise, person, prescribed, load, weeks, i, mood, isLast),
        }
      })
    }),
  }
}

/** What somebody says after a session: it grows harder as the weeks go on, and a muscle is now and then hardly worked. */
function answersOf({ slots }: PlannedSession, weeks: number, dice: Dice): SessionLog['answers'] {
  const muscles = [...new Set(slots.map((slot) => mainMuscle(clubExercises, slot)))]
  const worked = muscles.map((muscle) => {
    const turn = dice()
    return [muscle, turn < 0.3 ? 'hardly' : turn < 0.985 ? 'well' : 'too much'] as const
  })
  return {
    rev: 1,
    change: 'said',
    hard: Math.min(9, 5 + Math.round(weeks / 4 + dice() * 2)),
    minutes: 40 + 4 * slots.length + 5 * (Math.floor(3 * weeks) % 4),
    worked: Object.fromEntries(worked),
  }
}

/** Reps that the person has in them at this load today, and those that were left (Epley, inverted), a little fewer set by set. */
function repsDone(
  exercise: ExerciseId,
  person: Person,
  prescribed: ShownSets,
  load: Load | null,
  weeks: number,
  set: number,
  mood: number,
  isLast: boolean,
): Pick<SetLog, 'reps' | 'rir'> {
  // A total is shared out over the sets that there are.
  const shared =
    prescribed.goal && 'totalReps' in prescribed.goal
      ? Math.ceil(prescribed.goal.totalReps / prescribed.sets)
      : 1
  const [from, to] = [lowest(prescribed.reps ?? shared), highest(prescribed.reps ?? shared)]
  const max = maxOf(exercise, person)
  if (!load || !max || !prescribed.load)
    return { reps: Math.max(from, Math.min(to, Math.round(to - set / 2 + mood))) }
  const now = max * (1 + (person.growth * weeks) / 100)
  const possible = Math.floor(30 * (now / inUnit(load, 'kg').value - 1) - set * 0.4 + mood)
  const wanted =
    prescribed.amrap && (isLast || prescribed.amrap === 'all') ? Math.max(from, possible - 1) : to
  const reps = Math.max(1, Math.min(wanted, possible))
  // Those who are asked to leave some say how many they had left.
  return prescribed.rir === undefined ? { reps } : { reps, rir: Math.max(0, Math.min(5, possible - reps)) }
}

function maxOf(exercise: ExerciseId, person: Person): number | null {
  const known: Partial<Record<ExerciseId, number>> = {
    backSquat: person.squat,
    benchPress: person.bench,
    deadlift: person.deadlift,
    overheadPress: person.press,
    barbellRow: person.bench * 0.85,
    benchPull: person.bench * 0.9,
  }
  return known[exercise] ?? null
}

/** What a member picks where the load is theirs: a share of the bench or squat, in whole dumbbells or pins. */
function chosenLoad(exercise: ExerciseId, person: Person, prescribed: ShownSets): Load | null {
  if (prescribed.missing) return { value: person.unit === 'lb' ? 135 : 50, unit: person.unit ?? 'kg' }
  const shares: Partial<Record<ExerciseId, [number, number]>> = {
    lunge: [person.squat * 0.12, 2],
    splitSquat: [person.squat * 0.14, 2],
    romanianDeadlift: [person.deadlift * 0.5, 2.5],
    seatedCableRow: [person.bench * 0.6, 5],
    dumbbellCurl: [person.bench * 0.12, 2],
    legCurl: [person.squat * 0.35, 5],
    frontSquat: [person.squat * 0.5, 2.5],
    inclineBenchPress: [person.bench * 0.55, 2.5],
    tricepsPushdown: [person.bench * 0.3, 5],
    dumbbellRow: [person.bench * 0.32, 2],
  }
  const share = shares[exercise]
  if (!share) return null
  const [value, step] = person.unit === 'lb' ? [share[0] * 2.2, 5] : share
  return { value: Math.max(step, Math.round(value / step) * step), unit: person.unit ?? 'kg' }
}

/** What the boathouse and the hotel have, as the server hands it to the planner. */
export const placeFacts = (date: Day): Fact[] =>
  [
    { place: place.id, racks },
    { place: hotel.id, racks: hotelRacks },
  ].map(({ place: id, racks: own }): Fact => ({
    id: `place:${id}`,
    rev: 1,
    date,
    actsFrom: date,
    kind: 'equipment',
    location: id,
    racks: own,
    ...(id === place.id && { fixed }),
  }))

/** The maxes that a member brings, rounded to what they could have lifted on the gym's plates. */
export function startingFacts(person: Person, rack: Rack, date: Day, testDay?: Day): Fact[] {
  const entry = (id: string) => ({ id, rev: 1, change: id, date, actsFrom: date })
  const maxDate = person.oldMaxes ? addDays(date, -100) : date
  const tested = {
    backSquat: person.squat,
    benchPress: person.bench,
    deadlift: person.deadlift,
    overheadPress: person.press,
    benchPull: person.bench * 0.9,
  }
  const given = Object.entries(tested).filter(
    ([exercise]) => !(person.noSquatMax && exercise === 'backSquat'),
  )
  const unit: Fact = { ...entry('unit'), kind: 'unit', unit: person.unit ?? 'kg' }
  const test: Fact[] = testDay ? [{ ...entry('test'), kind: 'test', on: testDay }] : []
  // Somebody who squats more than they weigh by a half is common among them: a body that goes with the strength.
  const weight = Math.round(48 + person.squat * 0.25)
  const body: Fact = {
    ...entry('body'),
    kind: 'bodyWeight',
    load: inUnit({ value: weight, unit: 'kg' }, rack.unit),
  }
  const pullUp: Fact = {
    ...entry('max-pullUp'),
    kind: 'max',
    exercise: 'pullUp',
    load: {
      value: Math.max(0, Math.round((person.bench - 50) / 5) * (rack.unit === 'kg' ? 2.5 : 5)),
      unit: rack.unit,
    },
    reps: 3,
    how: 'accepted estimate',
    formula: 'epley',
  }
  return [
    unit,
    ...test,
    body,
    pullUp,
    ...given.map(([exercise, max], i): Fact => {
      const isSet = i % 2 === 1
      const value = isSet ? max / (1 + 5 / 30) : max
      const { load } = round(inUnit({ value, unit: 'kg' }, rack.unit), makeable(rack), 'down')
      const how = isSet
        ? { how: 'accepted estimate' as const, formula: 'epley' as const }
        : { how: 'tested' as const }
      return {
        ...entry(`max-${exercise}`),
        date: maxDate,
        kind: 'max',
        exercise: exercise as ExerciseId,
        load,
        reps: isSet ? 5 : 1,
        ...how,
      }
    }),
  ]
}
