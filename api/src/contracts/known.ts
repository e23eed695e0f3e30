import { readChange, readChangeOf } from '@young-oak/core/template'
import type { Adjustment, Change } from '@young-oak/core/adjustments'
import type { Evidence } from '@young-oak/core/evidence'
import {
  askFirstReasons,
  eventKinds,
  factNames,
  factOf,
  jointAnswers,
  liftLevels,
  pauseReasons,
  trainingAges,
  type About,
  type AskFirst,
  type BlockOf,
  type CheckIn,
  type Days,
  type Enjoys,
  type Fact,
  type LiftGoal,
  type Pause,
  type Priorities,
  type TotalGoal,
} from '@young-oak/core/facts'
import type { MaxInForce } from '@young-oak/core/loads'
import { Checker, formatIssue } from '@young-oak/core/parsing'
import type { Library } from '@young-oak/core/library'
import type { Period } from '@young-oak/core/trends'
import { equipment, exerciseId, lift, liftKeys, load, muscle, setSeen, setSeenBy, unit } from './lifts.ts'
import type { NewVersion } from '../publications.ts'
import { lastTime } from './shown.ts'
import {
  byKey,
  choice,
  count,
  date,
  exact,
  faultIn,
  figure,
  isTrue,
  left,
  list,
  orNull,
  readBy,
  text,
  yesOrNo,
  type Reads,
} from './reads.ts'

const estimateSeen = () =>
  exact<Evidence['estimates'][string]>({
    load: load(),
    date: date(),
    from: setSeen(),
    atLeast: left(isTrue()),
  })

/** A fact of any kind, by the shape that its kind declares; stored, it has an id, a revision and a day from which it acts. */
export const fact = (): Reads<Fact> =>
  readBy('fact', (value, context) => {
    const { kind, id, rev, actsFrom } = (value ?? {}) as Partial<Fact>
    const known = factNames.find((name) => name === kind)
    if (!known || id === undefined || rev === undefined || actsFrom === undefined)
      return 'must be a stored fact'
    return faultIn(factOf[known].shape, value, context)
  })

const checked =
  (read: (checker: Checker, value: unknown, path: string) => unknown) =>
  (value: unknown, context: object) => {
    const checker = new Checker((context as { library?: Library }).library ?? {})
    read(checker, value, '')
    return checker.issues.length ? checker.issues.map(formatIssue).join(' ') : null
  }
export const change = (): Reads<Change> => readBy('change', checked(readChange))
const adjustment = (): Reads<Adjustment> => readBy('adjustment', checked(readChangeOf))

export const days = () => exact<Period>({ from: date(), to: date() })
const how = () => choice('tested', 'accepted estimate')
const maxInForce = () =>
  exact<MaxInForce>(
    {
      load: load(),
      date: date(),
      how: how(),
      from: left(setSeenBy(text())),
      staleWeeks: left(count()),
      ratio: left(exact<NonNullable<MaxInForce['ratio']>>({ of: text(), base: load(), percent: figure() })),
    },
    'MaxInForce',
  )
export const checkInKeys = () => ({
  sleep: left(count()),
  mood: left(count()),
  freshness: left(count()),
  joints: left(choice(...jointAnswers)),
  sore: left(list(muscle())),
})
export const blockKeys = () => ({ enrolment: text(), phase: text() })
export const liftGoal = () =>
  exact<LiftGoal>({
    ...liftKeys(),
    from: orNull(load()),
    set: date(),
    to: load(),
    gain: left(figure()),
    by: left(date()),
    block: left(exact<BlockOf>(blockKeys())),
  })
export const totalGoal = () =>
  exact<TotalGoal>({
    lifts: list(lift()),
    from: orNull(load()),
    set: date(),
    to: load(),
    by: left(date()),
  })
export const event = () =>
  exact<Evidence['events'][number]>({
    id: text(),
    what: choice(...eventKinds),
    name: left(text()),
    on: date(),
    to: left(date()),
    lifts: left(list(lift())),
  })
export const pause = () =>
  exact<Pause>({
    id: text(),
    enrolment: orNull(text()),
    from: date(),
    to: orNull(date()),
    reason: choice(...pauseReasons),
    back: orNull(figure()),
    changes: list(change()),
    muscles: orNull(list(muscle())),
  })
export const newVersion = () => exact<NewVersion>({ version: count(), from: date(), note: text() })
export const about = () =>
  exact<About>({
    training: left(choice(...trainingAges)),
    overForty: left(yesOrNo()),
    deficit: left(yesOrNo()),
    stress: left(yesOrNo()),
  })
/** What a profile says beside `about`. */
export const profileKeys = () => ({
  levels: byKey(choice(...liftLevels)),
  days: exact<Days>({ weekdays: list(count()), most: left(count()), minutes: left(count()) }),
  priorities: exact<Priorities>({ muscles: list(muscle()), lifts: list(exerciseId()) }),
  enjoys: exact<Enjoys>({ exercises: list(exerciseId()), keptUp: left(text()) }),
  askFirst: exact<AskFirst>({ reasons: list(choice(...askFirstReasons)), isCleared: yesOrNo() }),
})
export const mostSets = () => byKey(count())
export const adviceTaken = () =>
  byKey(exact<Evidence['adviceTaken'][string]>({ taken: yesOrNo(), date: date() }))
export const decision = () =>
  exact<Evidence['decisions'][string]>({
    chosen: choice('first', 'second', 'neither'),
    note: left(text()),
    date: date(),
  })

/** What is known of a member on a day. */
export const evidence = () =>
  exact<Evidence>(
    {
      maxes: byKey(list(maxInForce())),
      lower: byKey(maxInForce()),
      waiting: list(fact()) as Reads<Evidence['waiting']>,
      impossible: list(text()),
      ended: byKey(date()),
      body: orNull(exact<NonNullable<Evidence['body']>>({ load: load(), date: date() })),
      unit: unit(),
      home: text(),
      equipment: byKey(equipment()),
      testDay: orNull(date()),
      deloads: list(
        exact<Evidence['deloads'][number]>({
          id: text(),
          from: date(),
          changes: list(change()),
          muscles: left(list(muscle())),
          shift: yesOrNo(),
          weeks: count(),
          back: list(figure()),
          to: left(date()),
        }),
      ),
      skips: list(exact<Evidence['skips'][number]>({ id: text(), from: date() })),
      own: list(adjustment()),
      handovers: list(text()),
      left: list(text()),
      pauses: list(pause()),
      choices: byKey(text()),
      mostSets: mostSets(),
      checkIns: list(exact<CheckIn & { date: string }>({ ...checkInKeys(), date: date() })),
      about: about(),
      ...profileKeys(),
      events: list(event()),
      adviceTaken: adviceTaken(),
      goals: list(liftGoal()),
      totals: list(totalGoal()),
      trials: list(
        exact<Evidence['trials'][number]>({
          id: text(),
          name: text(),
          differs: text(),
          first: days(),
          second: days(),
          lifts: list(lift()),
        }),
      ),
      decisions: byKey(decision()),
      last: byKey(lastTime()),
      estimates: byKey(estimateSeen()),
      recent: byKey(estimateSeen()),
      trainedOn: orNull(exact<NonNullable<Evidence['trainedOn']>>({ day: date(), running: count() })),
    },
    'Evidence',
  )
